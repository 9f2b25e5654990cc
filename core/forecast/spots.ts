import type { Station } from '../game/station';
import type { ShotType, Surface } from '../golf/words';
import { lieCost } from '../skill/groups';
import { levelCurve, type Prior } from '../skill/prior';
import type { Reference } from '../skill/reference';
import { METRES_PER } from '../units/length';

/** Where a ball of a game is played from, as the skill model knows the place. */
export type Spot =
  | {
      putt: false;
      /** The cell that stands for it. */
      cell: number;
      /** ln of what the level leaves in the middle, in metres, the lie included; and of the cap under which a ball is holed. */
      mu: number;
      logCap: number;
    }
  | { putt: true; ft: number; bands: Float64Array };

/** What stands for a shot that the reference does not know from a surface. A judgement. */
const STAND_INS: Readonly<Partial<Record<`${ShotType}|${Surface}`, ShotType>>> = {
  'fringe_putt|fringe': 'bump_and_run',
  'fringe_putt|fairway': 'bump_and_run',
  'fringe_putt|light_rough': 'bump_and_run',
  'fringe_putt|bare': 'bump_and_run',
  'bump_and_run|heavy_rough': 'chip',
  'pitch|fringe': 'chip',
  'lob|fringe': 'chip',
  'lob|bare': 'pitch',
};

/** As which shot one is forecast: as itself, but for those that the reference does not know. */
export function playedAs({ shotType, surface }: Pick<Station, 'shotType' | 'surface'>): ShotType {
  return STAND_INS[`${shotType}|${surface}`] ?? shotType;
}

/** The spot of a station: its own distance and lie, by the nearest cell of its shot and surface. */
export function spotOf(station: Station, prior: Prior, reference: Reference): Spot {
  const { surface, distanceM } = station;
  if (station.shotType === 'putt') return { putt: true, ft: distanceM / METRES_PER.ft, bands: prior.bandsAt(distanceM) };
  const shotType = playedAs(station);
  let cell = -1;
  prior.cells.forEach((one, i) => {
    if (one.shotType !== shotType || one.surface !== surface) return;
    const off = (at: number) => Math.abs(Math.log(prior.cells[at]!.distanceM / distanceM));
    if (cell === -1 || off(i) < off(cell)) cell = i;
  });
  if (cell === -1) throw new RangeError(`the reference has no ${shotType} from ${surface}`);
  const { mu, logCap } = levelCurve(reference, prior.level, { shotType, surface }, distanceM);
  return { putt: false, cell, mu: mu + lieCost(station), logCap };
}
