import { isPutt } from '../golf/shot-types';
import { cellsOf, type Cell } from './cells';
import { Judge } from './judge';
import { priorOf, type Prior } from './prior';
import type { Reference } from '../golf/reference';
import { versionOf } from './version';

/** As many levels as are kept at hand. */
const MOST = 60;

/** A reference with what is made of it once and then kept: its cells, and by level what is believed before any ball, and the judges. */
export class SkillModel {
  readonly cells: readonly Cell[];
  /** What was believed by a model of another version is never used. */
  readonly version: number;
  readonly #priors = new Map<number, Prior>();
  readonly #judges = new Map<string, Judge>();

  constructor(readonly reference: Reference) {
    this.cells = cellsOf(reference);
    this.version = versionOf(reference);
  }

  /** What is believed of a player who was entered with this level. */
  prior(level: number): Prior {
    return kept(this.#priors, level, () => priorOf(this.cells, this.reference, level));
  }

  /** Who says what players of a level lose against another level, or against their own. */
  judge(level: number, against: number): Judge {
    return kept(this.#judges, `${level}|${against}`, () => new Judge(this.prior(level), this.reference, against));
  }

  /** The strokes that a level needs from a cell, as its table says: what comes of missed greens included. */
  expects(cell: number, level: number): number {
    const { shotType, surface, distanceM } = this.cells[cell]!;
    if (isPutt(shotType)) return Math.max(1, this.reference.putts(level, distanceM));
    return this.reference.shot(level, shotType, surface, distanceM)!.expectedStrokes;
  }

  /** How often each cell comes up in 18 holes at a level, by the reference: the preset round mix. */
  mix(level: number): Map<string, number> {
    return new Map(this.cells.map((cell) => [cell.key, this.reference.uses(level, cell.shotType, cell.surface, cell.distanceM)]));
  }
}

function kept<K, V>(held: Map<K, V>, key: K, make: () => V): V {
  let found = held.get(key);
  if (found === undefined) {
    if (held.size >= MOST) held.clear();
    held.set(key, (found = make()));
  }
  return found;
}

const models = new WeakMap<Reference, SkillModel>();

/** The model over a reference; the same for the same reference. */
export function modelOf(reference: Reference): SkillModel {
  let found = models.get(reference);
  if (!found) models.set(reference, (found = new SkillModel(reference)));
  return found;
}
