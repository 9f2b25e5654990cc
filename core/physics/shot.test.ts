import fc from 'fast-check';
import { METRES_PER } from '../units/length';
import type { Surface } from '../golf/words';
import { bounce } from './bounce';
import { GRAVITY, slowing } from './ball';
import { fly } from './flight';
import type { Firmness, Stretch } from './ground';
import { launch, type Flight, type PlayableLie } from './launch';
import { roll } from './roll';
import { shotsOver, type ShotResult, type Strike } from './shot';
import { finishWith, lands, solveShot } from './solve';

const FLIGHTS: Flight[] = ['low', 'medium', 'high'];
const yd = (yards: number) => yards * METRES_PER.yd;
/** One surface as far as it goes. */
const all = (surface: Surface, slope = 0): Stretch[] => [{ toM: Infinity, surface, slope }];
const green = (slope = 0, stimpFt = 10, firmness: Firmness = 'medium') => shotsOver({ stretches: all('green', slope), stimpFt, firmness });
const toHole = finishWith(1);

function found(play: ReturnType<typeof shotsOver>, strike: Strike, distanceM: number): ShotResult {
  const solved = solveShot(play, strike, distanceM, toHole);
  if (solved.answer !== 'found') throw new Error(solved.answer);
  return solved.shot;
}
const runShare = ({ carryM, finishM }: ShotResult) => (finishM! - carryM) / carryM;

test('without air a ball flies the parabola that can be worked out by hand', () => {
  // Slow enough for the air to do nothing: 3 m/s at 45° comes down after v²/g = 0.917 m, 0.229 m high.
  const { x, apexM } = fly({ x: 0, z: 0, vx: 3 / Math.SQRT2, vz: 3 / Math.SQRT2, spin: 0 }, () => 0);
  expect(x).toBeGreaterThan(0.9);
  expect(x).toBeLessThan(9 / GRAVITY);
  expect(apexM).toBeCloseTo(9 / GRAVITY / 4, 2);
});

test('a ball flies farther with a helping wind, and on ground that falls away', () => {
  const from = { x: 0, z: 0, vx: 12, vz: 9, spin: 300 };
  const calm = fly(from, () => 0).x;
  expect(fly(from, () => 0, 4).x).toBeGreaterThan(calm);
  expect(fly(from, () => 0, -4).x).toBeLessThan(calm);
  expect(fly(from, (x) => -0.05 * x).x).toBeGreaterThan(calm);
});

test('a stimpmeter’s ball rolls the reading on level ground', () => {
  const patch = { surface: 'green' as const, slope: 0, side: 0, bounce: 1, give: 1, slowing: slowing(10) };
  expect(roll(0, 1.83, [Infinity], () => patch)!.x / METRES_PER.ft).toBeCloseTo(10, 6);
  // Uphill by 2%: 1.83² / 2 ÷ (0.5494 + 5/7 · 9.81 · 0.019996) = 2.429 m.
  expect(roll(0, 1.83, [Infinity], () => ({ ...patch, slope: 0.02 }))!.x).toBeCloseTo(2.429, 2);
  // 8% downhill at this speed of the green nothing stops a ball; uphill it comes back and never stops.
  expect(roll(0, 1, [Infinity], () => ({ ...patch, slope: -0.08 }))).toBeNull();
  expect(roll(0, 1, [Infinity], () => ({ ...patch, slope: 0.09 }))).toBeNull();
});

test('what rolls over two surfaces slows as each does', () => {
  // 1.5 m of fringe (1.5 times as slow) and then green: v² = 4 − 2·0.8241·1.5 = 1.528, and on for 1.39 m.
  const at = (x: number) => ({
    surface: 'green' as const,
    slope: 0,
    side: 0,
    bounce: 1,
    give: 1,
    slowing: slowing(10) * (x < 1.5 ? 1.5 : 1),
  });
  expect(roll(0, 2, [1.5, Infinity], at)!.x).toBeCloseTo(1.5 + 1.528 / 2 / slowing(10), 2);
});

