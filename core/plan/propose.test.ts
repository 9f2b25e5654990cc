import { budgetOf } from '../game/budget';
import { gameSpecSchema } from '../game/spec';
import { shippedReference } from '../golf/reference';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { cellKey } from '../skill/cells';
import { modelOf } from '../skill/model';
import { left, shot, yd } from '../testing/make';
import { layOut, propose, type Order } from './propose';

const model = modelOf(shippedReference);
const LEVEL = 14;

/** What is known of somebody who leaves chips from the fairway far out. */
const evidence = gather(
  talliesOf(
    Array.from({ length: 80 }, (_, i) =>
      shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}` }, left(25 + (i % 7))),
    ),
    new Date('2027-01-01'),
    null,
  ),
);
const diagnosis = diagnose(model, believe(evidence, model, LEVEL), evidence, { level: LEVEL, mix: model.mix(LEVEL) });
const order = (more: Partial<Order> = {}): Order => ({
  name: 'Otto',
  level: LEVEL,
  units: 'imperial',
  purpose: 'take_strokes_off',
  minutes: 20,
  ...more,
});

test('the weakest shot is in it, and the game says why', () => {
  const game = propose(diagnosis, order());
  expect(game.title).toBe('For Otto: take strokes off');
  expect(game.about).toMatch(/^Weakest: 10–20 yd chips from the fairway/);
  expect(game.stations.some(({ shotType, surface }) => shotType === 'chip' && surface === 'fairway')).toBe(true);
  expect(game.order).toBe('random');
});

test.each([10, 20, 40, 120])('it fits %i minutes, or is as short as it can be', (minutes) => {
  for (const purpose of ['take_strokes_off', 'find_out'] as const) {
    const game = propose(diagnosis, order({ minutes, purpose }));
    const { totalS } = budgetOf(game);
    expect(totalS <= 60 * minutes || game.stations.every(({ balls }) => balls === 2)).toBe(true);
    expect(gameSpecSchema.safeParse(game).success).toBe(true);
    // One more ball at each would not fit, or would be a groove.
    const more = { ...game, stations: game.stations.map((one) => ({ ...one, balls: one.balls + 1 })) };
    expect(budgetOf(more).totalS > 60 * minutes || game.stations[0]!.balls === 8).toBe(true);
  }
});

test('stations are whole units, each place once; rings grow outwards; long names are cut', () => {
  for (const units of ['imperial', 'metric'] as const) {
    const game = propose(diagnosis, order({ units, name: 'W'.repeat(60) }));
    expect(new Set(game.stations.map((one) => `${one.shotType} ${one.surface} ${one.distanceM}`)).size).toBe(game.stations.length);
    const { rings } = game.scoring as { rings: { radiusM: number }[] };
    expect(rings.every(({ radiusM }, i) => radiusM > (rings[i - 1]?.radiusM ?? 0))).toBe(true);
  }
});

test('every shot that can be chosen is laid out within its own band, in yards and feet as in metres', () => {
  for (const units of ['imperial', 'metric'] as const)
    for (const cell of model.cells)
      expect([units, cellKey(cell.shotType, cell.surface, layOut(cell, units).distanceM)]).toEqual([units, cell.key]);
});

test('no tap-in is laid out', () => {
  for (const purpose of ['take_strokes_off', 'find_out'] as const)
    for (const { shotType, surface, distanceM } of propose(diagnosis, order({ purpose, minutes: 120 })).stations)
      expect(cellKey(shotType, surface, distanceM)).not.toBe('putt|green|0');
});

test('the same is proposed for the same', () => {
  expect(propose(diagnosis, order())).toEqual(propose(diagnosis, order()));
});
