import { ranksOf } from '../skill/ranks';
import { CHOICES, chooseShots, type KnownPlayer } from './choose';

/** Chips by strokes lost in a round and how far that is known; each comes up once. */
function known(
  rows: readonly (readonly [mean: number, spread: number])[],
  uses: readonly number[] = rows.map(() => 1),
  more: readonly Partial<KnownPlayer['findings'][number]>[] = [],
): KnownPlayer {
  const lost = rows.map(([mean, spread], row) =>
    Float64Array.from({ length: 400 }, (_, i) => mean + spread * (((i * (7 + 4 * row)) % 400) / 200 - 1)),
  );
  const ranked = uses.map((use) => use > 0);
  const ranks = ranksOf(lost, uses, ranked);
  const chip = { shotType: 'chip', expectedStrokes: 2.5 } as const;
  const finding = (i: number) => ({ ...chip, ranked: ranked[i]!, uses: uses[i]!, perBall: 0.3, perRound: ranks[i]!, ...more[i] });
  return { lost, findings: rows.map((_, i) => finding(i)) };
}
const cellsOf = (player: KnownPlayer, wish: Parameters<typeof chooseShots>[1]) => chooseShots(player, wish).map(({ cell }) => cell);

const player = known([
  [0.6, 0.02],
  [0.5, 0.02],
  [0.1, 0.5],
  [-0.4, 0.05],
  [0.12, 0.4],
  [-0.3, 0.01],
]);

test('to take strokes off: what loses most first, and a third to find out what could be as weak', () => {
  expect(cellsOf(player, { by: 'take_strokes_off', places: 3, balls: 5 })).toEqual([0, 1, 2]);
});

test('to find out: what is open and could be among the weakest, not what is known to be weak, nor what surely gains', () => {
  const chosen = cellsOf(player, { by: 'find_out', places: 2, balls: 5 });
  expect(chosen.toSorted()).toEqual([2, 4]);
});

test('each place once, with as many balls as asked, and only what can be laid out', () => {
  for (const by of ['find_out', 'take_strokes_off'] as const) {
    const chosen = chooseShots(player, { by, places: 9, balls: 4, allowed: [1, 3, 4] });
    expect(chosen.map(({ cell }) => cell).toSorted()).toEqual([1, 3, 4]);
    expect(chosen.every(({ balls }) => balls === 4)).toBe(true);
  }
});

test('a shot that never comes up is not practised', () => {
  const rare = known(
    [
      [5, 2],
      [0.1, 0.1],
    ],
    [0, 1],
  );
  for (const by of ['find_out', 'take_strokes_off'] as const) expect(cellsOf(rare, { by, places: 2, balls: 5 })).toEqual([1]);
});

test('whoever gains everywhere is given what is least known', () => {
  const strong = known([
    [-0.6, 0.02],
    [-0.5, 0.5],
  ]);
  expect(cellsOf(strong, { by: 'take_strokes_off', places: 1, balls: 5 })).toEqual([1]);
});

const PUTT = { shotType: 'putt' } as const;

test.each(CHOICES)('%s: at most half of the places are putts (to find out two thirds), unless there is nothing else to hit', (by) => {
  const rows = [0.9, 0.8, 0.7, 0.6, 0.5, 0.4].map((mean) => [mean, 0.1] as const);
  const mixed = known(rows, [9, 8, 7, 6, 1, 1], [PUTT, PUTT, PUTT, PUTT]);
  const putts = cellsOf(mixed, { by, places: 4, balls: 3 }).filter((cell) => cell < 4);
  expect(putts.length).toBeLessThanOrEqual(by === 'find_out' ? 3 : 2);
  const only = cellsOf(mixed, { by, places: 4, balls: 3, allowed: [0, 1, 2] });
  expect(only.length).toBe(by === 'close_call' ? 2 : 3);
});

test('a close call is between the two of the costliest that are hardest to tell apart', () => {
  const player = known([
    [0.9, 0.05],
    [0.5, 0.2],
    [0.48, 0.2],
    [0.1, 0.05],
  ]);
  expect(cellsOf(player, { by: 'close_call', places: 2, balls: 8 })).toEqual([1, 2]);
});

test('where nothing loses a stroke, the costliest are what comes up most', () => {
  const player = known(
    [
      [-0.2, 0.05],
      [-0.1, 0.05],
      [-0.3, 0.05],
    ],
    [1, 2, 3],
  );
  expect(cellsOf(player, { by: 'costliest', places: 2, balls: 3 })).toEqual([2, 1]);
});

test('easy is what is holed out soonest, of what comes up most', () => {
  const strokes = [3.1, 2.2, 2.6, 1.9].map((expectedStrokes) => ({ expectedStrokes }));
  const player = known(
    strokes.map(() => [0, 0.1] as const),
    [5, 4, 3, 0.01],
    strokes,
  );
  expect(cellsOf(player, { by: 'easy', places: 1, balls: 2 })).toEqual([1]);
});

test.each(CHOICES)('%s: what does not go with the others is left out', (by) => {
  const goes = (cell: number, chosen: readonly number[]) => chosen.every((one) => Math.abs(one - cell) > 1);
  const chosen = cellsOf(player, { by, places: 3, balls: 3, goes });
  expect(chosen.every((cell, i) => chosen.slice(i + 1).every((other) => Math.abs(other - cell) > 1))).toBe(true);
});
