import { ranksOf } from '../skill/ranks';
import { chooseShots, type KnownPlayer } from './choose';

/** Shots by strokes lost in a round and how far that is known; each comes up once. */
function known(rows: readonly (readonly [mean: number, spread: number])[], uses: readonly number[] = rows.map(() => 1)): KnownPlayer {
  const lost = rows.map(([mean, spread], row) =>
    Float64Array.from({ length: 400 }, (_, i) => mean + spread * (((i * (7 + 4 * row)) % 400) / 200 - 1)),
  );
  const ranked = uses.map((use) => use > 0);
  const ranks = ranksOf(lost, uses, ranked);
  return { lost, findings: rows.map((_, i) => ({ ranked: ranked[i]!, uses: uses[i]!, perBall: 0.3, perRound: ranks[i]! })) };
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
  expect(cellsOf(player, { purpose: 'take_strokes_off', places: 3, balls: 5 })).toEqual([0, 1, 2]);
});

test('to find out: what is open and could be among the weakest, not what is known to be weak, nor what surely gains', () => {
  const chosen = cellsOf(player, { purpose: 'find_out', places: 2, balls: 5 });
  expect(chosen.toSorted()).toEqual([2, 4]);
});

test('each place once, with as many balls as asked, and only what can be laid out', () => {
  for (const purpose of ['find_out', 'take_strokes_off'] as const) {
    const chosen = chooseShots(player, { purpose, places: 9, balls: 4, allowed: [1, 3, 4] });
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
  for (const purpose of ['find_out', 'take_strokes_off'] as const) expect(cellsOf(rare, { purpose, places: 2, balls: 5 })).toEqual([1]);
});

test('whoever gains everywhere is given what is least known', () => {
  const strong = known([
    [-0.6, 0.02],
    [-0.5, 0.5],
  ]);
  expect(cellsOf(strong, { purpose: 'take_strokes_off', places: 1, balls: 5 })).toEqual([1]);
});
