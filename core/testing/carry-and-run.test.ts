import { median } from '../math/median';
import { seededRandom } from '../math/random';
import { toMetres } from '../units/length';
import { drift, someone, strikeBall, type Struck } from './carry-and-run';
import { plainPlayer } from './plain';

/* The second generator is what it says: held to what it takes from a level, and to what it is there for. */
const HANDICAP = 12;
const plain = plainPlayer(HANDICAP);
const { level } = plain;
const place = (shotType: 'chip' | 'pitch' | 'bunker' | 'putt', surface: 'fairway' | 'light_rough' | 'sand' | 'green', metres: number) => ({
  key: `${shotType}|${surface}`,
  shotType,
  surface,
  distanceM: metres,
});
const balls = (who: Struck, at: ReturnType<typeof place>, n = 12_000, seed = 4) => {
  const random = seededRandom(seed);
  return Array.from({ length: n }, () => strikeBall(who, at, 0, random));
};

test.each([
  ['chip', 'fairway', 15],
  ['pitch', 'light_rough', 40],
  ['bunker', 'sand', 12],
] as const)('a plain player leaves what the level leaves: %s from %s, %i yd', (shotType, surface, yards) => {
  const at = place(shotType, surface, toMetres(yards, 'yd'));
  const left = median(balls(plain, at).map(({ leftM }) => leftM));
  expect(left / level.medianLeftM(shotType, surface, at.distanceM)).toBeGreaterThan(0.97);
  expect(left / level.medianLeftM(shotType, surface, at.distanceM)).toBeLessThan(1.03);
});

test.each([3, 8, 20])('and holes as many putts of %i ft', (feet) => {
  const made = balls(plain, place('putt', 'green', toMetres(feet, 'ft'))).filter(({ holed }) => holed).length / 12_000;
  expect(Math.abs(made - level.makeRate(feet))).toBeLessThan(0.02);
});

test('tails are heavier than normal ones, and more balls come up short than long', () => {
  const landed = balls(plain, place('pitch', 'fairway', toMetres(30, 'yd'))).map(({ landedLongM }) => landedLongM);
  expect(landed.filter((metres) => metres < 0).length / landed.length).toBeGreaterThan(0.52);
  const inner = median(landed.map(Math.abs));
  // Of a normal spread 4.3% lie beyond three such medians, and 0.7% beyond four.
  expect(landed.filter((metres) => Math.abs(metres) > 4 * inner).length / landed.length).toBeGreaterThan(0.015);
});

test('the farther the spot, the more it is missed by; where it lands is not where it stops', () => {
  const at = place('pitch', 'fairway', toMetres(20, 'yd'));
  const off = (yards: number) => {
    const random = seededRandom(6);
    return median(Array.from({ length: 8000 }, () => strikeBall(plain, at, 0, random, toMetres(yards, 'yd')).landedOffM));
  };
  expect(off(10)).toBeGreaterThan(1.8 * off(4));
  expect(off(18)).toBeGreaterThan(1.3 * off(10));
});

test('players differ, each is one person, and the form of their days drifts about nothing', () => {
  const at = place('chip', 'light_rough', toMetres(15, 'yd'));
  const people = Array.from({ length: 200 }, (_, i) => someone(HANDICAP, level, seededRandom(i)));
  const widths = people.map((who) => who.width(at));
  expect(people[0]!.width(at)).toBe(widths[0]);
  const sd = (list: number[]) => Math.sqrt(list.reduce((sum, x) => sum + x * x, 0) / list.length);
  expect(sd(widths)).toBeGreaterThan(0.2);
  expect(sd(widths)).toBeLessThan(0.5);
  const next = drift(seededRandom(9));
  const days = Array.from({ length: 4000 }, next);
  expect(Math.abs(days.reduce((a, b) => a + b, 0) / days.length)).toBeLessThan(0.02);
  expect(sd(days)).toBeCloseTo(0.11, 1);
  // A day is like the one before: six tenths of it is kept.
  const kept = days.slice(1).reduce((sum, day, i) => sum + day * days[i]!, 0) / days.reduce((sum, day) => sum + day * day, 0);
  expect(kept).toBeGreaterThan(0.5);
  expect(kept).toBeLessThan(0.7);
});
