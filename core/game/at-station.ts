import { schemeOf } from './scoring';
import type { GameSpec } from './spec';

/**
 * A game at one of its stations alone: its balls, scored as they are, with no goal and no phase before it.
 * @returns null where the game has no such station, and where its stations are not played by so many balls each
 */
export function atStation(game: GameSpec, key: string): GameSpec | null {
  const station = game.stations.find((one) => one.key === key);
  if (!station || !schemeOf(game.scoring).countsBalls) return null;
  return { ...game, open: false, order: 'blocked', stations: [station], leadIn: [], goal: null };
}
