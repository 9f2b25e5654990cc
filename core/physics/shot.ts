import { bounce } from './bounce';
import { BALL_R, GRAVITY, ROLLING } from './ball';
import { fly, STEP_S } from './flight';
import { readGround, type Ground } from './ground';
import { launch, type Struck } from './launch';
import { roll, rollingSpeed } from './roll';
import type { Surface } from '../golf/words';

/** A shot as it is struck; wind along the line in m/s (positive helps). */
export type Strike = Struck & { wind?: number };

/** What became of a shot, along its line: metres, degrees, seconds left out. */
export type ShotResult = {
  carryM: number;
  /** Where it first came down. */
  landsOn: Surface;
  landingDeg: number;
  apexM: number;
  /** Where it stopped; null where it never does. */
  finishM: number | null;
  /** How far a side slope took it to the right of the line in which it was struck. */
  asideM: number;
};

/** A ball that bounces lower than this rolls, in metres. */
const ROLLS_UNDER_M = 0.005;
const MOST_BOUNCES = 40;

/** Is told where a ball passes: metres along the line, and above where it was played from. */
export type Pass = (x: number, z: number) => void;

/** Plays shots over one line of ground: the ground is read once. */
export function shotsOver(ground: Ground, stepS = STEP_S): (headSpeed: number, strike: Strike, pass?: Pass) => ShotResult {
  const { at, heightAt, ends } = readGround(ground);
  const runFrom = (x: number, along: number, spin: number, aside: { right: number; speed: number }) => {
    const stopped = roll(x, rollingSpeed(along, spin), ends, at, aside);
    return { finishM: stopped?.x ?? null, asideM: stopped?.right ?? 0 };
  };

  return (headSpeed, strike, pass) => {
    const { wind = 0 } = strike;
    const { speed, angleDeg, spin } = launch(headSpeed, strike);
    const angle = (angleDeg * Math.PI) / 180;
    const start = { x: 0, z: 0, vx: speed * Math.cos(angle), vz: speed * Math.sin(angle), spin };
    let ball = fly(start, heightAt, wind, stepS, pass);
    const landed = { carryM: ball.x, apexM: ball.apexM, landsOn: at(ball.x).surface };
    const aside = { right: 0, speed: 0 };
    const landingDeg = (Math.atan2(-ball.vz, ball.vx) * 180) / Math.PI;
    for (let n = 0; n < MOST_BOUNCES; n++) {
      const patch = at(ball.x);
      if (patch.surface === 'sand') return { ...landed, landingDeg, finishM: ball.x, asideM: aside.right };
      // Along and off the ground as it slopes here, and back.
      const incline = Math.atan(patch.slope);
      const [cos, sin] = [Math.cos(incline), Math.sin(incline)];
      const moving = { along: ball.vx * cos + ball.vz * sin, up: ball.vz * cos - ball.vx * sin, spin: ball.spin };
      const after = bounce(moving, patch);
      // What throws it up throws it down a side slope as well, less what it takes to roll that way.
      aside.speed -= ROLLING * patch.side * (after.up - moving.up);
      if (after.up ** 2 / (2 * GRAVITY) < ROLLS_UNDER_M)
        return { ...landed, landingDeg, ...runFrom(ball.x, after.along, after.spin, aside) };
      const hop = {
        x: ball.x,
        z: ball.z,
        vx: after.along * cos - after.up * sin,
        vz: after.up * cos + after.along * sin,
        spin: after.spin,
      };
      aside.right += (aside.speed * 2 * after.up) / GRAVITY;
      ball = fly(hop, heightAt, wind, stepS, pass);
    }
    return { ...landed, landingDeg, ...runFrom(ball.x, ball.vx, -ball.vx / BALL_R, aside) };
  };
}
