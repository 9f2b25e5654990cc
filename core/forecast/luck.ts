import type { GameSpec } from '../game/spec';
import type { SkillModel } from '../skill/model';
import { playRow } from './forecast';
import { toTheEnd, type ForecastPlayer } from './games';

/** Games of each draw behind it, and about so many draws. */
const GAMES_EACH = 10;

/**
 * By how much a player's scores in a game differ by luck and the day alone, as a standard deviation in what the score counts: over games of
 * one and the same skill, each draw of what is believed by itself.
 */
export function luckOf(game: GameSpec, player: ForecastPlayer, model: SkillModel): number {
  const draws = player.belief.draws.length;
  const scores = toTheEnd(playRow(game, player, model, draws * GAMES_EACH)).scores[0]!;
  let squares = 0;
  // Each draw plays so many games in a row.
  for (let from = 0; from < scores.length; from += GAMES_EACH) {
    const own = scores.subarray(from, from + GAMES_EACH);
    const mean = own.reduce((sum, score) => sum + score, 0) / own.length;
    for (const score of own) squares += (score - mean) ** 2;
  }
  return Math.sqrt(squares / (scores.length - draws));
}
