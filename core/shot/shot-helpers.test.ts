import fc from 'fast-check';
import { between, ft, holed, left, shot } from '../testing/make';
import { missDirection, sayBearing } from './direction';
import { isEvidence, leftInterval } from './evidence';
import { timeOrderedId } from './id';
import { medianLeft, settledMedian } from './median-left';
import { inOrder } from './order';

test('ids made later sort later, and are UUIDs of version 7', () => {
  const bytes = fc.uint8Array({ minLength: 10, maxLength: 10 });
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 47 }), fc.integer({ min: 1, max: 1e9 }), bytes, bytes, (at, later, a, b) => {
      const [one, two] = [timeOrderedId(at, a), timeOrderedId(at + later, b)];
      expect(one < two).toBe(true);
      expect(one).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    }),
  );
  expect(() => timeOrderedId(1, new Uint8Array(9))).toThrow(RangeError);
});

test('what is known of the distance left', () => {
  expect(leftInterval(shot({}, holed))).toEqual({ from: 0, to: 0 });
  expect(leftInterval(shot({}, left(4)))).toEqual({ from: ft(4), to: ft(4) });
  expect(leftInterval(shot({}, between(3, 6)))).toEqual({ from: ft(3), to: ft(6) });
  expect(leftInterval(shot({}, between(10, null)))).toEqual({ from: ft(10), to: Infinity });
  expect(leftInterval(shot({ leftM: null }, left(4)))).toBeNull();
});

test('only an ordinary attempt is evidence', () => {
  expect(isEvidence({ counts: 'ordinary' })).toBe(true);
  for (const counts of ['rehit', 'conceded', 'collided', 'lie_rejected', 'no_ball', 'practice_ball', 'demonstration'] as const)
    expect(isEvidence({ counts })).toBe(false);
});

test('a median that rings leave open is a range; one that they do not is a point', () => {
  const intervals = [left(1), left(2), between(3, 6), between(10, null)].map((result) => leftInterval(shot({}, result))!);
  expect(medianLeft(intervals)).toEqual({ from: ft(2.5), to: ft(4), of: 4 });
  expect(settledMedian(intervals)).toBeNull();
  expect(settledMedian([...intervals.slice(0, 2), intervals[0]!])).toBe(ft(1));
  expect(medianLeft([])).toBeNull();
});

test('the direction of the misses needs more than half of at least four', () => {
  const at = (...bearings: number[]) => bearings.map((bearing) => shot({}, left(4, bearing)));
  expect(missDirection(at(180, 190, 170, 90))).toEqual({ word: 'short', balls: 3, of: 4 });
  expect(missDirection(at(180, 190, 90, 0))).toBeNull();
  expect(missDirection(at(180, 180, 180))).toBeNull();
  expect([sayBearing(0), sayBearing(90), sayBearing(135), sayBearing(270), sayBearing(359)]).toEqual([
    'long',
    'right',
    'short right',
    'left',
    'long',
  ]);
});

test('order is by turn, and a second record of a turn is set aside', () => {
  const balls = [2, 0, 0, 1].map((turnNo, i) => shot({ turnNo, shotId: `id${i}` }, left(4)));
  const { shots, doubled } = inOrder(balls);
  expect(shots.map((ball) => ball.shotId)).toEqual(['id1', 'id3', 'id0']);
  expect(doubled.map((ball) => ball.shotId)).toEqual(['id2']);
});
