import type { GameSpec } from '../game/spec';
import type { SkillModel } from '../skill/model';
import { FINE_GAMES, playRow, SEED } from './forecast';
import { toTheEnd } from './games';
import { playerOfLevel } from './levels';
import { luckOf } from './luck';
import { outlookOf, type Outlook } from './outlook';

/** Levels of a chart: from tour players to beginners. */
export const CHART_LEVELS = [-5, 0, 5, 10, 15, 20, 25, 30, 36] as const;

/** What a level scores in a game; and apart, by how much its scores differ by luck and the day, and by who plays: standard deviations in what the score counts. */
export type LevelLine = { level: number; outlook: Outlook; luckSd: number; peopleSd: number };

/** The expected score in a game by level; of a game without stations there is none. */
export function levelChart(game: GameSpec, model: SkillModel, levels: readonly number[] = CHART_LEVELS): LevelLine[] {
  if (game.stations.length === 0) return [];
  return levels.map((level) => {
    const player = playerOfLevel(game, level, model);
    const played = toTheEnd(playRow(game, player, model, FINE_GAMES, SEED));
    const scores = played.scores[0]!;
    const mean = scores.reduce((sum, score) => sum + score, 0) / scores.length;
    const all = scores.reduce((sum, score) => sum + (score - mean) ** 2, 0) / scores.length;
    const luckSd = luckOf(game, player, model);
    return { level, outlook: outlookOf(game, played), luckSd, peopleSd: Math.sqrt(Math.max(0, all - luckSd ** 2)) };
  });
}

/** A chart asked for as plain data. */
export type LevelChartTask = { kind: 'level_chart'; version: number; game: GameSpec };

/** @throws RangeError where it was asked of another model */
export function doLevelChart(model: SkillModel, { version, game }: LevelChartTask): LevelLine[] {
  if (version !== model.version) throw new RangeError(`model ${version} was asked of model ${model.version}`);
  return levelChart(game, model);
}
