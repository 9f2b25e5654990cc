import fc from 'fast-check';
import { METRES_PER } from '../units/length';
import { slowing } from './ball';
import { launch, pullDeg, type Struck } from './launch';
import { evenGreen, rollPutt } from './putt';
import { readGround, type Stretch } from './ground';
import { roll } from './roll';
import { shotsOver } from './shot';
import { finishWith, solveShot } from './solve';

const rollOver = (stretches: Stretch[], speed: number, stimpFt = 10) => {
  const { at, ends } = readGround({ stretches, stimpFt, firmness: 'medium' });
  return roll(0, speed, ends, at)!;
};
const green = (slope: number, side: number, toM = Infinity): Stretch => ({ toM, surface: 'green', slope, side });

test('a ball that rolls straight across a fall of 2% ends where it can be worked out by hand', () => {
  // It rolls L = 3.048 m and slows by a = 0.5494 m/s²; pulled to the side by G = 5/7 · 9.81 · 0.019996 = 0.1401 m/s² it ends L·G/2a = 0.389 m down.
  const { x, right } = rollOver([green(0, 0.02)], 1.83);
  expect(x).toBeCloseTo(3.048, 3);
  expect(right).toBeCloseTo(-0.389, 3);
  expect(slowing(10)).toBeCloseTo(0.5494, 4);
});

test('it ends where a putt does that is rolled step by step over the same slope', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.8, max: 3, noNaN: true }),
      fc.double({ min: -0.025, max: 0.05, noNaN: true }),
      fc.double({ min: -0.025, max: 0.025, noNaN: true }),
      (speed, slope, side) => {
        const { x, right } = rollOver([green(slope, side)], speed, 9);
        const [putted, ahead] = rollPutt(100, speed, 0, evenGreen(9, side, slope), false).stops!;
        // The putt is slowed along its bent way, so it ends a little shorter and less to the side.
        expect(Math.abs(right - putted)).toBeLessThan(0.02 + 0.12 * Math.abs(putted));
        expect(Math.abs(x - ahead)).toBeLessThan(0.02 + 0.06 * ahead);
      },
    ),
    { numRuns: 200 },
  );
});

test('a slope that is cut into stretches bends a ball as much as a whole one', () => {
  for (const [slope, side] of [
    [0, 0.02],
    [0.02, -0.015],
    [-0.02, 0.01],
  ] as const) {
    const [whole, cut] = [
      rollOver([green(slope, side)], 2),
      rollOver([green(slope, side, 0.7), green(slope, side, 1.9), green(slope, side)], 2),
    ];
    expect(cut.x).toBeCloseTo(whole.x, 6);
    expect(cut.right).toBeCloseTo(whole.right, 6);
  }
});

const chip: Struck = { loftDeg: 50, flight: 'medium', lie: 'fairway' };
const toHole = (side: number, struck = chip, slope = 0) => {
  const play = shotsOver({ stretches: [green(slope, side)], stimpFt: 9, firmness: 'medium' });
  const solved = solveShot(play, struck, 15 * METRES_PER.yd, finishWith(1));
  if (solved.answer !== 'found') throw new Error(solved.answer);
  return solved.shot;
};

test('a side slope takes a shot down it, the more the longer it runs, and leaves how far it goes', () => {
  const level = toHole(0);
  expect(level.asideM).toBe(0);
  const [left, right] = [toHole(0.02), toHole(-0.02)];
  expect(left.asideM).toBeLessThan(-0.3);
  expect(right.asideM).toBeCloseTo(-left.asideM, 9);
  expect(left.carryM).toBeCloseTo(level.carryM, 9);
  const drifts = [34, 42, 50, 58].map((loftDeg) => -toHole(0.02, { ...chip, loftDeg }).asideM);
  expect(drifts).toEqual(drifts.toSorted((a, b) => b - a));
  // Downhill it rolls slower for longer.
  expect(-toHole(0.02, chip, -0.02).asideM).toBeGreaterThan(-left.asideM);
});

test('a ball above the feet starts left of a right-hander’s line, with more loft farther', () => {
  // A 56° face tilted by 5°: tan 56° · sin 5° = 0.1292, which is 7.4°.
  expect(pullDeg(56, 'ball_above')).toBeCloseTo(7.36, 2);
  expect(pullDeg(56, 'ball_below')).toBeCloseTo(-7.36, 2);
  expect(pullDeg(34, 'ball_above')).toBeLessThan(4);
  expect(pullDeg(56, 'uphill')).toBe(0);
});

test('off an uphill stance a ball flies higher and runs less, off a downhill one the other way', () => {
  const [up, flat, down] = (['uphill', 'flat', 'downhill'] as const).map((stance) => toHole(0, { ...chip, stance }));
  expect([up!.apexM, flat!.apexM, down!.apexM]).toEqual([up!.apexM, flat!.apexM, down!.apexM].toSorted((a, b) => b - a));
  expect(up!.carryM).toBeGreaterThan(flat!.carryM);
  expect(down!.carryM).toBeLessThan(flat!.carryM);
});

test('a ball that sits down comes out with less spin; one perched in rough more than one in it', () => {
  for (const lie of ['fairway', 'light_rough', 'heavy_rough', 'bare'] as const) {
    const spin = (sit: 'clean' | 'up' | 'down') => launch(9, { ...chip, lie, sit }).spin;
    expect(spin('down')).toBeLessThan(spin('clean'));
    expect(spin('up')).toBeGreaterThanOrEqual(spin('clean'));
    expect(toHole(0, { ...chip, lie, sit: 'down' }).carryM).toBeLessThanOrEqual(toHole(0, { ...chip, lie }).carryM + 0.01);
  }
});
