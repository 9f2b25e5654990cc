import { shotsOver, type Strike } from '../physics/shot';
import type { PlayableLie } from '../physics/launch';
import type { Shot } from '../shot/shot';
import type { Station } from '../game/station';
import { runFactor, type RunFactor } from './run-factor';
import { LEAST_LOFT, type Club } from './landing-options';
import { USUAL_STIMP_FT } from './terrain';

/** What of a ball says how far it flew: recorded, or from where it should have landed and by how much it missed that. */
export type CarriedShot = Pick<
  Shot,
  | 'shotType'
  | 'surface'
  | 'trajectory'
  | 'swingMark'
  | 'clubLabel'
  | 'distanceM'
  | 'holed'
  | 'leftM'
  | 'bearingDeg'
  | 'intendedM'
  | 'stimpFt'
  | 'firmness'
  | 'playedAt'
> & { carryM: number };

/** How far a ball flew, in metres: null where nothing says so. */
export function carryOf(shot: Pick<Shot, 'carryM' | 'landingErrorM'>, station: Pick<Station, 'carryM'> | undefined): number | null {
  if (shot.carryM !== null) return shot.carryM;
  if (shot.landingErrorM === null || !station || station.carryM === null) return null;
  return Math.max(0, station.carryM + shot.landingErrorM);
}

/** Where a ball stopped along its line, in metres from where it was played: null where its direction is not known. */
function finishOf({ distanceM, holed, leftM, bearingDeg }: CarriedShot): number | null {
  if (holed) return distanceM;
  if (leftM === null) return null;
  if (bearingDeg === null) return null;
  return distanceM + leftM * Math.cos((bearingDeg * Math.PI) / 180);
}

/** How much farther a player's balls run than the model has it, from records of where they landed and stopped. */
export function runOf(shots: readonly CarriedShot[], clubs: readonly Club[]): RunFactor {
  return runFactor(
    shots.flatMap((shot) => {
      const club = clubs.find(({ label, loftDeg }) => label === shot.clubLabel && loftDeg >= LEAST_LOFT);
      const finishM = finishOf(shot);
      if (!club || finishM === null || shot.surface === 'sand' || shot.surface === 'green') return [];
      const ground = {
        stretches: [{ toM: Infinity, surface: 'green' as const, slope: 0 }],
        stimpFt: shot.stimpFt ?? USUAL_STIMP_FT,
        firmness: shot.firmness ?? 'medium',
      };
      const strike: Strike = { loftDeg: club.loftDeg, flight: shot.trajectory ?? 'medium', lie: shot.surface as PlayableLie };
      return [{ carryM: shot.carryM, finishM, play: shotsOver(ground), strike }];
    }),
  );
}
