import type { UnitSystem } from '../../units/length';
import { schemeOf, SCHEME_KINDS, type Scoring } from '.';
import { hits } from './hits';
import { holeOut } from './hole-out';

/** The simplest ways of scoring, for whoever needs one and does not mind which. */

/** What a new game begins with: the first that is offered. */
export function firstScoring(system: UnitSystem): Scoring {
  return schemeOf({ scheme: SCHEME_KINDS[0]! }).fresh(system);
}

/** What a phase before the one that counts begins with: one zone. */
export function leadInScoring(system: UnitSystem): Scoring {
  return hits.fresh(system);
}

/** One circle round the hole, of this radius in metres: in or out. */
export function oneCircle(radiusM: number): Scoring {
  return { scheme: 'hits', radiusM };
}

/** Strokes until the ball is in. */
export function strokesToHole(): Scoring {
  return holeOut.fresh('imperial');
}
