import { seededRandom } from '../math/random';
import { median } from '../math/median';
import { METRES_PER, toMetres } from '../units/length';
import { LevelPlay, medianLeftM, TABLE_SHOTS } from './level-play';
import { referencePutting } from '../golf/putting';
import { shippedReference as reference } from '../golf/reference';
import { simulateShot } from './simulate';

const play = new LevelPlay(10);

test('what is summed up over places is what simulated balls do: median, nine in ten, and how many are holed', () => {
  const metres = toMetres(15, 'yd');
  const shot = play.shot('chip', 'fairway', metres);
  const random = seededRandom(3);
  const truth = { level: 10, putting: referencePutting(10), effects: {} };
  const BALLS = 60_000;
  const stopped = Array.from({ length: BALLS }, () =>
    simulateShot(truth, { shotType: 'chip', surface: 'fairway', distanceM: metres }, 0, reference, random),
  );
  const left = stopped.map(({ leftM }) => leftM).sort((a, b) => a - b);
  expect(median(left) / shot.medianLeftM).toBeCloseTo(1, 1);
  expect(left[Math.floor(0.9 * BALLS)]! / shot.p90LeftM).toBeCloseTo(1, 1);
  expect(Math.abs(stopped.filter(({ holed }) => holed).length / BALLS - shot.holeOutRate)).toBeLessThan(0.001);
});

test('more is left from farther, from worse ground, and by weaker levels', () => {
  const left = (level: number, surface: 'fairway' | 'light_rough' | 'heavy_rough', yards: number) =>
    medianLeftM(level, 'chip', surface, toMetres(yards, 'yd'));
  for (const level of [-5, 0, 10, 28, 54]) {
    expect(left(level, 'fairway', 10)).toBeLessThan(left(level, 'light_rough', 10));
    expect(left(level, 'light_rough', 10)).toBeLessThan(left(level, 'heavy_rough', 10));
    expect(left(level, 'fairway', 10)).toBeLessThan(left(level, 'fairway', 20));
  }
  for (let level = -4; level <= 54; level++) expect(left(level, 'fairway', 15)).toBeGreaterThan(left(level - 1, 'fairway', 15));
});

test('a ball that misses the green costs more than a putt of that length, and never less the farther it lies', () => {
  let before = 0;
  for (let metres = 0.5; metres < 60; metres *= 1.2) {
    const now = play.toCome(metres);
    expect(now).toBeGreaterThanOrEqual(before - 1e-9);
    expect(now).toBeGreaterThanOrEqual(play.putts(metres / METRES_PER.ft) - 1e-9);
    before = now;
  }
  expect(play.toCome(25)).toBeGreaterThan(play.putts(25 / METRES_PER.ft) + 0.2);
});

test('a round has all its putts in their bands, and every shot off the green in its cell', () => {
  const { uses, putts, offGreen } = play.round();
  const sum = (putt: boolean) =>
    TABLE_SHOTS.filter(({ shotType }) => (shotType === 'putt') === putt).reduce(
      (all, { shotType, surface, band }) => all + uses(shotType, surface, band),
      0,
    );
  expect(sum(true)).toBeCloseTo(putts, 9);
  expect(sum(false)).toBeCloseTo(offGreen, 9);
  expect(new Set(TABLE_SHOTS.map(({ shotType, surface, band }) => `${shotType}|${surface}|${band.min}`)).size).toBe(156);
});
