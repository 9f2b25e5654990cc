import 'server-only';
import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { LRUCache } from 'lru-cache';
import { Piscina } from 'piscina';
import type { SumAnswer, SumTask } from '@/core/board/sums';
import type { LevelChartTask, LevelLine } from '@/core/forecast/level-chart';
import type { NeedTask, RoundByNeed } from '@/core/plan/by-need';
import type { BlockTest, BlockTestTask } from '@/core/plan/block-test';
import type { FilledParts } from '@/core/plan/filled';
import type { FillTask } from '@/core/plan/fill-task';
import type { ProposalTask } from '@/core/plan/proposal-task';
import type { Proposal } from '@/core/plan/propose';
import type { ShortGameTask } from '@/core/tools/short-game-task';
import type { ShortGames } from '@/core/tools/short-game';
import { gauge, timed } from './metrics';
import { TooMany } from './turns';

/**
 * Long sums, done on threads beside the one that answers: what is drawn first comes first, the same question is answered once however many
 * ask it, and answers are kept, so that of time that is over nothing is reckoned twice.
 */
const WAITING = 400;
const KEPT_BYTES = 96 << 20;
/** What `npm run build` makes of workers/sums.ts. */
const WORKER = join(process.cwd(), '.build', 'sums.mjs');

type Queued = { [Piscina.queueOptionsSymbol]: { urgent: boolean } | null };

/** Takes what is urgent before all else. */
class ByUrgency {
  readonly #urgent: Queued[] = [];
  readonly #others: Queued[] = [];
  get size(): number {
    return this.#urgent.length + this.#others.length;
  }
  push(task: Queued): void {
    (task[Piscina.queueOptionsSymbol]?.urgent ? this.#urgent : this.#others).push(task);
  }
  shift(): Queued | null {
    return this.#urgent.shift() ?? this.#others.shift() ?? null;
  }
  remove(task: Queued): void {
    for (const list of [this.#urgent, this.#others]) if (list.includes(task)) list.splice(list.indexOf(task), 1);
  }
}

const held = globalThis as { inchGameSums?: Piscina };

function pool(): Piscina {
  return (held.inchGameSums ??= new Piscina({
    filename: WORKER,
    minThreads: 1,
    // Two, so that before and since are done side by side; they are less urgent to the machine than whoever answers (workers/sums.ts).
    maxThreads: Math.max(2, availableParallelism() - 1),
    idleTimeout: 60_000,
    maxQueue: WAITING,
    taskQueue: new ByUrgency() as never,
  }));
}

/** An answer, in a box of its own: it may be that there is none. */
type Kept = { answer: SumAnswer | Proposal | FilledParts | BlockTest | RoundByNeed | ShortGames | LevelLine[] | null };

const kept = new LRUCache<string, Kept>({ maxSize: KEPT_BYTES, sizeCalculation: bytesOf });

function bytesOf({ answer }: Kept): number {
  if (!answer || !isSum(answer)) return 50_000;
  const lost = answer.diagnosis ? answer.diagnosis.lost.reduce((sum, cell) => sum + cell.byteLength, 0) : 0;
  return answer.values.byteLength + lost + 50_000;
}

const isSum = (answer: NonNullable<Kept['answer']>): answer is SumAnswer => 'values' in answer && answer.values instanceof Float32Array;

const underWay = new Map<string, Promise<Kept['answer']>>();

/**
 * The answer to a long sum.
 * @param urgent what a page shows first
 * @throws TooMany where too many wait already
 */
export function sum(task: SumTask, how?: { urgent?: boolean }): Promise<SumAnswer>;
export function sum(task: ProposalTask, how?: { urgent?: boolean }): Promise<Proposal | null>;
export function sum(task: FillTask, how?: { urgent?: boolean }): Promise<FilledParts>;
export function sum(task: BlockTestTask, how?: { urgent?: boolean }): Promise<BlockTest>;
export function sum(task: NeedTask, how?: { urgent?: boolean }): Promise<RoundByNeed | null>;
export function sum(task: ShortGameTask, how?: { urgent?: boolean }): Promise<ShortGames>;
export function sum(task: LevelChartTask, how?: { urgent?: boolean }): Promise<LevelLine[]>;
export async function sum(
  task: SumTask | ProposalTask | FillTask | BlockTestTask | NeedTask | ShortGameTask | LevelChartTask,
  { urgent = false } = {},
): Promise<Kept['answer']> {
  // What is believed follows from the balls.
  const plain = JSON.stringify(task, (name, value: unknown) => (name === 'draws' ? undefined : value));
  const key = createHash('sha256').update(plain).digest('base64');
  const known = kept.get(key);
  if (known) return known.answer;
  const coming = underWay.get(key);
  if (coming) return coming;
  if (pool().queueSize >= WAITING) throw new TooMany('too many sums wait');
  gauge('sums_waiting', () => pool().queueSize);
  const run = () => pool().run({ ...task, [Piscina.queueOptionsSymbol]: { urgent } }) as Promise<Kept['answer']>;
  const answer = timed(task.kind, run).finally(() => underWay.delete(key));
  underWay.set(key, answer);
  kept.set(key, { answer: await answer });
  return answer;
}
