import { lifted, versionOf, type Step } from '../document';
import type { GameSpec } from './spec';

/*
 * A game that was stored is played as it was, whatever may be designed today: what the designer is held to (sense.ts, the limits of spec.ts)
 * was looked at when it was saved, and a rule that became stricter since locks no session.
 */

/** How the shape of games changed, step by step. */
const STEPS: readonly Step[] = [];
/** The version of the games that this program makes. */
export const GAME_VERSION = STEPS.length + 1;

/** Whether a stored game is of a version that this program can play: a newer one may mean what it does not know. */
export function understandsGame(document: unknown): boolean {
  return typeof document === 'object' && document !== null && versionOf(document) <= GAME_VERSION;
}

/** A game that was stored, in the present shape. */
export function storedGame(document: unknown): GameSpec {
  return lifted(document, STEPS) as GameSpec;
}
