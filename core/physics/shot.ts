import { bounce } from './bounce';
import { BALL_R, GRAVITY } from './ball';
import { fly, STEP_S } from './flight';
import { readGround, type Ground } from './ground';
import { launch, type Flight, type PlayableLie } from './launch';
import { roll, rollingSpeed } from './roll';
import type { Surface } from '../golf/words';

/** A shot as it is struck: loft in degrees, wind along the line in m/s (positive helps). */
export type Strike = { loftDeg: number; flight: Flight; lie: PlayableLie; wind?: number };

/** What became of a shot, along its line: metres, degrees, seconds left out. */
export type ShotResult = {
  carryM: number;
  /** Where it first came down. */
  landsOn: Surface;
  landingDeg: number;
  apexM: number;
  /** Where it stopped; null where it never does. */
  finishM: number | null;
};

/** A ball that bounces lower than this rolls, in metres. */
const ROLLS_UNDER_M = 0.005;
const MOST_BOUNCES = 40;

/** Is told where a ball passes: metres along the line, and above where it was played from. */
export type Pass = (x: number, z: number) => void;

/** Plays shots over one line of ground: the ground is read once. */
export function shotsOver(ground: Ground, stepS = STEP_S): (headSpeed: number, strike: Strike, pass?: Pass) => ShotResult {
  const { at, heightAt, ends } = readGround(ground);
  const runFrom = (x: number, along: number, spin: number) => roll(x, rollingSpeed(along, spin), ends, at);

  return (headSpeed, { loftDeg, flight, lie, wind = 0 }, pass) => {
    const { speed, angleDeg, spin } = launch(headSpeed, loftDeg, flight, lie);
    const angle = (angleDeg * Math.PI) / 180;
    const start = { x: 0, z: 0, vx: speed * Math.cos(angle), vz: speed * Math.sin(angle), spin };
    let ball = fly(start, heightAt, wind, stepS, pass);
    const landed = { carryM: ball.x, apexM: ball.apexM, landsOn: at(ball.x).surface };
    const landingDeg = (Math.atan2(-ball.vz, ball.vx) * 180) / Math.PI;
    for (let n = 0; n < MOST_BOUNCES; n++) {
      const patch = at(ball.x);
      if (patch.surface === 'sand') return { ...landed, landingDeg, finishM: ball.x };
      // Along and off the ground as it slopes here, and back.
      const incline = Math.atan(patch.slope);
      const [cos, sin] = [Math.cos(incline), Math.sin(incline)];
      const moving = { along: ball.vx * cos + ball.vz * sin, up: ball.vz * cos - ball.vx * sin, spin: ball.spin };
      const after = bounce(moving, patch);
      if (after.up ** 2 / (2 * GRAVITY) < ROLLS_UNDER_M) {
        const finishM = runFrom(ball.x, after.along, after.spin);
        return { ...landed, landingDeg, finishM };
      }
      const hop = {
        x: ball.x,
        z: ball.z,
        vx: after.along * cos - after.up * sin,
        vz: after.up * cos + after.along * sin,
        spin: after.spin,
      };
      ball = fly(hop, heightAt, wind, stepS, pass);
    }
    return { ...landed, landingDeg, finishM: runFrom(ball.x, ball.vx, -ball.vx / BALL_R) };
  };
}
