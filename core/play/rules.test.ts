import fc from 'fast-check';
import { projectShots } from '../shot/project';
import { entrants, ft, game, holed, left, PLAYER, playList, playOut, recordTurn, station, voidOf, yd } from '../testing/make';
import { enter, scaleForLevel } from '../game/enter';
import { gameFor } from '../game/entrant';
import { LIBRARY } from '../game/library';
import { keptAsGame } from '../game/open';
import { phasesOf } from '../game/phases';
import { goalMet, play, playSession } from './play';
import { turnsOf } from '../game/turn';
import { PLAIN_RULES, type Rules } from '../game/rules';
import { schemeOf } from '../game/scoring';
import { UNKNOWN, type Result } from '../game/scoring/ball';
import { gameSpecSchema } from '../game/spec';
import { onGoodSide, takesTurn } from './verdict';

const [hit, miss] = [left(3), left(12)];
const hits = { scheme: 'hits', radiusM: ft(6) } as const;
const rules = (change: Partial<Rules>) => ({ rules: { ...PLAIN_RULES, ...change } });
const ones = 'abc'.split('').map((key) => station(key, { balls: 1 }));
const short = (feet: number): Result => left(feet, 180);
const long = (feet: number): Result => left(feet, 0);
const alone = (spec: ReturnType<typeof game>, results: Result[]) => playList(spec, results).table.standings[0]!;

describe('what counts', () => {
  test('marked balls score as the game says; those without a turn are set beside it', () => {
    const spec = game({ stations: ones, scoring: hits });
    const standing = alone(spec, [{ ...hit, counts: 'rehit' }, { ...hit, counts: 'lie_rejected' }, { ...hit, counts: 'collided' }, hit]);
    expect([standing.score, standing.played.length, standing.extras.length, standing.next?.stationNo]).toEqual([2, 2, 2, 3]);
    expect((['ordinary', 'conceded', 'practice_ball', 'no_ball'] as const).map((counts) => takesTurn({ counts }))).toEqual([
      true,
      true,
      true,
      false,
    ]);
  });

  test('a peg that is struck scores as holed, and the record says it was a peg', () => {
    const spec = game({ stations: [station('a', { balls: 1, target: 'peg' })] });
    const standing = alone(spec, [holed]);
    expect([standing.score, standing.played[0]!.target]).toEqual([6, 'peg']);
  });
});

describe('one-sided zones and penalties', () => {
  test('only past the hole counts; level with it counts; a side that is not known does not', () => {
    const spec = game({ stations: [station('a', { balls: 5 })], scoring: hits, ...rules({ goodSide: 'long' }) });
    expect(alone(spec, [long(3), short(3), left(3, 90), left(3), holed]).score).toBe(3);
    expect([onGoodSide({ holed: false, bearingDeg: 350 }, 'long'), onGoodSide({ holed: false, bearingDeg: 181 }, 'right')]).toEqual([
      true,
      false,
    ]);
  });

  test('the short side costs a point, and staying off the green two', () => {
    const spec = game({ stations: ones, ...rules({ goodSide: 'long', wrongSideCost: 1, offGreenCost: 2 }) });
    // 4 for 2 ft past; 0 and −1 for 2 ft short; 1 − 2 for 8 ft past in the fringe.
    const standing = alone(spec, [long(2), short(2), { ...long(8), finish: 'fringe' }]);
    expect(standing.running).toEqual([4, 3, 2]);
    expect(standing.stations.map((one) => one.score)).toEqual([4, -1, -1]);
  });

  test('in total left a cost is feet on top', () => {
    const spec = game({ stations: ones, scoring: { scheme: 'total_left', farM: ft(30) }, ...rules({ offGreenCost: 5 }) });
    expect(alone(spec, [left(4), { ...left(10), finish: 'sand' }, holed]).score).toBeCloseTo(ft(19), 6);
  });
});

describe('again until it works', () => {
  const spec = game({ stations: ones, scoring: hits, ...rules({ attempts: 'until_works' }) });

  test('only the first attempt scores, the others are marked as hit again', () => {
    const { table, events } = playList(spec, [miss, miss, hit, hit, miss, hit]);
    const standing = table.standings[0]!;
    expect([standing.score, standing.over]).toEqual([1, true]);
    expect(projectShots(events).map((ball) => [ball.turnNo, ball.counts])).toEqual([
      [0, 'ordinary'],
      [0, 'rehit'],
      [0, 'rehit'],
      [1, 'ordinary'],
      [2, 'ordinary'],
      [2, 'rehit'],
    ]);
  });

  test('after five attempts it goes on', () => {
    const { table, events } = playOut(spec, () => miss);
    expect([table.over, events.length, table.standings[0]!.score]).toEqual([true, 15, 0]);
  });
});

