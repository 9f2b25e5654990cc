import { documentKind, type Step } from '../document';
import type { GameSpec } from './spec';
import { NOWHERE_SAID } from './station';

/** How the shape of games changed, step by step. */
const STEPS: readonly Step[] = [
  // 2: a station says its hole, its name and what to think of there.
  (game) => ({
    ...game,
    stations: (game.stations as object[] | undefined)?.map((station) => ({ ...NOWHERE_SAID, ...station })) ?? [],
  }),
];

/**
 * Games that were stored. A game is played as it was, whatever may be designed today: what the designer is held to (sense.ts, the limits of
 * spec.ts) was looked at when it was saved, and a rule that became stricter since locks no session.
 */
export const storedGames = documentKind<GameSpec>(STEPS);
