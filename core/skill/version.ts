import { PUTTING_CONSTANTS } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { hash32 } from '../math/hash';
import { COUNT_FOR_AT_MOST } from './discount';
import { LIKELY, SCALES } from './fit';
import { BLUR } from '../golf/blur';
import { BINNING, LANDING_STEP_M, PLACE, SIT_COSTS, STANCE_COSTS } from './groups';
import { LANDED, LANDING_CONSTANTS, LANDS_ANYWHERE } from './landing';
import { SDS } from './prior';
import { SHAPE_CONSTANTS } from './shape';

/**
 * Raised with every change of what is believed that comes neither of the reference nor of a constant below; a test says when
 * it has to be.
 */
export const REVISION = 4;

const CONSTANTS = [
  PUTTING_CONSTANTS,
  COUNT_FOR_AT_MOST,
  [SCALES, LIKELY, SDS],
  [BINNING, BLUR, LANDING_STEP_M, PLACE, SIT_COSTS, STANCE_COSTS],
  [LANDED, LANDING_CONSTANTS, LANDS_ANYWHERE],
  SHAPE_CONSTANTS,
];

const versions = new WeakMap<Reference, number>();

/**
 * Which model stands over a reference: a hash of the reference's table, of the model's constants and its revision. What was
 * believed by another is never used.
 * @returns a whole number of 32 bits with its sign, as a database keeps it
 */
export function versionOf(reference: Reference): number {
  let version = versions.get(reference);
  if (version === undefined) versions.set(reference, (version = hash32(JSON.stringify([REVISION, CONSTANTS, reference.table])) | 0));
  return version;
}
