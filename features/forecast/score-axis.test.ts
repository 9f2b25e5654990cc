import { LIBRARY } from '@/core/game/library';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { playAll } from '@/core/forecast/games';
import { goalFor } from '@/core/forecast/goal';
import { playerOfLevel } from '@/core/forecast/levels';
import { outlookOf } from '@/core/forecast/outlook';
import { axisOf, isUndone, orMore } from './score-axis';

const model = modelOf(shippedReference);
const library = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;
const played = (key: string, level: number) =>
  playAll(library(key), [playerOfLevel(library(key), level, model)], model, { games: 3000, seed: 1 });

test('a ladder that most do not finish says so: the middle is more than the most balls, with its chance, and the goal can be reached', () => {
  const spec = library('rope-ladder');
  const games = played('rope-ladder', 18);
  const outlook = outlookOf(spec, games);
  expect(outlook.undone!.beyond).toBe(40);
  const unfinished = Array.from(games.scores[0]!).filter((score) => score > 40).length / 3000;
  expect(outlook.undone!.chance).toBeCloseTo(unfinished, 12);
  expect(unfinished).toBeGreaterThan(0.5);
  expect([orMore(outlook, outlook.p50, String), orMore(outlook, 26, String)]).toEqual(['40+', '26']);
  for (const wanted of [0.05, 0.2, 0.4, 0.9]) expect(goalFor(spec, games, wanted, 1)!.goal).toBeLessThanOrEqual(40);
});

test('games that just count have no such thing', () => {
  const outlook = outlookOf(library('three-hoops'), played('three-hoops', 10));
  expect(outlook.undone).toBeNull();
  expect(isUndone(outlook, 1e6)).toBe(false);
  expect(orMore(outlook, outlook.p90, String)).toBe(String(outlook.p90));
});

test('the axis reaches over all rows and the goal, with room for figures', () => {
  const row = (p10: number, p90: number) => ({ games: 1, mean: 0, p10, p50: p10, p90, goalChance: null, undone: null });
  expect(axisOf([], null)).toEqual({ from: 0, to: 1 });
  const { from, to } = axisOf([row(4, 20), row(9, 30)], 40);
  expect(from).toBeLessThan(4);
  expect(to).toBeGreaterThan(40);
});
