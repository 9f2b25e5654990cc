import { readGround, type Ground } from '@/core/physics/ground';
import { shotsOver, type Strike } from '@/core/physics/shot';
import { asideWith, finishWith, lands, solveShot } from '@/core/physics/solve';
import { nameOf, type LandingOption } from '@/core/tools/landing-options';

/** A shot as it is drawn: where it passes, lands and stops; metres along the line and above the ball. */
export type Flown = {
  name: string;
  path: (readonly [x: number, z: number])[];
  top: readonly [x: number, z: number];
  topM: number;
  landsM: number;
  finishM: number | null;
  /** How far a side slope takes it to the right. */
  driftM: number;
};

/**
 * Flies shots over one line of ground, to be drawn: a thousandth of a second each.
 * @param lies how the ball lies there, and the wind
 */
export function flyer(ground: Ground, lies: Omit<Strike, 'loftDeg' | 'flight'>, k: number) {
  const play = shotsOver(ground);
  const { heightAt } = readGround(ground);
  return {
    heightAt,
    /** @param carryM where it is to land, instead of where it stops at the hole */
    fly({ club, flight, headSpeed }: Pick<LandingOption, 'club' | 'flight' | 'headSpeed'>, carryM: number | null = null): Flown {
      const strike: Strike = { loftDeg: club.loftDeg, flight, ...lies };
      const moved = carryM === null ? null : solveShot(play, strike, carryM, lands);
      const speed = moved?.answer === 'found' ? moved.headSpeed : headSpeed;
      const path: [number, number][] = [[0, 0]];
      const shot = play(speed, strike, (x, z) => path.push([x, z]));
      const finishM = finishWith(k)(shot);
      // The roll is along the ground.
      const rollFrom = path.at(-1)![0];
      const rollTo = finishM ?? rollFrom + 5;
      for (let i = 1; i <= 8; i++) {
        const x = rollFrom + ((rollTo - rollFrom) * i) / 8;
        path.push([x, heightAt(x)]);
      }
      const top = path.reduce((best, at) => (at[1] > best[1] ? at : best));
      return { name: nameOf({ club, flight }), path, top, topM: top[1], landsM: shot.carryM, finishM, driftM: asideWith(k)(shot) };
    },
  };
}