describe('the end', () => {
  test('a perfect first round ends the game where the coach wants it, and reaches any goal', () => {
    const stations = ones.map((one) => ({ ...one, balls: 3 }));
    const spec = game({ stations, order: 'serial', scoring: hits, goal: 8, ...rules({ endOnPerfectRound: true }) });
    const perfect = alone(spec, [hit, hit, hit, hit]);
    expect([perfect.over, perfect.early, perfect.played.length, goalMet(spec, perfect.score, perfect.early)]).toEqual([
      true,
      'perfect',
      3,
      true,
    ]);
    const not = alone(spec, [hit, miss, hit, hit]);
    expect([not.over, not.early]).toEqual([false, null]);
  });

  test('balls after the time do not score; without another ball only the clock says that it is over', () => {
    const spec = game({ stations: [station('a', { balls: 3 })], scoring: hits, ...rules({ timeLimitS: 60 }) });
    const [first, second, third] = turnsOf(spec);
    const at = (s: number) => new Date(Date.parse('2026-05-01T18:00:00Z') + s * 1000).toISOString();
    const shots = projectShots([
      recordTurn(first!, hit, 1, PLAYER, at(0)),
      recordTurn(second!, hit, 2, PLAYER, at(60)),
      recordTurn(third!, hit, 3, PLAYER, at(61)),
    ]);
    const all = play(spec, shots);
    expect([all.score, all.late.length, all.over, all.early]).toEqual([2, 1, true, 'time']);
    const two = shots.slice(0, 2);
    expect(play(spec, two, { atMs: Date.parse(at(50)) }).over).toBe(false);
    expect(play(spec, two, { atMs: Date.parse(at(61)) }).over).toBe(true);
  });
});

