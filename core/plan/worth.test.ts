import { game, station, yd } from '../testing/make';
import type { Judged } from './together';
import { worthOfCells, worthOfGame } from './worth';

/** Shots by what they cost in a round, how often they come up, and how far apart the draws of a shot are. */
const judged = (rows: readonly (readonly [key: string, cost: number, uses: number, spread: number])[]): Judged => ({
  lost: rows.map(([, , , spread]) => Float64Array.from([-spread, spread])),
  findings: rows.map(([key, mean, uses]) => ({ key, uses, ranked: uses > 0, perRound: { mean } })) as unknown as Judged['findings'],
});

test('half of a ball’s worth is what its shot costs in a round, half how open that is; what never comes up is worth nothing', () => {
  const worth = worthOfCells(
    judged([
      ['weak and known', 0.4, 1, 0],
      ['half of each', 0.2, 1, 0.25],
      ['strong and open', -0.3, 1, 0.5],
      ['never comes up', 9, 0, 9],
    ]),
  );
  expect(worth).toEqual([0.5, 0.5, 0.5, 0]);
});

test('a game is worth what its balls are on average; a shot the model has no place for adds nothing', () => {
  const { findings } = judged([
    ['chip|fairway|10', 1, 1, 0],
    ['chip|fairway|20', 0, 1, 0],
  ]);
  const stations = [station('a', { distanceM: yd(15), balls: 3 }), station('b', { distanceM: yd(25), balls: 1 })];
  expect(worthOfGame(game({ stations }), findings, [0.8, 0.4])).toEqual({ worth: (3 * 0.8 + 0.4) / 4, cells: [0, 1] });
  const elsewhere = [...stations, station('c', { shotType: 'lob', surface: 'light_rough', distanceM: yd(15), balls: 4 })];
  expect(worthOfGame(game({ stations: elsewhere }), findings, [0.8, 0.4]).worth).toBeCloseTo((3 * 0.8 + 0.4) / 8, 12);
});
