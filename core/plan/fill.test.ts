import { secondsFor } from '../game/budget';
import { LIBRARY } from '../game/library';
import { schemeOf } from '../game/scoring';
import { shippedReference } from '../golf/reference';
import { isPutt } from '../golf/shot-types';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { modelOf } from '../skill/model';
import { game, idOf, left, shot, station, yd } from '../testing/make';
import { canPlay } from './can-play';
import { fillHour, fillPart, type FillOrder } from './fill';
import { filledWith } from './filled';
import { partSchema, type Part, type PartKind } from '../hour/hour';
import { partsOf } from '../hour/parts-of';
import { PRESETS } from '../hour/school';

const model = modelOf(shippedReference);
const UNMEASURED = { paceM: null, clubM: null, putterM: null };

/** Somebody who leaves chips from the fairway far out. */
function player(clubs: string[] = []): FillOrder['players'][number] {
  const shots = Array.from({ length: 80 }, (_, i) =>
    shot({ shotType: 'chip', surface: 'fairway', distanceM: yd(15), stationKey: `s${i}` }, left(25 + (i % 7))),
  );
  const evidence = gather(talliesOf(shots, new Date('2027-01-01'), null));
  const belief = believe(evidence, model, 14);
  const judged = diagnose(model, belief, evidence, { level: 14, mix: model.mix(14) });
  return { playerId: idOf(1), name: 'Otto', level: 14, belief, judged, clubs, ...UNMEASURED };
}
const otto = player();
const ready = LIBRARY.map(({ spec }) => ({ gameId: null, spec }));
const order = (more: Partial<FillOrder> = {}): FillOrder => ({
  players: [otto],
  school: PRESETS[0]!.school,
  green: null,
  units: 'imperial',
  coach: UNMEASURED,
  seed: 1,
  candidates: ready,
  taken: [],
  ...more,
});
const part = (kind: PartKind, minutes: number, more: Partial<Part> = {}): Part =>
  partSchema.parse({ key: kind, kind, minutes, title: 'x', ...more });
const hourOf = (key: string, minutes: number) =>
  partsOf(PRESETS.find((preset) => preset.key === key)!.school, minutes).map(({ kind, minutes: m }) => part(kind, m));

test('technique is sets of the shot that costs most, as many as the minutes hold', () => {
  const filled = fillPart(order(), part('technique', 10), model)!;
  expect(filled).toMatchObject({ title: '10–20 yd chips from the fairway', sets: 3, setOf: 6, game: null });
  expect(filled.why).toBe('Weakest: 10–20 yd chips from the fairway.');
});

test.each(['landing', 'lies', 'putting', 'game'] as const)('%s: a game of that kind that fits, with the reason', (kind) => {
  for (const minutes of [6, 12, 25])
    for (const seed of [1, 2, 3]) {
      const { game: chosen, why } = fillPart(order({ seed }), part(kind, minutes), model)!;
      expect(chosen).not.toBeNull();
      expect(why).toMatch(/^(Weakest|To find out): /);
      const { spec } = chosen!;
      expect(canPlay(spec, [otto])).toBe(true);
      expect(secondsFor(spec, 1)).toBeLessThanOrEqual(60 * minutes);
      if (kind === 'putting') expect(spec.stations.every(({ shotType }) => isPutt(shotType))).toBe(true);
      if (kind === 'landing') expect(schemeOf(spec.scoring).sees(spec.scoring)).toContain('landed');
    }
});

test('thrown again, another game comes; the first again after all of them', () => {
  const titles = [1, 2, 3, 4, 5, 6, 7].map((seed) => fillPart(order({ seed }), part('game', 20), model)!.title);
  expect(new Set(titles.slice(0, 6)).size).toBe(6);
});

test('the coach’s own game of the weakest shot comes before ready ones', () => {
  const own = {
    gameId: idOf(7),
    spec: game({ title: 'Chip Hour', stations: ['a', 'b', 'c'].map((key) => station(key, { distanceM: yd(15), balls: 8 })) }),
  };
  const filled = fillPart(order({ candidates: [...ready, own] }), part('game', 20), model)!;
  expect(filled.game).toEqual(own);
});

