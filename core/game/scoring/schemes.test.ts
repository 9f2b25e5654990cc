import { between, entrants, ft, game, holed, left, playList, station, yd } from '../../testing/make';
import { goalMet, type Standing } from '../../play/play';
import type { GameSpec } from '../spec';
import { SCHEME_KINDS, schemeOf, type Scoring } from '.';
import { ranking } from './club-trial';
import { goalInWords } from '../words/goal-words';
import { sayScore } from '../words/say-score';
import { byWay } from '../../play/by-way';
import type { Shot } from '../../shot/shot';
import { UNKNOWN, type Result } from './ball';
import { cellsOf } from './shot-matrix';

/*
 * Every way of scoring, played to its end with values worked out by hand.
 */
const three = [station('a', { balls: 1 }), station('b', { balls: 1 }), station('c', { balls: 1 })];
const of = (scoring: Scoring, more: Partial<GameSpec> = {}) => game({ scoring, ...more });
const alone = (spec: GameSpec, results: Result[]): Standing => playList(spec, results).table.standings[0]!;
const landed = (yes: boolean, feet: number | null = null): Result => ({ ...(feet === null ? UNKNOWN : left(feet)), landed: yes });
const strokes = (n: number, more: Partial<Result> = {}): Result => (n === 1 ? holed : { ...UNKNOWN, strokes: n, ...more });
const executed = (yes: boolean): Result => ({ ...UNKNOWN, executed: yes });
const values = (standing: Standing) => Object.fromEntries(standing.notes.map((note) => [note.label, note.value]));

test('every scheme has a line that says it, and a fresh game that is valid', () => {
  for (const kind of SCHEME_KINDS)
    for (const system of ['imperial', 'metric'] as const) {
      const scheme = schemeOf({ scheme: kind });
      const stations = three.map((one) => ({
        ...one,
        balls: schemeOf({ scheme: kind }).countsBalls ? 4 : 1,
        carryM: kind === 'landing_zone' ? 4 : null,
      }));
      expect(of(scheme.fresh(system), { stations }).scoring.scheme).toBe(kind);
      expect(scheme.about).toMatch(/\.$/);
    }
});

test('total left: 4 ft 6, holed, and one farther than 30 ft that counts 30 ft, are 34 ft 6', () => {
  const standing = alone(of({ scheme: 'total_left', farM: ft(30) }, { stations: three }), [left(4.5), holed, between(30, null)]);
  expect(standing.score).toBeCloseTo(ft(34.5), 6);
  expect([standing.over, goalMet(game({ goal: null }), 0)]).toEqual([true, null]);
});

test('hits: the edge is in, a doubt is out', () => {
  const spec = of({ scheme: 'hits', radiusM: ft(6) }, { stations: three, goal: 2 });
  const standing = alone(spec, [left(6), between(3, 7), holed]);
  expect([standing.score, goalMet(spec, standing.score)]).toEqual([2, true]);
});

test('hits in the hole: a tap-in is none', () => {
  expect(alone(of({ scheme: 'hits', radiusM: 0 }, { stations: three }), [left(0.2), holed, holed]).score).toBe(2);
});

test('landing zone: landed, landed and rolled off, missed; land and finish wants both', () => {
  const stations = three.map((one) => ({ ...one, carryM: yd(5) }));
  const results = [landed(true, 4), landed(true, 20), landed(false, 3)];
  const zone = { scheme: 'landing_zone', shape: 'strip', sizeM: ft(3) } as const;
  expect(alone(of({ ...zone, finishM: null }, { stations }), results).score).toBe(2);
  const both = alone(of({ ...zone, finishM: ft(6) }, { stations }), results);
  expect(both.score).toBe(1);
  expect(values(both)).toEqual({ 'landed in the zone': '2', 'finished near the hole': '2' });
});