describe('phases', () => {
  const spec = game({
    stations: ones.map((one) => ({ ...one, par: 2 })),
    leadIn: [{ title: 'Warm', balls: 2, stations: null, order: 'serial', scoring: hits }],
    scoring: { scheme: 'hole_out', counts: 'strokes', pickUpAfter: 6, extraFromLevel: null },
    goal: 7,
  });

  test('several balls each, then one that counts: the score is that of the last phase', () => {
    const warm = alone(spec, [hit, hit, miss, hit]);
    expect([warm.score, warm.phase.title, warm.next?.phase, warm.next?.station.key]).toEqual([0, 'Warm', 0, 'a']);
    const strokes = (n: number): Result => ({ ...UNKNOWN, strokes: n });
    const all = alone(spec, [hit, hit, miss, hit, hit, miss, strokes(2), holed, strokes(3)]);
    expect(all.phases.map(({ title, score, balls }) => [title, score, balls])).toEqual([
      ['Warm', 4, 6],
      ['What counts', 6, 3],
    ]);
    expect([all.score, all.over, all.played.map((ball) => ball.phase).join('')]).toEqual([6, true, '000000111']);
    expect(all.played.map((ball) => ball.turnNo)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  });
});

describe('players', () => {
  test('an allowance is a head start: added where more is better, taken off where less is', () => {
    const people = entrants(2).map((one, i) => ({ ...one, allowance: i * 1.5 }));
    const points = playList(game({ stations: ones, scoring: hits }), [hit, hit, miss, miss, hit, hit], { people }).table;
    expect([points.standings.map((one) => one.score), points.ahead]).toEqual([[2, 3.5], [1]]);
    const total = game({ stations: ones.slice(0, 1), scoring: { scheme: 'total_left', farM: ft(30) } });
    expect(playList(total, [left(4), left(5)], { people }).table.standings[1]!.score).toBeCloseTo(ft(3.5), 6);
  });

  test('by turns: the one with fewer balls is next, and the board names who leads', () => {
    const spec = game({ stations: ones, scoring: hits });
    const { table } = playList(spec, [hit, miss, hit], { seats: 2 });
    expect([table.turn, table.ahead, table.over]).toEqual([1, [0], false]);
  });

  test('zones in the player’s own club, and scaled to the level', () => {
    const lengths = { paceM: null, clubM: 1.1, putterM: null };
    const nobody = { paceM: null, clubM: null, putterM: null };
    const spec = game({
      stations: ones,
      scoring: { scheme: 'hits', radiusM: 2 * 0.889 },
      sizes: { unit: 'club', of: 'player', fixedM: null, scaled: true },
    });
    const tall = enter({ playerId: PLAYER, level: 28, ...lengths }, spec.sizes, nobody, 0);
    expect([tall.unitM, tall.scale]).toEqual([1.1, scaleForLevel(28)]);
    // The reference's medians of a 15 yd chip from the fairway: level 28 17.05 ft, level 10 9.26 ft; to a twentieth 1.85.
    expect(scaleForLevel(28)).toBe(1.85);
    expect(gameFor(spec, tall).scoring).toEqual({ scheme: 'hits', radiusM: 4.07 });
    const unmeasured = enter({ playerId: PLAYER, level: 10, ...nobody }, spec.sizes, nobody, 0);
    expect([unmeasured.unitM, unmeasured.scale, gameFor(spec, unmeasured)]).toEqual([null, 1, spec]);
  });
});

describe('the player’s choice', () => {
  const spec = game({ order: 'choice', stations: [station('a', { balls: 2 }), station('b', { balls: 1 })], scoring: hits });

  test('any station with balls left can be played, and each ball once', () => {
    const one = playSession(spec, entrants(1), []).standings[0]!;
    expect(one.choice.map((turn) => [turn.station.key, turn.ballNo, turn.turnNo])).toEqual([
      ['a', 1, 0],
      ['b', 1, 0],
    ]);
    const shots = projectShots([recordTurn(one.choice[1]!, hit, 1)]);
    const two = playSession(spec, entrants(1), shots).standings[0]!;
    expect(two.choice.map((turn) => [turn.station.key, turn.turnNo])).toEqual([['a', 1]]);
    expect(two.score).toBe(1);
  });
});

describe('open games', () => {
  const spec = gameSpecSchema.parse({ ...game(), stations: [], open: true });

  test('the game grows by what is called, and can be kept as a game', () => {
    const empty = playSession(spec, entrants(1), []).standings[0]!;
    expect([empty.next, empty.over]).toEqual([null, false]);
    const called = station('s1', { distanceM: yd(20), surface: 'light_rough', balls: 1 });
    const turn = { ...turnsOf(game())[0]!, station: called, stationNo: 1 };
    const events = [recordTurn(turn, left(2), 1), recordTurn({ ...turn, turnNo: 1, ballNo: 2 }, left(5), 2)];
    const standing = playSession(spec, entrants(1), projectShots(events)).standings[0]!;
    expect([standing.score, standing.next?.station.key, standing.next?.ballNo, standing.over]).toEqual([6, 's1', 3, false]);
    const kept = keptAsGame(spec, standing.played, 'Kept')!;
    expect(kept.stations).toEqual([{ ...called, balls: 2 }]);
    expect(gameSpecSchema.parse(kept)).toEqual(kept);
    expect(keptAsGame(spec, [], 'Nothing')).toBeNull();
  });
});

test('undoing any prefix equals never having recorded it, in every game of the library', () => {
  for (const { spec } of LIBRARY.filter((entry) => !entry.spec.open)) {
    const people = entrants(schemeOf(spec.scoring).players);
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 14 }), fc.nat(14), (results, keep) => {
        const result = (good: boolean): Result => ({ ...(good ? hit : miss), landed: good, executed: good, strokes: good ? 2 : 3 });
        const { events } = playOut(spec, (_turn, _seat, n) => (n < results.length ? result(results[n]!) : null), { people });
        const undone = events.slice(keep).map((event, n) => voidOf(event, n));
        const after = (list: typeof events) => playSession(spec, people, projectShots(list));
        expect(after([...events, ...undone])).toEqual(after(events.slice(0, keep)));
      }),
      { numRuns: 12 },
    );
  }
});

test('phases number their turns on, and a ladder takes as many as it may', () => {
  const ladder = { scheme: 'ladder', radiusM: 0, drop: 1, bottom: 'floor', counts: 'balls', mostBalls: 9, byTurns: false } as const;
  const spec = game({
    stations: ones,
    leadIn: [{ title: 'Warm', balls: 2, stations: null, order: 'blocked', scoring: hits }],
    scoring: ladder,
  });
  expect(phasesOf(spec).map((phase) => [phase.firstTurn, phase.turns])).toEqual([
    [0, 6],
    [6, 9],
  ]);
});
