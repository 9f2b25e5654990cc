import fc from 'fast-check';
import { METRES_PER } from '../units/length';
import { CAPTURE_SPEED, captures, evenGreen, HOLE_R, linePutt, rollPutt } from './putt';

const ft = (feet: number) => feet * METRES_PER.ft;

test('a hole takes a ball over its middle up to 1.63 m/s, and less the nearer to its edge', () => {
  expect(captures(CAPTURE_SPEED, 0)).toBe(true);
  expect(captures(1.64, 0)).toBe(false);
  // Half of the radius off: three quarters of that speed, 1.2225 m/s.
  expect(captures(1.22, HOLE_R / 2)).toBe(true);
  expect(captures(1.23, HOLE_R / 2)).toBe(false);
  expect(captures(0.01, HOLE_R)).toBe(false);
});

test('a stimpmeter’s ball rolls the reading, uphill less and downhill more, as can be worked out by hand', () => {
  const stops = (ahead: number) => rollPutt(ft(60), 1.83, 0, evenGreen(10, 0, ahead), false).stops![1] / METRES_PER.ft;
  expect(stops(0)).toBeCloseTo(10, 1);
  // 1.83² / 2 over 0.54937 ± 5/7 · 9.81 · 0.02 = 0.14011: 7.97 and 13.43 ft.
  expect(stops(0.02)).toBeCloseTo(7.97, 1);
  expect(stops(-0.02)).toBeCloseTo(13.43, 1);
});

test('on the level the line is straight, and the speed rolls it as far past as was called', () => {
  const line = linePutt(ft(12), ft(1), evenGreen(9))!;
  expect(line.aimRad).toBeCloseTo(0, 5);
  expect(rollPutt(ft(12), line.speed, line.aimRad, evenGreen(9), false).stops![1]).toBeCloseTo(ft(13), 1);
});

const slopes = fc.record({
  feet: fc.double({ min: 3, max: 40, noNaN: true }),
  right: fc.double({ min: -0.035, max: 0.035, noNaN: true }),
  ahead: fc.double({ min: -0.03, max: 0.05, noNaN: true }),
  stimpFt: fc.double({ min: 7, max: 11, noNaN: true }),
});

test('a line that is found is holed, its mirror image lies to the other side', () => {
  fc.assert(
    fc.property(slopes, ({ feet, right, ahead, stimpFt }) => {
      const line = linePutt(ft(feet), ft(1), evenGreen(stimpFt, right, ahead));
      const mirrored = linePutt(ft(feet), ft(1), evenGreen(stimpFt, -right, ahead));
      expect(mirrored === null).toBe(line === null);
      if (!line) return;
      expect(mirrored!.aimRad).toBeCloseTo(-line.aimRad, 4);
      expect(mirrored!.speed).toBeCloseTo(line.speed, 4);
      expect(rollPutt(ft(feet), line.speed, line.aimRad, evenGreen(stimpFt, right, ahead)).holed).toBe(true);
    }),
    { numRuns: 80 },
  );
});

test('a faster green or a steeper slope never needs less break; more pace never needs more', () => {
  fc.assert(
    fc.property(slopes, ({ feet, right, ahead, stimpFt }) => {
      const side = Math.abs(right);
      const aim = (stimp: number, rightUp: number, past = 1) =>
        linePutt(ft(feet), ft(past), evenGreen(stimp, rightUp, ahead))?.aimRad ?? null;
      const usual = aim(stimpFt, side);
      if (usual === null) return;
      // Aimed to the right, where the green is higher.
      expect(usual).toBeGreaterThanOrEqual(-1e-6);
      for (const more of [aim(stimpFt + 1, side), aim(stimpFt, side + 0.01)])
        if (more !== null) expect(more).toBeGreaterThanOrEqual(usual - 1e-4);
      const firm = aim(stimpFt, side, 3);
      if (firm !== null) expect(firm).toBeLessThanOrEqual(usual + 1e-4);
    }),
    { numRuns: 80 },
  );
});

test('downhill needs more break than uphill, and a slower start', () => {
  const [down, up] = [linePutt(ft(10), ft(1), evenGreen(10, 0.02, -0.02))!, linePutt(ft(10), ft(1), evenGreen(10, 0.02, 0.02))!];
  expect(down.aimRad).toBeGreaterThan(up.aimRad);
  expect(down.speed).toBeLessThan(up.speed);
});

test('where no ball stops by the hole there is no reliable line', () => {
  expect(linePutt(ft(10), ft(1), evenGreen(12, 0, -0.08))).toBeNull();
  // Straight uphill on the same slope it can be held.
  expect(linePutt(ft(10), ft(1), evenGreen(12, 0, 0.06))).not.toBeNull();
});

test('a finer time step moves the stop by less than 3 cm', () => {
  // The same putt by its closed form: straight, so that its length is v² / 2a.
  for (const ahead of [-0.03, 0, 0.04]) {
    const slows = 1.83 ** 2 / (2 * ft(10)) + (5 / 7) * 9.81 * Math.sin(Math.atan(ahead));
    expect(Math.abs(rollPutt(ft(90), 2.4, 0, evenGreen(10, 0, ahead), false).stops![1] - 2.4 ** 2 / 2 / slows)).toBeLessThan(0.03);
  }
});
