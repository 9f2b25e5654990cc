import type { Shot } from '../shot/shot';
import { between, ft, holed, left, shot, yd } from '../testing/make';
import { shippedReference as reference } from './reference';
import { skillTable, worstOf } from './table';

const chip = { shotType: 'chip', surface: 'fairway', distanceM: yd(15) } as const;
const pitch = { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25) } as const;
const putt = { shotType: 'putt', surface: 'green', distanceM: ft(8) } as const;
const many = (kind: Partial<Shot>, ...feet: number[]) => feet.map((f) => shot(kind, left(f)));
const table = (shots: Shot[], insideFt = 6) => skillTable(shots, 10, reference, ft(insideFt));

test('a row counts its balls and nothing else', () => {
  const [row] = table([...many(chip, 2, 4, 7, 12), shot(chip, holed), shot({ ...chip, counts: 'collided' }, left(50))]);
  expect(row).toMatchObject({ shotType: 'chip', surface: 'fairway', balls: 5, holed: 1, thin: false });
  expect(row!.band).toEqual({ min: 10, max: 20, unit: 'yd' });
  expect(row!.median).toEqual({ from: ft(4), to: ft(4), of: 5 });
  expect(row!.inside).toEqual({ sure: 3, possible: 3, of: 5 });
  // 1 + putts from 2, 4, 7 and 12 ft at level 10, and 1 for the one that went in, each less 2.549.
  const putts = [2, 4, 7, 12].map((f) => reference.putts(10, ft(f)));
  const mean = (5 + putts.reduce((a, b) => a + b, 0)) / 5 - 2.549;
  expect(row!.lost!.perShot).toBeCloseTo(mean, 6);
});

test('rings leave the share and the median open, and the row says so', () => {
  const [row] = table([...many(chip, 2, 5), shot(chip, between(5, 9)), shot(chip, between(9, null)), shot(chip, between(2, 5))]);
  expect(row!.inside).toEqual({ sure: 3, possible: 4, of: 5 });
  expect(row!.median).toEqual({ from: ft(5), to: ft(5), of: 5 });
});

test('putts have their leave: the median of those missed', () => {
  const [row] = table([shot(putt, holed), shot(putt, holed), ...many(putt, 1, 2, 3)]);
  expect(row).toMatchObject({ balls: 5, holed: 2, median: { from: ft(2), to: ft(2), of: 3 } });
});

test('the worst comes first, thin rows after the rest', () => {
  const rows = table([...many(chip, 3, 3, 3, 3, 3), ...many(pitch, 30, 35, 40, 30, 35), ...many({ ...chip, surface: 'bare' }, 60, 60)]);
  expect(rows.map(({ shotType, surface, thin }) => [shotType, surface, thin])).toEqual([
    ['pitch', 'light_rough', false],
    ['chip', 'fairway', false],
    ['chip', 'bare', true],
  ]);
  expect(rows[2]!.lost!.give).toBeNull();
});

test('the give is 1.28 standard errors', () => {
  const [row] = table(many(chip, 2, 4, 6, 8, 10));
  const losses = [2, 4, 6, 8, 10].map((f) => 1 + reference.putts(10, ft(f)) - 2.549);
  const mean = losses.reduce((a, b) => a + b, 0) / 5;
  const sd = Math.sqrt(losses.reduce((sum, x) => sum + (x - mean) ** 2, 0) / 4);
  expect(row!.lost!.give).toBeCloseTo((1.2815515655 * sd) / Math.sqrt(5), 6);
});

test('the worst row is named with those that cannot be told apart from it', () => {
  const clear = worstOf(table([...many(pitch, 30, 31, 32, 30, 31), ...many(chip, 3, 3.2, 3.1, 3, 3.3)]))!;
  expect([clear.row.shotType, clear.near]).toEqual(['pitch', []]);
  const close = worstOf(table([...many(chip, 5, 30, 8, 40, 12), ...many({ ...chip, surface: 'bare' }, 6, 32, 9, 42, 14)]))!;
  expect(close.near).toHaveLength(1);
  expect(worstOf(table(many(chip, 1, 1, 1, 1, 1)))).toBeNull();
});

test('no balls, no rows', () => {
  expect(table([])).toEqual([]);
});
