import { documentKind, type Step } from '../document';
import { NOTHING_PLANNED } from './calls';
import { scoringOfThree } from './scoring/older';
import type { GameSpec } from './spec';
import { NO_GROUND_SAID, NOWHERE_SAID } from './station';

/** How the shape of games changed, step by step. */
const STEPS: readonly Step[] = [
  // 2: a station says its hole, its name and what to think of there.
  (game) => ({
    ...game,
    stations: (game.stations as object[] | undefined)?.map((station) => ({ ...NOWHERE_SAID, ...station })) ?? [],
  }),
  // 3: holing out says what it counts, a matrix what it compares; phases can have stations of their own, open games a plan; a station says how
  // the ground lies; putting out is at once or after all.
  (game) => {
    const rules = game.rules as { puttOut?: boolean } | undefined;
    return {
      ...game,
      stations: (game.stations as object[]).map((station) => ({ ...NO_GROUND_SAID, ...station })),
      scoring: scoringOfThree(game.scoring),
      leadIn: ((game.leadIn as { scoring: unknown }[] | undefined) ?? []).map((phase) => ({
        stations: null,
        ...phase,
        scoring: scoringOfThree(phase.scoring),
      })),
      calls: NOTHING_PLANNED,
      ...(rules ? { rules: { ...rules, puttOut: rules.puttOut ? 'each' : 'no' } } : {}),
    };
  },
];

/**
 * Games that were stored. A game is played as it was, whatever may be designed today: what the designer is held to (sense.ts, the limits of
 * spec.ts) was looked at when it was saved, and a rule that became stricter since locks no session.
 */
export const storedGames = documentKind<GameSpec>(STEPS);