test('hole out: seven stations of par 2 in 2, 1, 3, 2 (a second chip), 6 with a penalty … running against the par', () => {
  const stations = 'abcdefg'.split('').map((key) => station(key, { balls: 1, par: 2 }));
  const spec = of({ scheme: 'hole_out', counts: 'strokes', pickUpAfter: 6, extraFromLevel: null }, { stations, goal: 17 });
  const first = alone(spec, [strokes(2), strokes(1), strokes(2), strokes(1), strokes(2)]);
  expect([first.score, first.now]).toEqual([8, 'two under through five']);
  const all = alone(spec, [
    strokes(2),
    strokes(1),
    strokes(3, { finish: 'rough' }),
    strokes(2),
    strokes(5, { penalty: 1 }),
    strokes(2),
    strokes(2),
  ]);
  // 2 + 1 + 3 + 2 + (5 + 1) + 2 + 2 = 18 against 14.
  expect([all.score, all.now, all.over]).toEqual([18, 'four over through seven', true]);
  expect(goalMet(spec, all.score)).toBe(false);
  expect(values(all)).toEqual({
    'against the par': 'four over through seven (par 14)',
    'up and down': '5 of 7',
    'needed a second chip': '1 of 7',
    'in par or better': '5 of 7',
  });
});

test('finished in par or better: 2, 1, 3, 2 and a picked-up ball against par 2 are 3 of 5, and the goal is met', () => {
  const stations = 'abcde'.split('').map((key) => station(key, { balls: 1, par: 2 }));
  const scoring = { scheme: 'hole_out', counts: 'in_par', pickUpAfter: 5, extraFromLevel: null } as const;
  const spec = of(scoring, { stations, goal: 3 });
  const half = alone(spec, [strokes(2), strokes(1), strokes(3)]);
  expect([half.score, half.now]).toEqual([2, '2 of 3']);
  const all = alone(spec, [strokes(2), strokes(1), strokes(3), strokes(2), UNKNOWN]);
  expect([all.score, all.over, goalMet(spec, all.score), goalMet(spec, 2)]).toEqual([3, true, true, false]);
  expect(values(all)).toMatchObject({ strokes: '13', 'up and down': '3 of 5' });
  expect(sayScore(3, schemeOf(scoring).unit(scoring), 'imperial')).toBe('3 in par or better');
  expect(goalInWords(spec, 'imperial')).toBe('3 of 5 balls in par or better.');
});

test('hole out with a par by level: the same strokes, and the weaker player leads', () => {
  const stations = three.map((one) => ({ ...one, par: 2 }));
  const spec = of({ scheme: 'hole_out', counts: 'strokes', pickUpAfter: 5, extraFromLevel: 18 }, { stations });
  const people = [
    { ...entrants(2)[0]!, level: 5 },
    { ...entrants(2)[1]!, level: 18 },
  ];
  const { table } = playList(
    spec,
    [2, 3, 2, 2, 2, 3].map((n) => strokes(n)),
    { people },
  );
  expect(table.standings.map((one) => [one.score, one.now])).toEqual([
    [6, 'level through three'],
    [8, 'one under through three'],
  ]);
  expect(table.ahead).toEqual([1]);
});

const rungs = 'abc'.split('').map((key) => station(key, { balls: 1 }));
const ladder = { scheme: 'ladder', radiusM: ft(6), drop: 1, bottom: 'floor', counts: 'balls', mostBalls: 8, byTurns: false } as const;
const [hit, miss] = [left(3), left(12)];

test('ladder: up, down, up, up, up: passed with five balls; the bottom is a floor', () => {
  // rung 0 -> 1 -> 0 -> 1 -> 2 -> 3
  const passed = alone(of(ladder, { stations: rungs }), [hit, miss, hit, hit, hit]);
  expect([passed.score, passed.over, passed.now]).toEqual([5, true, 'passed with 5 balls']);
  const floored = alone(of(ladder, { stations: rungs }), [miss, miss, hit]);
  expect([floored.score, floored.next?.station.key, floored.now]).toEqual([3, 'b', 'rung 2 of 3']);
});

