import { parseArgs, type ParseArgsConfig } from 'node:util';
import { z } from 'zod';
import type { Executed } from '@/core/forecast/executes';
import { shotsOfTable } from '@/core/formats/shot-rows';
import { readShotTable, type TableProblem } from '@/core/formats/shot-table';
import { newPlayer } from '@/core/people/player';
import { gather, weightOf, type Evidence, type Tally } from '@/core/skill/evidence';
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
  level: z.coerce
    .number({ error: '--level is a number.' })
    .min(-10, '--level is from -10 to 54.')
    .max(54, '--level is from -10 to 54.')
    .default(newPlayer('', 'imperial').level),
  'as-of': z.union([z.iso.date(), z.iso.datetime({ offset: true })], { error: '--as-of is a day such as 2026-05-01.' }).optional(),
  'half-life': z
    .union([z.literal('none').transform(() => null), z.coerce.number().gt(0)], { error: '--half-life is a number of days, or none.' })
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
    parsed = parseArgs({ args: [...args], allowPositionals: true, options });
  } catch (error) {
    throw new Error(`${(error as Error).message} Usage: npm run -s inch -- ${usage}`, { cause: error });
  }
  const checked = schema.safeParse(parsed.values);
  if (!checked.success) throw new Error(checked.error.issues.map(({ message }) => message).join(' '));
  return { words: parsed.positionals, options: checked.data };
}

/** What the balls of a table say of one player. */
export type Known = { evidence: Evidence; executed: Executed; player: string; asOf: Date | null; ignored: readonly string[] };

/** Reads a table of shots as what is known of one player in it. */
export function knownOf(path: string, text: string, { 'as-of': until, 'half-life': halfLifeDays, player }: EvidenceOptions): Known {
  const table = readShotTable(text);
  const { shots, problems } = shotsOfTable(table.rows);
  refuse(
    path,
    [...table.problems, ...problems].sort((a, b) => a.line - b.line),
  );
  const players = [...new Set(shots.map((one) => one.player))];
  if (player !== undefined && !players.includes(player)) throw new Error(`${path}: there is no player “${player}” in it.`);
  if (player === undefined && players.length > 1)
    throw new Error(
      `${path}: it holds ${players.length} players: choose one with --player (${players.map((name) => `“${name}”`).join(', ')}).`,
    );
  const theirs = shots.filter((one) => player === undefined || one.player === player);

  const end = until === undefined ? null : new Date(until.length === 10 ? `${until}T23:59:59.999Z` : until);
  const evidence = theirs.filter(({ shot }) => shot.counts === 'ordinary' && (!end || new Date(shot.playedAt) <= end));
  const asOf = end ?? (evidence.length === 0 ? null : new Date(Math.max(...evidence.map(({ shot }) => Date.parse(shot.playedAt)))));
  const tallies = evidence.map(({ shot, zoneM }): Tally => {
    const lastAt = new Date(shot.playedAt);
    return { ball: { ...shot, zoneM }, balls: 1, weight: weightOf(asOf!.getTime() - lastAt.getTime(), halfLifeDays), lastAt };
  });
  const judged = evidence.filter(({ shot }) => shot.executed !== null);
  const executed = { shots: judged.length, asAsked: judged.filter(({ shot }) => shot.executed).length };
  return { evidence: gather(tallies), executed, player: player ?? players[0] ?? '', asOf, ignored: table.ignored };
}

/** As many problems as help; the rest are counted. */
const SHOWN = 10;

function refuse(path: string, problems: readonly TableProblem[]): void {
  if (problems.length === 0) return;
  const said = problems.slice(0, SHOWN).map(({ line, message }) => `line ${line}: ${message}`);
  const more = problems.length > SHOWN ? `; and ${problems.length - SHOWN} more` : '';
  throw new Error(`${path}: ${said.join('; ')}${more}`);
}
