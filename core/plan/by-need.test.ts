import { gameSpecSchema } from '../game/spec';
import { DEMO_GREENS } from '../demo/greens';
import { shippedReference } from '../golf/reference';
import { seededRandom } from '../math/random';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { cellKey } from '../skill/cells';
import { modelOf } from '../skill/model';
import { idOf, left, shot, yd } from '../testing/make';
import { roundByNeed, shotsByNeed } from './by-need';
import type { Order } from './lay-out';

const model = modelOf(shippedReference);
const UNMEASURED = { paceM: null, clubM: null, putterM: null };
function known(balls: number) {
  const shots = Array.from({ length: balls }, (_, i) =>
    shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}` }, left(25 + (i % 7))),
  );
  const evidence = gather(talliesOf(shots, new Date('2027-01-01'), null));
  const belief = believe(evidence, model, 14);
  return { belief, judged: diagnose(model, belief, evidence, { level: 14, mix: model.mix(14) }) };
}
const order = (more: Partial<Order> = {}, balls = 80): Order => ({
  ...{ players: [{ playerId: idOf(1), name: 'Otto', level: 14, ...known(balls), ...UNMEASURED }], purpose: 'find_out', minutes: 40 },
  ...{ green: null, units: 'imperial', coach: UNMEASURED, seed: 1 },
  ...more,
});
const CHIPS = model.cells.findIndex(({ key }) => key === 'chip|fairway|10');

test('an open game that proposes one place after another, none twice running, and counts down', () => {
  const { game, more } = roundByNeed(order(), model)!;
  expect(gameSpecSchema.parse(game)).toEqual(game);
  expect(game).toMatchObject({ open: true, stations: [], calls: { stations: null, balls: 5 } });
  const next = game.calls.next!;
  expect(next).toHaveLength(40);
  const cells = next.map(({ station: { shotType, surface, distanceM } }) => cellKey(shotType, surface, distanceM));
  cells.slice(1).forEach((cell, i) => expect(cell).not.toBe(cells[i]));
  expect(new Set(cells).size).toBeGreaterThan(5);
  expect(next[0]!.more).toBe(more);
  next.slice(1).forEach((one, i) => expect(one.more).toBe(next[i]!.more === null ? null : Math.max(0, next[i]!.more - 5)));
  expect(roundByNeed(order(), model)).toEqual({ game, more });
});

test('on a green only its stations, those for one shot in turn; a green without any has no such round', () => {
  const { game } = roundByNeed(order({ green: DEMO_GREENS[0]! }), model)!;
  const stations = new Set(DEMO_GREENS[0]!.stations.map(({ key }) => key));
  for (const { station } of game.calls.next!) expect(stations.has(station.place!)).toBe(true);
  expect(roundByNeed(order({ green: { ...DEMO_GREENS[0]!, stations: [] } }), model)).toBeNull();
});

test('with hundreds of balls on record it is drawn what costs most: often, and not always, what is believed to', () => {
  const { judged } = known(320);
  const allowed = judged.findings.flatMap(({ ranked, uses }, i) => (ranked && uses > 0 ? [i] : []));
  const shots = shotsByNeed(judged, allowed, { sets: 60, balls: 5, onRecord: 320 }, seededRandom(3));
  const often = (cell: number) => shots.filter((one) => one === cell).length;
  // Some putts come up more often in a round; no other chip costs as much.
  const others = [...new Set(shots)].filter((cell) => cell !== CHIPS && judged.findings[cell]!.shotType !== 'putt');
  for (const cell of others) expect(often(cell)).toBeLessThan(often(CHIPS));
  expect(new Set(shots).size).toBeGreaterThan(5);
  shots.slice(1).forEach((cell, i) => expect(cell).not.toBe(shots[i]));
  // Where there is only one place, it comes again.
  expect(shotsByNeed(judged, [CHIPS], { sets: 3, balls: 5, onRecord: 400 }, seededRandom(3))).toEqual([CHIPS, CHIPS, CHIPS]);
});
