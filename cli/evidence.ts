import { parseArgs, type ParseArgsConfig } from 'node:util';
import * as z from 'zod';
import type { Executed } from '@/core/forecast/executes';
import { eachShot, type TableShot } from '@/core/formats/shot-rows';
import type { TableProblem } from '@/core/formats/row-reader';
import { decimal } from '@/core/units/decimal';
import { levelSchema, readLevel } from '@/core/golf/level';
import { newPlayer } from '@/core/people/player';
import { gather, weightOf, type Evidence, type Tally } from '@/core/skill/evidence';
import type { RecordedBall } from '@/core/skill/groups';
import { HALF_LIFE_DAYS } from '@/core/skill/half-life';

/** Options of every command that asks what is known of a player. */
export const EVIDENCE_USAGE = '[--level H] [--as-of DATE] [--half-life DAYS|none] [--player NAME]';
export const EVIDENCE_OPTIONS = {
  level: { type: 'string' },
  'as-of': { type: 'string' },
  'half-life': { type: 'string' },
  player: { type: 'string' },
} as const;
export const evidenceOptions = z.object({
  level: z.string().transform(readLevel).pipe(levelSchema).default(newPlayer('', 'imperial').level),
  'as-of': z.union([z.iso.date(), z.iso.datetime({ offset: true })], { error: '--as-of is a day such as 2026-05-01.' }).optional(),
  'half-life': z
    .union([z.literal('none').transform(() => null), z.string().transform(decimal).pipe(z.number().gt(0))], {
      error: '--half-life is a number of days, or none.',
    })
    .default(HALF_LIFE_DAYS),
  player: z.string().optional(),
});
export type EvidenceOptions = z.infer<typeof evidenceOptions>;

/** Reads a command's words and options; what does not fit is refused, with how it is used. */
export function readOptions<S extends z.ZodType>(
  args: readonly string[],
  options: NonNullable<ParseArgsConfig['options']>,
  schema: S,
  usage: string,
): { words: string[]; options: z.infer<S> } {
  let parsed;
  try {
    parsed = parseArgs({ args: joined(args), allowPositionals: true, options });
  } catch (error) {
    throw new Error(`${(error as Error).message} Usage: npm run -s inch -- ${usage}`, { cause: error });
  }
  const checked = schema.safeParse(parsed.values);
  if (!checked.success) throw new Error(checked.error.issues.map(named).join(' '));
  return { words: parsed.positionals, options: checked.data };
}

/** A fault with the option that it is about. */
const named = ({ path, message }: { path: PropertyKey[]; message: string }) =>
  message.startsWith('--') ? message : `--${String(path[0])}: ${message}`;

/** `--level -3` is a value, not another option. */
function joined(args: readonly string[]): string[] {
  const all: string[] = [];
  for (const arg of args) {
    if (/^-[\d.,]/.test(arg) && all.at(-1)?.startsWith('--')) all.push(`${all.pop()}=${arg}`);
    else all.push(arg);
  }
  return all;
}

/** What the balls of a table say of one player. */
export type FileEvidence = { evidence: Evidence; executed: Executed; player: string; asOf: Date | null; ignored: readonly string[] };

/** Reads a table of shots as what is known of one player in it. */
export function knownOf(path: string, text: string, { 'as-of': until, 'half-life': halfLifeDays, player }: EvidenceOptions): FileEvidence {
  const players = new Set<string>();
  const balls: Kept[] = [];
  let last = -Infinity;
  const { problems, ignored } = eachShot(text, (one) => {
    players.add(one.player);
    if (player !== undefined && one.player !== player) return;
    const at = Date.parse(one.shot.playedAt);
    if (one.dated) last = Math.max(last, at);
    if (one.shot.counts === 'ordinary') balls.push({ ball: readOf(one), at: one.dated ? at : null, said: one.said });
  });
  refuse(path, problems);
  if (player !== undefined && !players.has(player)) throw new Error(`${path}: there is no player “${player}” in it.`);
  if (player === undefined && players.size > 1)
    throw new Error(
      `${path}: it holds ${players.size} players: choose one with --player (${[...players].map((name) => `“${name}”`).join(', ')}).`,
    );

  // Balls without a moment count as played with the last that has one.
  const undated = Number.isFinite(last) ? last : SOME_DAY;
  const end = until === undefined ? Infinity : Date.parse(until.length === 10 ? `${until}T23:59:59.999Z` : until);
  let [latest, silent] = [-Infinity, 0];
  for (const { at, said } of balls) if (said && (at ?? undated) <= end) latest = Math.max(latest, at ?? undated);
  const asOf = until === undefined ? latest : end;
  const executed = { shots: 0, asAsked: 0 };
  function* told(): Generator<Tally> {
    for (const { ball, at: then, said } of balls) {
      const at = then ?? undated;
      if (at > end) continue;
      if (ball.executed !== null) executed.shots++;
      if (ball.executed) executed.asAsked++;
      if (said) yield { ball, balls: 1, weight: weightOf(asOf - at, halfLifeDays), lastAt: new Date(at) };
      else silent += ball.nBalls;
    }
  }
  const gathered = gather(told());
  return {
    evidence: { ...gathered, silent: gathered.silent + silent },
    executed,
    player: player ?? [...players][0] ?? '',
    asOf: Number.isFinite(asOf) ? new Date(asOf) : null,
    ignored,
  };
}

/** A ball as it is kept while a table is read: what the model reads of it, when it was played, and whether anything was said of it. */
type Kept = { ball: RecordedBall; at: number | null; said: boolean };
const SOME_DAY = Date.UTC(2000, 0, 1);

function readOf({ shot, zone }: TableShot): RecordedBall {
  const { shotType, surface, sit, stance, target, distanceM, holed, leftM, leftMinM, leftMaxM, strokes, penalty, finish } = shot;
  const { landed, executed, landingErrorM, carryM, measured, nBalls, sumLeftM, counts } = shot;
  return {
    shotType,
    surface,
    sit,
    stance,
    target,
    distanceM,
    holed,
    leftM,
    leftMinM,
    leftMaxM,
    strokes,
    penalty,
    finish,
    landed,
    executed,
    landingErrorM,
    carryM,
    measured,
    nBalls,
    sumLeftM,
    counts,
    zone,
  };
}

/** As many problems as help; the rest are counted. */
const SHOWN = 10;

function refuse(path: string, problems: readonly TableProblem[]): void {
  if (problems.length === 0) return;
  const said = problems.slice(0, SHOWN).map(({ line, message }) => `line ${line}: ${message}`);
  const more = problems.length > SHOWN ? `; and ${problems.length - SHOWN} more` : '';
  throw new Error(`${path}: ${said.join('; ')}${more}`);
}
