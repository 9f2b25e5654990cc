import { isPutt } from '../golf/shot-types';
import type { Station } from '../game/station';
import { lieCost } from '../skill/groups';
import { landingShare, usualSpotM } from '../skill/landing';
import { levelCurve, type Prior } from '../skill/prior';
import type { Reference } from '../golf/reference';
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
      /** How many of the balls that end anywhere are holed. */
      luck: number;
      distanceM: number;
      /** Where the ball should land, and how far it does as a share of what it leaves. */
      landing: number;
    }
  | { putt: true; ft: number; bands: Float64Array };

/** The spot of a station: its own distance and lie, by the nearest cell of its shot and surface. */
export function spotOf(station: Station, prior: Prior, reference: Reference): Spot {
  const { surface, distanceM } = station;
  if (isPutt(station.shotType)) return { putt: true, ft: distanceM / METRES_PER.ft, bands: prior.bandsAt(distanceM) };
  const { shotType } = station;
  let cell = -1;
  prior.cells.forEach((one, i) => {
    if (one.shotType !== shotType || one.surface !== surface) return;
    const off = (at: number) => Math.abs(Math.log(prior.cells[at]!.distanceM / distanceM));
    if (cell === -1 || off(i) < off(cell)) cell = i;
  });
  if (cell === -1) throw new RangeError(`the reference has no ${shotType} from ${surface}`);
  const { mu, ...curve } = levelCurve(reference, prior.level, { shotType, surface }, distanceM);
  const landing = landingShare(distanceM, station.carryM ?? usualSpotM(shotType, distanceM));
  return { putt: false, cell, mu: mu + lieCost(station), ...curve, distanceM, landing };
}