test('ladder: not passed within eight balls counts the eight and the rungs left; off the bottom it is the end', () => {
  const stuck = alone(of(ladder, { stations: rungs }), [hit, hit, miss, hit, miss, hit, miss, hit, hit]);
  // 1 2 1 2 1 2 1 2: eight balls, on the third rung, one left.
  expect([stuck.score, stuck.over]).toEqual([9, true]);
  const ended = alone(of({ ...ladder, bottom: 'end' }, { stations: rungs }), [hit, miss, miss, hit]);
  expect([ended.score, ended.over, ended.now, values(ended)['the end']]).toEqual([11, true, 'off the bottom', 'off the bottom']);
  const high = alone(of({ ...ladder, bottom: 'end', counts: 'rungs', drop: 2 }, { stations: rungs }), [hit, hit, miss, miss]);
  expect([high.score, high.over]).toEqual([2, true]);
});

test('ladder by turns: the one who begins passes first, the other has one more ball', () => {
  const spec = of({ ...ladder, byTurns: true, counts: 'rungs' }, { stations: rungs.slice(0, 2) });
  const draw = playList(spec, [hit, hit, hit, hit], { seats: 2 }).table;
  expect([draw.over, draw.ahead]).toEqual([true, [0, 1]]);
  const won = playList(spec, [hit, hit, hit, miss], { seats: 2 }).table;
  expect([won.over, won.ahead, won.standings.map((one) => one.score)]).toEqual([true, [0], [2, 1]]);
});

const nearest = { scheme: 'nearest_wins', firstTo: 2, ties: 'nobody', callPoints: null, farM: ft(30) } as const;

test('nearest wins: first to two, a level round gives nobody a point, and one that is not measured does not win', () => {
  const spec = of(nearest, { stations: [station('a', { balls: 6 })] });
  const far = between(30, null);
  const { table } = playList(spec, [left(4), left(5), left(3), left(3), far, far, holed, left(1), holed], { seats: 2 });
  expect(table.standings.map((one) => one.score)).toEqual([2, 0]);
  expect([table.over, table.ahead, table.standings[0]!.played.length]).toEqual([true, [0], 4]);
  const each = of({ ...nearest, ties: 'each', firstTo: null }, { stations: [station('a', { balls: 2 })] });
  const tied = playList(each, [left(3), left(3), left(2), left(9)], { seats: 2 }).table;
  expect([tied.standings.map((one) => one.score), tied.ahead]).toEqual([[2, 1], [0]]);
});

test('nearest wins: a duel that ends level has two leaders', () => {
  const spec = of({ ...nearest, firstTo: null }, { stations: [station('a', { balls: 2 })] });
  const { table } = playList(spec, [left(1), left(2), left(2), left(1)], { seats: 2 });
  expect([table.over, table.ahead]).toEqual([true, [0, 1]]);
});

test('nearest wins: whose opponent was erased has nobody left to win from', () => {
  const spec = of({ ...nearest, firstTo: null }, { stations: [station('a', { balls: 2 })] });
  const { table } = playList(spec, [left(1), holed], { seats: 1 });
  expect([table.over, table.standings[0]!.score]).toEqual([true, 0]);
});

test('nearest wins with calls: a kept call earns by itself', () => {
  const spec = of({ ...nearest, callPoints: 2, firstTo: null }, { stations: [station('a', { balls: 1 })] });
  const { table } = playList(
    spec,
    [
      { ...left(3), executed: false },
      { ...left(5), executed: true },
    ],
    { seats: 2 },
  );
  expect(table.standings.map((one) => [one.score, values(one)])).toEqual([
    [1, { nearest: '1 time', 'calls kept': '0' }],
    [2, { nearest: '0 times', 'calls kept': '1' }],
  ]);
});