test('a game that needs a second player, a club nobody has, or stations called live is never planned', () => {
  const one = game({ title: 'x' });
  expect(canPlay(one, [otto])).toBe(true);
  expect(canPlay({ ...one, open: true }, [otto])).toBe(false);
  const with60 = { ...one, stations: [station('a', { club: '60°' })] };
  expect(canPlay(with60, [player(['54°', 'PW'])])).toBe(false);
  expect(canPlay(with60, [player(['60°'])])).toBe(true);
  expect(canPlay(with60, [otto])).toBe(true);
  const duel = LIBRARY.find(({ spec }) => schemeOf(spec.scoring).players > 1)!.spec;
  expect([canPlay(duel, [otto]), canPlay(duel, [otto, otto])]).toEqual([false, true]);
  for (const kind of ['landing', 'lies', 'putting', 'game'] as const)
    for (let seed = 1; seed <= 6; seed++) {
      const { game: chosen } = fillPart(order({ seed, players: [player(['PW'])] }), part(kind, 20), model)!;
      expect(canPlay(chosen!.spec, [player(['PW'])])).toBe(true);
    }
});

test('a game of the weakest shot with a club that the player does not have is passed over, however much it is worth', () => {
  const stations = ['a', 'b', 'c'].map((key) => station(key, { distanceM: yd(15), balls: 8, club: '60°' }));
  const own = { gameId: idOf(7), spec: game({ title: 'Only with the 60', stations }) };
  const with60 = (clubs: string[]) => fillPart(order({ players: [player(clubs)], candidates: [own] }), part('game', 20), model)!.title;
  expect([with60(['60°']), with60(['PW'])]).toEqual(['Only with the 60', expect.not.stringContaining('60')]);
});

test('a whole hour is filled: no game twice, pinned parts stay, and the same order fills it the same', () => {
  const parts = [
    ...hourOf('settle', 60).slice(0, -1),
    part('other', 3, { title: 'Stretch' }),
    part('game', 11, { pinned: true, title: 'Kept' }),
  ];
  const filled = fillHour(order(), parts, model);
  expect(Object.keys(filled).toSorted()).toEqual(['landing', 'lies', 'putting', 'technique']);
  const titles = Object.values(filled).flatMap(({ game: chosen }) => chosen?.spec.title ?? []);
  expect(new Set(titles).size).toBe(titles.length);
  expect(fillHour(order(), parts, model)).toEqual(filled);
});

test('the test is the game that comes last', () => {
  const filled = fillHour(order(), hourOf('test', 50), model);
  expect(filled.test!.game).toEqual(filled.game!.game);
  let id = 100;
  const parts = filledWith(hourOf('test', 50), filled, () => idOf(id++));
  expect(parts[0]!.game).toEqual(parts.at(-1)!.game);
  expect(parts[0]!.luck).toBe(filled.test!.luck);
  // A score scatters by luck, and by less than what there is to score.
  expect(filled.test!.luck).toBeGreaterThan(0.3);
  expect(filled.test!.luck).toBeLessThan(15);
});

test('again until it works: what is made for the player says so', () => {
  const { school } = PRESETS.find(({ key }) => key === 'works')!;
  const { game: chosen } = fillPart(order({ school, candidates: [] }), part('lies', 15), model)!;
  expect(chosen!.spec.rules.attempts).toBe('until_works');
});

test('an hour that is for some shots is filled with them, except its game', () => {
  const PITCHES = 'pitch|light_rough|20';
  const aim = { shots: [PITCHES], candidates: [] };
  const cells = (spec: { stations: readonly { shotType: string; surface: string }[] }) =>
    new Set(spec.stations.map(({ shotType, surface }) => `${shotType} ${surface}`));
  expect(fillPart(order(aim), part('technique', 10), model)!.title).toBe('20–30 yd pitches from light rough');
  expect(cells(fillPart(order(aim), part('landing', 12), model)!.game!.spec)).toEqual(new Set(['pitch light_rough']));
  // Two places make varied lies: with one shot alone others go with it.
  const lies = fillPart(order({ ...aim, shots: [PITCHES, 'chip|heavy_rough|10'] }), part('lies', 15), model)!.game!.spec;
  expect(cells(lies)).toEqual(new Set(['pitch light_rough', 'chip heavy_rough']));
  const last = fillPart(order(aim), part('game', 20), model)!.game!.spec;
  expect(cells(last).size).toBeGreaterThan(1);
  // Of ready games those that are of such shots come first.
  const own = {
    gameId: idOf(7),
    spec: game({
      title: 'Light rough',
      stations: ['a', 'b'].map((key) => station(key, { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25), balls: 4 })),
    }),
  };
  expect(fillPart(order({ shots: [PITCHES], candidates: [...ready, own] }), part('lies', 12), model)!.game).toEqual(own);
});

test('a rehearsal is one ball from each place, holed out', () => {
  const { spec } = fillPart(order({ rehearses: true }), part('game', 25), model)!.game!;
  expect(spec.stations.every(({ balls }) => balls === 1)).toBe(true);
  expect(schemeOf(spec.scoring).stationSays).toContain('par');
});
