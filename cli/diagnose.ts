import { parseArgs } from 'node:util';
import { z } from 'zod';
import { diagnosisAnswer } from '@/core/formats/diagnosis';
import { shotsOfTable } from '@/core/formats/shot-rows';
import { readShotTable, type TableProblem } from '@/core/formats/shot-table';
import { newPlayer } from '@/core/people/player';
import { believe, diagnose as diagnoseBy } from '@/core/skill/diagnose';
import { gather, weightOf, type Tally } from '@/core/skill/evidence';
import { HALF_LIFE_DAYS } from '@/core/skill/half-life';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/skill/reference';

export const USAGE = 'diagnose SHOTS.csv [--level H] [--as-of DATE] [--half-life DAYS|none] [--player NAME]';

const optionsSchema = z.object({
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

/** `diagnose SHOTS.csv`: where a player's strokes go, in the numbers of the screens. */
export function diagnose(args: readonly string[], read: (path: string) => string): object {
  const { values, positionals } = parse(args);
  const [path] = positionals;
  if (!path || positionals.length > 1) throw new Error(`Usage: npm run -s inch -- ${USAGE}`);
  const options = optionsSchema.safeParse(values);
  if (!options.success) throw new Error(options.error.issues.map(({ message }) => message).join(' '));
  const { level, 'as-of': until, 'half-life': halfLifeDays, player } = options.data;

  const table = readShotTable(read(path));
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
  const known = gather(tallies);
  const model = modelOf(shippedReference);
  const diagnosis = diagnoseBy(model, believe(known, model, level), known, { level, mix: model.mix(level) });
  return {
    ...diagnosisAnswer({ player: player ?? players[0] ?? '', level, balls: known.balls, asOf, halfLifeDays }, diagnosis),
    ...(table.ignored.length > 0 ? { ignored_columns: table.ignored } : {}),
  };
}

function parse(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { level: { type: 'string' }, 'as-of': { type: 'string' }, 'half-life': { type: 'string' }, player: { type: 'string' } },
    });
  } catch (error) {
    throw new Error(`${(error as Error).message} Usage: npm run -s inch -- ${USAGE}`, { cause: error });
  }
}

/** As many problems as help; the rest are counted. */
const SHOWN = 10;

function refuse(path: string, problems: readonly TableProblem[]): void {
  if (problems.length === 0) return;
  const said = problems.slice(0, SHOWN).map(({ line, message }) => `line ${line}: ${message}`);
  const more = problems.length > SHOWN ? `; and ${problems.length - SHOWN} more` : '';
  throw new Error(`${path}: ${said.join('; ')}${more}`);
}