test('a bounce never gains energy', () => {
  const energy = ({ along, up, spin }: { along: number; up: number; spin: number }) => along ** 2 + up ** 2 + 0.4 * (0.02135 * spin) ** 2;
  fc.assert(
    fc.property(
      fc.double({ min: -15, max: 25, noNaN: true }),
      fc.double({ min: -25, max: -0.05, noNaN: true }),
      fc.double({ min: -300, max: 900, noNaN: true }),
      fc.constantFrom({ bounce: 0.85, give: 1.35 }, { bounce: 1, give: 1 }, { bounce: 1.12, give: 0.7 }),
      (along, up, spin, patch) => {
        const ball = { along, up, spin };
        expect(energy(bounce(ball, patch))).toBeLessThanOrEqual(energy(ball) * (1 + 1e-9));
      },
    ),
  );
});

test('a club with more loft sends the ball higher and slower, with more spin until the face slips', () => {
  for (const flight of FLIGHTS)
    for (const lie of ['fairway', 'light_rough', 'bare'] as PlayableLie[])
      for (let loft = 30; loft < 60; loft += 5) {
        const [flatter, higher] = [launch(10, { loftDeg: loft, flight, lie }), launch(10, { loftDeg: loft + 5, flight, lie })];
        expect(higher.angleDeg).toBeGreaterThan(flatter.angleDeg);
        if (lie === 'fairway' && loft < 45) expect(higher.spin).toBeGreaterThan(flatter.spin);
        expect(higher.speed).toBeLessThan(flatter.speed);
      }
});

test('less loft, or a lower flight: a larger share of run and a lower top', () => {
  const play = green();
  for (const distanceM of [yd(10), yd(20), yd(30)]) {
    for (const flight of FLIGHTS) {
      const shots = [58, 52, 46, 40, 34].map((loftDeg) => found(play, { loftDeg, flight, lie: 'fairway' }, distanceM));
      for (let i = 1; i < shots.length; i++) {
        expect(runShare(shots[i]!)).toBeGreaterThan(runShare(shots[i - 1]!));
        expect(shots[i]!.apexM).toBeLessThan(shots[i - 1]!.apexM);
      }
    }
    const [low, medium, high] = FLIGHTS.map((flight) => found(play, { loftDeg: 54, flight, lie: 'fairway' }, distanceM));
    expect(runShare(low!)).toBeGreaterThan(runShare(medium!));
    expect(runShare(medium!)).toBeGreaterThan(runShare(high!));
  }
});

test('carry rises with distance, uphill and softness, and falls with green speed and firmness', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(58, 52, 46, 38),
      fc.constantFrom(...FLIGHTS),
      fc.double({ min: 6, max: 25, noNaN: true }),
      (loftDeg, flight, distanceM) => {
        const strike: Strike = { loftDeg, flight, lie: 'fairway' };
        const carry = (play: ReturnType<typeof shotsOver>, far = distanceM) => found(play, strike, far).carryM;
        const usual = carry(green());
        expect(carry(green(), distanceM + 1)).toBeGreaterThan(usual);
        expect(carry(green(0.02))).toBeGreaterThan(usual);
        expect(carry(green(0, 10, 'soft'))).toBeGreaterThan(usual);
        expect(carry(green(0, 12))).toBeLessThan(usual);
        expect(carry(green(0, 10, 'firm'))).toBeLessThan(usual);
      },
    ),
    { numRuns: 40 },
  );
});

test('a faster swing never stops shorter, up to a carry of 30 yd', () => {
  for (const loftDeg of [34, 46, 54, 58])
    for (const flight of FLIGHTS) {
      const play = green();
      let before = 0;
      for (let speed = 2; speed < 25; speed += 0.1) {
        const shot = play(speed, { loftDeg, flight, lie: 'fairway' });
        if (shot.carryM > yd(30)) break;
        expect(shot.finishM!).toBeGreaterThanOrEqual(before - 0.02);
        before = shot.finishM!;
      }
    }
});

