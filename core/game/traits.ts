import { familyOf, FAMILIES, type Family } from '../golf/shot-types';
import { SURFACES, type Surface } from '../golf/words';
import { budgetOf, roundMinutes } from './budget';
import { schemeOf } from './scoring';
import type { GameSpec } from './spec';
import { allStations } from './station';

/** By what a coach looks for a game. */
export type Traits = {
  /** What it trains. */
  families: Family[];
  /** From where its balls are played. */
  surfaces: Surface[];
  /** For one player, in minutes; null for a game whose stations are called while it is played. */
  minutes: number | null;
  /** The fewest who can play it. */
  players: 1 | 2;
};

/** What a game is looked for by; families and surfaces in the order of the vocabulary. */
export function traitsOf(game: GameSpec): Traits {
  const stations = allStations(game);
  return {
    families: FAMILIES.filter((family) => stations.some(({ shotType }) => familyOf(shotType) === family)),
    surfaces: SURFACES.filter((surface) => stations.some((station) => station.surface === surface)),
    minutes: stations.length === 0 ? null : roundMinutes(budgetOf(game).totalS),
    players: schemeOf(game.scoring).players,
  };
}
