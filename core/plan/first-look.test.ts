import { LIBRARY } from '../game/library';
import { shippedReference } from '../golf/reference';
import { cellKey } from '../skill/cells';
import { modelOf } from '../skill/model';
import { firstLook, leftOpen } from './first-look';
import type { Batch } from './open';

const model = modelOf(shippedReference);
const { stations } = LIBRARY.find(({ key }) => key === 'first-look')!.spec;
const game: Batch[] = stations.map(({ shotType, surface, distanceM, balls }) => ({
  cell: model.cells.findIndex(({ key }) => key === cellKey(shotType, surface, distanceM)),
  balls,
}));
const balls = game.reduce((sum, one) => sum + one.balls, 0);
const inRound = model.cells.flatMap((cell, i) => (cell.inRound ? [i] : []));

test('the ready First Look is forty balls, and says nearly as much as balls chosen for the level, whatever that is', () => {
  expect(balls).toBe(40);
  for (const level of [0, 14, 28]) {
    const chosen = firstLook(model, level, stations.length, 4);
    const [told, most] = [1 - leftOpen(model, level, game), 1 - leftOpen(model, level, chosen)];
    expect(told / most).toBeGreaterThan(0.97);
  }
});

test('it says more than half as much again as the same balls from every shot alike', () => {
  const even = inRound.map((cell) => ({ cell, balls: balls / inRound.length }));
  for (const level of [0, 14, 28]) expect(1 - leftOpen(model, level, game)).toBeGreaterThan(1.5 * (1 - leftOpen(model, level, even)));
});

test('no place is chosen twice, no tap-in is chosen, and every further ball leaves less open', () => {
  const chosen = firstLook(model, 14, 6, 4);
  expect(new Set(chosen.map(({ cell }) => cell)).size).toBe(6);
  expect(chosen.every(({ cell }) => model.cells[cell]!.key !== 'putt|green|0')).toBe(true);
  const open = chosen.map((_, i) => leftOpen(model, 14, chosen.slice(0, i + 1)));
  expect(open.every((share, i) => share > 0 && share < (open[i - 1] ?? 1))).toBe(true);
});