test('a time step ten times as fine moves the finish by less than 3 cm', () => {
  const ground = { stretches: all('green'), stimpFt: 10, firmness: 'medium' as const };
  const [usual, fine] = [shotsOver(ground), shotsOver(ground, 0.002)];
  for (const loftDeg of [34, 46, 58])
    for (const flight of FLIGHTS)
      for (const speed of [4, 8, 12]) {
        const strike: Strike = { loftDeg, flight, lie: 'fairway' };
        const [one, other] = [usual(speed, strike), fine(speed, strike)];
        if (one.carryM > yd(30)) continue;
        expect(Math.abs(one.finishM! - other.finishM!)).toBeLessThan(0.03);
        expect(Math.abs(one.carryM - other.carryM)).toBeLessThan(0.005);
      }
});

test('parts of run to one part of carry, low, 15 yd on a flat green of 10 ft', () => {
  // What an earlier prototype of the same equations gave.
  const expected = [
    [60, 1.1],
    [56, 1.4],
    [46, 2.7],
    [42, 3.4],
    [38, 4.2],
    [34, 5.1],
  ] as const;
  for (const [loftDeg, parts] of expected) {
    const share = runShare(found(green(), { loftDeg, flight: 'low', lie: 'fairway' }, yd(15)));
    expect(Math.abs(share - parts)).toBeLessThan(0.11);
  }
});

test('sand keeps what falls into it, and a ball that rolls into it', () => {
  const play = shotsOver({
    stretches: [
      { toM: 5, surface: 'fairway', slope: 0 },
      { toM: 9, surface: 'sand', slope: 0 },
      { toM: Infinity, surface: 'green', slope: 0 },
    ],
    stimpFt: 10,
    firmness: 'medium',
  });
  const strike: Strike = { loftDeg: 54, flight: 'medium', lie: 'fairway' };
  const short = solveShot(play, strike, 7, lands);
  expect(short.answer === 'found' && short.shot).toMatchObject({ landsOn: 'sand', finishM: expect.closeTo(7, 1) as number });
  for (let speed = 2; speed < 12; speed += 0.2) {
    const shot = play(speed, strike);
    if (shot.carryM < 5) expect(shot.finishM!).toBeLessThanOrEqual(9);
  }
});

describe('the answers that are no shot', () => {
  test('a fall too steep for the speed of the green: it will not stop', () => {
    expect(solveShot(green(-0.1, 11), { loftDeg: 54, flight: 'high', lie: 'fairway' }, yd(12), toHole).answer).not.toBe('found');
  });
  test('too far for any swing', () => {
    expect(solveShot(green(), { loftDeg: 58, flight: 'high', lie: 'heavy_rough' }, yd(120), toHole)).toEqual({ answer: 'too_far' });
  });
  test('an edge on which the ball either stops or jumps: no reliable spot', () => {
    // Sand up to 8 m, then green: what lands short stays there, what carries it runs past.
    const play = shotsOver({
      stretches: [
        { toM: 2, surface: 'fairway', slope: 0 },
        { toM: 8, surface: 'sand', slope: 0 },
        { toM: Infinity, surface: 'green', slope: 0 },
      ],
      stimpFt: 11,
      firmness: 'firm',
    });
    expect(solveShot(play, { loftDeg: 50, flight: 'high', lie: 'fairway' }, 9, toHole)).toEqual({ answer: 'no_reliable_spot' });
  });
});

test('a solved shot stops where it should', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 30, max: 60 }),
      fc.constantFrom(...FLIGHTS),
      fc.double({ min: 4, max: 35, noNaN: true }),
      fc.double({ min: -0.03, max: 0.05, noNaN: true }),
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      (loftDeg, flight, distanceM, slope, k) => {
        const reaches = finishWith(k);
        const solved = solveShot(green(slope, 9), { loftDeg, flight, lie: 'fairway' }, distanceM, reaches);
        if (solved.answer === 'found') expect(Math.abs(reaches(solved.shot)! - distanceM)).toBeLessThan(0.41);
        else expect(solved.answer).not.toBe('will_not_stop');
      },
    ),
    { numRuns: 60 },
  );
});
