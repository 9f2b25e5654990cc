import { secondsFor } from '../game/budget';
import { shippedReference } from '../golf/reference';
import { DEMO_GREENS } from '../demo/greens';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { modelOf } from '../skill/model';
import { cellKey } from '../skill/cells';
import { idOf, left, shot, yd } from '../testing/make';
import { blockTestOf } from './block-test';
import type { Order } from './lay-out';
import { changeShown, couldBe } from './shows';

const model = modelOf(shippedReference);
const UNMEASURED = { paceM: null, clubM: null, putterM: null };
/** Somebody who leaves chips from the fairway far out. */
const shots = Array.from({ length: 80 }, (_, i) =>
  shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}` }, left(25 + (i % 7))),
);
const evidence = gather(talliesOf(shots, new Date('2027-01-01'), null));
const belief = believe(evidence, model, 14);
const judged = diagnose(model, belief, evidence, { level: 14, mix: model.mix(14) });
const order = (more: Partial<Order> = {}): Order => ({
  ...{ players: [{ playerId: idOf(1), name: 'Otto', level: 14, belief, judged, ...UNMEASURED }], purpose: 'find_out', minutes: 24 },
  ...{ green: null, units: 'imperial', coach: UNMEASURED, seed: 1 },
  ...more,
});
const CHIPS = 'chip|fairway|10';
const of = (game: { stations: { shotType: 'chip'; surface: 'fairway'; distanceM: number }[] } | null) =>
  new Set(game!.stations.map(({ shotType, surface, distanceM }) => cellKey(shotType, surface, distanceM)));

test('the shot that costs most comes first, its test fits, and is of nothing else', () => {
  const test = blockTestOf(order(), { days: 8, shots: [] }, model);
  expect(test.shots[0]).toBe(CHIPS);
  expect(test.shots).toHaveLength(2);
  expect(of(test.game as never)).toEqual(new Set(test.shots));
  expect(secondsFor(test.game!, 1)).toBeLessThanOrEqual(24 * 60);
  expect(test.loses[0]).toBeGreaterThan(0.1);
  for (const { balls } of test.tests) expect(balls).toBeGreaterThanOrEqual(5);
  expect(test).toEqual(blockTestOf(order(), { days: 8, shots: [] }, model));
});

test('shots can be chosen; a test of one has all the balls', () => {
  const one = blockTestOf(order(), { days: 8, shots: [CHIPS] }, model);
  expect(one.shots).toEqual([CHIPS]);
  const two = blockTestOf(order(), { days: 8, shots: [] }, model);
  const perDay = (test: typeof one) => test.tests[0]!.balls / test.testDays;
  expect(perDay(one)).toBeGreaterThanOrEqual(perDay(two));
  expect(blockTestOf(order(), { days: 8, shots: ['nobody|knows|this'] }, model).shots).toEqual(two.shots);
});

test('more days are taken where they are needed and there are enough; of putts nothing is claimed', () => {
  expect(blockTestOf(order(), { days: 2, shots: [CHIPS] }, model).testDays).toBe(1);
  const { tests } = blockTestOf(order(), { days: 12, shots: ['putt|green|10', CHIPS] }, model);
  expect(tests.find(({ shot: key }) => key === 'putt|green|10')!.shows).toBeNull();
  expect(tests.find(({ shot: key }) => key === CHIPS)!.shows).toBeGreaterThan(0.05);
});

test('on a green only what it has a station for', () => {
  const test = blockTestOf(order({ green: DEMO_GREENS[0]! }), { days: 8, shots: [] }, model);
  expect(test.game!.stations.every(({ place }) => place !== null)).toBe(true);
});

test('what a test shows: less with more balls and more days, and nothing that nobody could change by', () => {
  const at = model.cells.findIndex(({ key }) => key === CHIPS);
  const ball = { perBall: judged.findings[at]!.perBall, couldBe: couldBe(model, 14)[at]! };
  const shown = (days: number, balls: number) => changeShown({ days, balls, inAll: balls }, ball) ?? Infinity;
  expect(shown(1, 40)).toBeLessThan(shown(1, 20));
  // Forty balls of two days say more than forty of one.
  expect(shown(2, 20)).toBeLessThan(shown(1, 40));
  expect(changeShown({ days: 1, balls: 1, inAll: 1 }, ball)).toBeNull();
  // By hand: s = .4, 25 balls a day on two days: 30 count as 30/1.96 = 15.3061; σ = .4·√(2/15.3061) = .144591;
  // .144591·(.841621 + .674490·√(1 + (.144591/.2)²)) = .242034.
  expect(changeShown({ days: 2, balls: 25, inAll: 25 }, { perBall: 0.4, couldBe: 0.2 })).toBeCloseTo(0.242034, 5);
});