test('shot matrix by what is left: low against high from one lie, three balls each', () => {
  const nothing = { shape: [], swingWidth: [] };
  const scoring: Scoring = { scheme: 'shot_matrix', route: [], trajectory: ['low', 'high'], ...nothing, farM: ft(30) };
  const spec = of(scoring, { stations: [station('a', { balls: 3 })] });
  const { table, events } = playList(spec, [left(3), holed, left(6), left(9), between(30, null), left(12)]);
  const standing = table.standings[0]!;
  // 3 + 0 + 6 low, 9 + 30 + 12 high.
  expect(standing.score).toBeCloseTo(ft(60), 3);
  expect(standing.over).toBe(true);
  expect(events.map(({ payload }) => (payload as Shot).trajectory)).toEqual(['low', 'low', 'low', 'high', 'high', 'high']);
  const [from] = byWay(standing)!;
  expect(from!.ways.map(({ way, balls, meanM }) => [way, balls, Number((meanM / ft(1)).toFixed(2))])).toEqual([
    ['low', 3, 3],
    ['high', 3, 17],
  ]);
  const routes: Scoring = { ...scoring, route: ['bold', 'careful'], trajectory: [] };
  const bold = playList(of(routes, { stations: [station('a', { balls: 1 })] }), [left(3), left(4)]);
  expect(bold.events.map(({ payload }) => (payload as Shot).called)).toEqual(['bold', 'careful']);
  expect(byWay(bold.table.standings[0]!)![0]!.ways.map(({ way }) => way)).toEqual(['bold', 'careful']);
});

test('shot matrix: every combination once, what is asked is recorded', () => {
  const scoring: Scoring = {
    scheme: 'shot_matrix',
    route: [],
    farM: null,
    trajectory: ['low', 'high'],
    shape: ['draw', 'fade'],
    swingWidth: [],
  };
  expect(cellsOf(scoring)).toEqual([
    { trajectory: 'low', shape: 'draw' },
    { trajectory: 'low', shape: 'fade' },
    { trajectory: 'high', shape: 'draw' },
    { trajectory: 'high', shape: 'fade' },
  ]);
  const standing = alone(of(scoring, { stations: [station('a', { balls: 1 })] }), [
    executed(true),
    executed(false),
    executed(true),
    executed(true),
  ]);
  expect([standing.score, standing.turns, standing.over]).toEqual([3, 4, true]);
  expect(standing.played[1]).toMatchObject({ trajectory: 'low', shape: 'fade', executed: false, ballNo: 2 });
});

test('club trial: two balls with each club, the nearest on average first', () => {
  const scoring: Scoring = { scheme: 'club_trial', clubs: ['PW', '54°', '58°'], farM: ft(30) };
  const spec = of(scoring, { stations: [station('a', { balls: 2 })] });
  const standing = alone(spec, [left(10), left(8), left(3), left(5), left(20), between(30, null)]);
  expect(standing.score).toBeCloseTo(ft(76), 6);
  expect(standing.notes.map((note) => note.label)).toEqual(['1. 54°', '2. PW', '3. 58°']);
  expect(standing.played.map((ball) => ball.clubLabel)).toEqual(['PW', 'PW', '54°', '54°', '58°', '58°']);
  expect(
    ranking([
      { club: 'x', balls: 0, totalM: 0 },
      { club: 'y', balls: 1, totalM: 9 },
    ])[0]!.club,
  ).toBe('y');
});

test('streak: three in a row, by the longest run and by the balls it took', () => {
  const stations = [station('a', { balls: 6 })];
  const results = [hit, hit, miss, hit, hit, hit, hit];
  const run = alone(of({ scheme: 'streak', radiusM: ft(6), until: 3, counts: 'run' }, { stations }), results);
  expect([run.score, run.played.length, run.over]).toEqual([3, 6, true]);
  const balls = alone(of({ scheme: 'streak', radiusM: ft(6), until: 3, counts: 'balls' }, { stations }), results);
  expect([balls.score, balls.over]).toEqual([6, true]);
  const missed = alone(of({ scheme: 'streak', radiusM: ft(6), until: 5, counts: 'balls' }, { stations }), [hit, hit, hit, miss, hit, hit]);
  // All six, and the run was two short of five.
  expect([missed.score, missed.over]).toEqual([8, true]);
  const longest = alone(of({ scheme: 'streak', radiusM: ft(6), until: null, counts: 'run' }, { stations }), [hit, hit, miss, hit]);
  expect([longest.score, longest.now, longest.over]).toEqual([2, 'run 1 · longest 2', false]);
});
