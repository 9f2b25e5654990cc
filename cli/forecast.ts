import * as z from 'zod';
import { FINE_GAMES, playRow, SEED } from '@/core/forecast/forecast';
import { toTheEnd } from '@/core/forecast/games';
import { goalFor, WANTED_CHANCE } from '@/core/forecast/goal';
import { beliefOfLevel, entrantOfLevel } from '@/core/forecast/levels';
import { outlookOf } from '@/core/forecast/outlook';
import { informationOf } from '@/core/forecast/information';
import { schemeOf } from '@/core/game/scoring';
import { costUnitM } from '@/core/play/verdict';
import { believe } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { EVIDENCE_OPTIONS, EVIDENCE_USAGE, evidenceOptions, knownOf, readOptions } from './evidence';
import { gameAt } from './game';

export const USAGE = `forecast GAME.json [--shots SHOTS.csv] [--games N] [--seed S] ${EVIDENCE_USAGE}`;

const MOST_GAMES = 1_000_000;
const optionsSchema = evidenceOptions.extend({
  shots: z.string().optional(),
  games: z.coerce
    .number({ error: '--games is a whole number.' })
    .int('--games is a whole number.')
    .min(1, '--games is at least 1.')
    .max(MOST_GAMES, `--games is at most ${MOST_GAMES}.`)
    .default(FINE_GAMES),
  seed: z.coerce.number({ error: '--seed is a whole number.' }).int('--seed is a whole number.').default(SEED),
});

const round = (value: number) => Number(value.toFixed(4));

/** `forecast GAME.json`: what a good score is for a level, or for the player of some records, in the numbers of the designer. */
export function forecast(args: readonly string[], read: (path: string) => string): object {
  const options = { ...EVIDENCE_OPTIONS, shots: { type: 'string' }, games: { type: 'string' }, seed: { type: 'string' } } as const;
  const { words, options: asked } = readOptions(args, options, optionsSchema, USAGE);
  const [path] = words;
  if (!path || words.length > 1) throw new Error(`Usage: npm run -s inch -- ${USAGE}`);
  const game = gameAt(path, read);
  if (game.stations.length === 0) throw new Error(`${path}: it has no station yet: what is called while it is played can't be forecast.`);
  const { level, games, seed } = asked;
  const model = modelOf(shippedReference);
  const known = asked.shots === undefined ? null : knownOf(asked.shots, read(asked.shots), asked);
  const belief = known ? believe(known.evidence, model, level) : beliefOfLevel(model, level);
  const row = { entrant: entrantOfLevel(game, level), belief, ...(known ? { executed: known.executed } : {}) };
  const played = toTheEnd(playRow(game, row, model, games, seed));
  const outlook = outlookOf(game, played);
  const suggested = goalFor(game, played, WANTED_CHANCE, costUnitM(game.sizes));
  const unit = schemeOf(game.scoring).unit(game.scoring);
  return {
    ...(known ? { player: known.player, balls: known.evidence.balls } : {}),
    level,
    games,
    seed,
    unit: unit === 'length' ? 'm' : unit,
    mean: round(outlook.mean),
    p10: round(outlook.p10),
    p50: round(outlook.p50),
    p90: round(outlook.p90),
    goal: game.goal,
    not_done_chance: outlook.undone === null ? null : round(outlook.undone.chance),
    goal_chance: outlook.goalChance === null ? null : round(outlook.goalChance),
    suggested_goal: suggested && { goal: round(suggested.goal), chance: round(suggested.chance) },
    information_per_ball: round(informationOf(game, row, model)),
    ...(known && known.ignored.length > 0 ? { ignored_columns: known.ignored } : {}),
  };
}
