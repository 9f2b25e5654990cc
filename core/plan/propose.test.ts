import { DEMO_GREENS } from '../demo/greens';
import { ratesOf, stopsOf } from '../forecast/sizes';
import { enter } from '../game/enter';
import { conflictsOf } from '../green/conflicts';
import { partiesOf } from '../green/parties';
import { gameSpecSchema } from '../game/spec';
import { shippedReference } from '../golf/reference';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { cellKey } from '../skill/cells';
import { modelOf } from '../skill/model';
import { idOf, left, shot, yd } from '../testing/make';
import { PURPOSES } from './kinds';
import { layOut } from './places';
import { propose, proposedFor, type Proposal } from './propose';
import type { Order, OrderPlayer } from './lay-out';

const model = modelOf(shippedReference);
const UNMEASURED = { paceM: null, clubM: null, putterM: null };

/** Somebody whose balls of one kind of shot stop so many feet away. */
function player(name: string, level: number, balls = 0, feet = 25): OrderPlayer {
  const shots = Array.from({ length: balls }, (_, i) =>
    shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}` }, left(feet + (i % 7))),
  );
  const evidence = gather(talliesOf(shots, new Date('2027-01-01'), null));
  const belief = believe(evidence, model, level);
  const judged = diagnose(model, belief, evidence, { level, mix: model.mix(level) });
  return { playerId: idOf(level + 1), name, level, belief, judged, ...UNMEASURED };
}
const otto = player('Otto', 14, 80);
const eva = player('Eva', 2);
const pia = player('Pia', 24);
const squad = Array.from({ length: 11 }, (_, i) => player(`Player ${i + 1}`, 4 + 2 * i));

const order = (more: Partial<Order> = {}): Order => ({
  players: [otto],
  purpose: 'take_strokes_off',
  minutes: 20,
  green: null,
  units: 'imperial',
  coach: UNMEASURED,
  seed: 1,
  ...more,
});
const all = (more: Partial<Order>): Proposal[] => {
  const asked = order(more);
  return Array.from({ length: proposedFor(asked.purpose) }, (_, which) => propose(asked, which, model)).filter((made) => made !== null);
};
const [low, top] = DEMO_GREENS;

test('a game for somebody who leaves chips far out has chips, says why, and mixes the shots', () => {
  const [points] = all({});
  expect(points!.game.title).toBe('Otto: points from 6 places');
  expect(points!.why).toMatch(/^Weakest: 10–20 yd chips from the fairway/);
  expect(points!.game.stations.some(({ shotType, surface }) => shotType === 'chip' && surface === 'fairway')).toBe(true);
  expect(points!.game.order).toBe('random');
  // Of the widest ring three balls in four are inside: most score, hardly one is perfect.
  expect(points!.outlooks[0]!.p10).toBeGreaterThan(0);
});

test.each(PURPOSES)('to %s: three games that differ, with the goal near its chance', (purpose) => {
  const made = all({ purpose, players: purpose === 'compete' ? [otto, pia] : [otto] });
  expect(made).toHaveLength(3);
  expect(new Set(made.map(({ game }) => JSON.stringify([game.scoring, game.stations.length]))).size).toBe(3);
  for (const { game, goalChance, tells, outlooks } of made) {
    expect(gameSpecSchema.parse(game)).toEqual(game);
    if (game.goal !== null) expect(goalChance).toBeGreaterThan(0.15);
    if (game.goal !== null) expect(goalChance).toBeLessThan(0.75);
    expect(tells).toBeGreaterThan(0.02);
    expect(tells).toBeLessThanOrEqual(1);
    expect(outlooks).toHaveLength(purpose === 'compete' ? 2 : 1);
  }
});

test.each([5, 10, 20, 45, 120])('in %i minutes it is done, unless even the shortest takes longer', (minutes) => {
  for (const purpose of ['take_strokes_off', 'find_out', 'warm_up'] as const)
    for (const { game, seconds } of all({ purpose, minutes }))
      if (seconds > 60 * minutes) expect(game.stations.length).toBeLessThanOrEqual(2);
});

test('more minutes are more balls', () => {
  const balls = (minutes: number) => all({ minutes })[0]!.game.stations.reduce((sum, one) => sum + one.balls, 0);
  expect(balls(10)).toBeLessThan(balls(20));
  expect(balls(20)).toBeLessThan(balls(45));
});

test('on a green its own stations are played, each once, by a short walk; where none will do, another kind stands in', () => {
  for (const { game, walkM } of all({ green: low!, minutes: 30 })) {
    const places = game.stations.map(({ place }) => place);
    expect(places.every((place) => low!.stations.some(({ key }) => key === place))).toBe(true);
    expect(new Set(places).size).toBe(places.length);
    expect(walkM).toBeLessThan(250);
  }
  const putting = all({ green: top! });
  expect(putting.map(({ kind }) => kind)).toEqual(['points', 'finish_putts', 'run']);
  expect(putting.flatMap(({ game }) => game.stations).every(({ shotType }) => shotType === 'putt')).toBe(true);
});

test('what would come first is said where the green has no place for it', () => {
  expect(all({ green: top! })[0]!.lacks).toBe('10–20 yd chips from the fairway');
  // Where chips are landed, no putt is missed; on any green nothing is.
  for (const { kind, lacks } of all({ green: low! })) if (kind === 'landing') expect(lacks).not.toMatch(/putt/);
  expect(all({})[0]!.lacks).toBeNull();
});

test('a green without stations has no game', () => {
  for (const purpose of PURPOSES) expect(all({ purpose, green: { ...low!, stations: [] } })).toEqual([]);
});

test('a squad with a station each stands in nobody’s way, and has head starts when it competes', () => {
  for (const purpose of ['take_strokes_off', 'compete'] as const)
    for (const { game, headStarts, outlooks } of all({ purpose, players: squad, green: low!, minutes: 40 })) {
      const stations = low!.stations.filter(({ key }) => game.stations.some(({ place }) => place === key));
      expect(conflictsOf(partiesOf({ ...low!, stations, groups: [] })).filter(({ level }) => level === 'red')).toEqual([]);
      expect(outlooks).toHaveLength(11);
      expect(headStarts === null).toBe(purpose !== 'compete');
    }
});

test('the weaker of two has the head start, and it makes them even', () => {
  for (const { headStarts } of all({ purpose: 'compete', players: [eva, pia] })) {
    expect(headStarts!.scratch).toBe(0);
    expect(headStarts!.players[1]!.allowance).toBeGreaterThan(0);
    expect(Math.abs(headStarts!.worstPair - 0.5)).toBeLessThan(0.12);
  }
});

test('one alone competes with nobody', () => {
  expect(all({ purpose: 'compete' })).toEqual([]);
});

test('stations say a distance in whole units of the reader’s, each shot once, and names as long as they may be fit', () => {
  for (const units of ['imperial', 'metric'] as const)
    for (const { game } of all({ units, players: [{ ...otto, name: 'W'.repeat(60) }] })) {
      expect(new Set(game.stations.map((one) => `${one.shotType} ${one.surface} ${one.distanceM}`)).size).toBe(game.stations.length);
      expect(game.title.length).toBeLessThanOrEqual(80);
    }
});

test('every cell is laid out within itself', () => {
  for (const units of ['imperial', 'metric'] as const)
    for (const cell of model.cells)
      expect([units, cellKey(cell.shotType, cell.surface, layOut(cell, units).distanceM)]).toEqual([units, cell.key]);
});

test('nobody lays out tap-ins', () => {
  for (const { game } of all({ minutes: 120 }))
    for (const { shotType, surface, distanceM } of game.stations) expect(cellKey(shotType, surface, distanceM)).not.toBe('putt|green|0');
});

test('the same order, the same games; another seed, others, but what is sure stays', () => {
  expect(all({})).toEqual(all({}));
  const cells = (seed: number) =>
    all({ seed })[0]!.game.stations.map(({ shotType, surface, distanceM }) => cellKey(shotType, surface, distanceM));
  const seeds = [1, 2, 3, 4].map(cells);
  expect(new Set(seeds.map((keys) => keys.toSorted().join())).size).toBeGreaterThan(1);
  expect(seeds.every((keys) => keys.includes('chip|fairway|10'))).toBe(true);
});

test('the widest ring catches three balls in four of the player it is made for, whatever the level', () => {
  const radii = [eva, pia].map((who) => {
    const { game } = all({ players: [who] })[0]!;
    const own = { entrant: enter(who, game.sizes, UNMEASURED, 0), belief: who.belief };
    const rates = ratesOf(game, own, stopsOf(game, own, model, { balls: 6000, seed: 5 }));
    expect(rates.at(-1)!.rate).toBeGreaterThan(0.68);
    expect(rates.at(-1)!.rate).toBeLessThan(0.82);
    return (game.scoring as unknown as { rings: { radiusM: number }[] }).rings.at(-1)!.radiusM;
  });
  expect(radii[1]).toBeGreaterThan(radii[0]!);
});
