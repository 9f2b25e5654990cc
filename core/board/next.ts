import type { Finding } from '../skill/diagnose';
import { counted, listed } from '../units/format';
import { sayCell } from './say-cell';
import { ballsToSettle, dropOfOne, MOST_BALLS, standsOut, type Judged, type Per, type Weakest } from './settle';

/** Fewer balls than this settle nothing: what is shown is what such players are like. */
export const FEW_BALLS = 20;

/** What the next balls are best spent on, and why; cells as indices of findings. */
export type Next =
  /** Hardly a ball on record: the shots that tell most come first. */
  | { why: 'new'; cells: readonly number[] }
  /** The weakest shot is clear. */
  | { why: 'weakest'; cells: readonly [number] }
  /** Two are too close to call: so many balls of each would show which is weaker; null where no reasonable number would. */
  | { why: 'close'; cells: readonly [number, number]; balls: number | null }
  /** Never played, and could be as weak as the weakest. */
  | { why: 'unplayed'; cells: readonly number[] }
  /** No weakness stands out: where a ball tells most. */
  | { why: 'least_known'; cells: readonly number[] };

/** So many shots are named. */
const NAMED = 2;

/** What a player's next balls are best spent on. */
export function nextOf(judged: Judged, weakest: Weakest | null, per: Per, balls: number): Next {
  if (balls < FEW_BALLS) return { why: 'new', cells: tellMost(judged, per) };
  if (!weakest || !standsOut(weakest)) return { why: 'least_known', cells: tellMost(judged, per) };
  const { first, near, unknown } = weakest;
  const [rival] = near;
  if (rival !== undefined) return { why: 'close', cells: [first, rival], balls: ballsToSettle(judged, per, first, rival) };
  if (unknown.length === 0) return { why: 'weakest', cells: [first] };
  return { why: 'unplayed', cells: unknown.toSorted((a, b) => judged.findings[b]!.uses - judged.findings[a]!.uses).slice(0, NAMED) };
}

/** The shots of which one ball tells most about the strokes lost. */
function tellMost(judged: Judged, per: Per): number[] {
  const drops = judged.findings.map(({ uses, ranked }, i) => (ranked && uses > 0 ? dropOfOne(judged, per, i) : 0));
  return drops
    .map((_, i) => i)
    .filter((i) => drops[i]! > 0)
    .sort((a, b) => drops[b]! - drops[a]!)
    .slice(0, NAMED);
}

/** The advice as a sentence. */
export function sayNext(next: Next, findings: readonly Finding[], balls: number): string {
  const names = next.cells.map((i) => sayCell(findings[i]!));
  switch (next.why) {
    case 'new':
      return `Hit ${counted(FEW_BALLS - balls, 'more ball')} for a first answer.`;
    case 'weakest':
      return `Next, practise ${listed(names)}.`;
    case 'close':
      return next.balls === null
        ? `${listed(names)} are too close to separate, even with ${MOST_BALLS} more balls of each: practise both.`
        : `About ${roundly(next.balls)} more balls each of ${listed(names)} would show which is weaker.`;
    case 'unplayed':
      return `Next, hit ${listed(names.map((name) => `a dozen ${name}`))}.`;
    case 'least_known':
      return names.length === 0 ? '' : `Next, find out more about ${listed(names)}.`;
  }
}

/** 23 is "25", 140 is "140", 7 is "7": no more digits than are known. */
export function roundly(balls: number): number {
  const step = balls < 10 ? 1 : balls < 100 ? 5 : 10;
  return Math.ceil(balls / step) * step;
}
