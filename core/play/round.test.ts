import { UNKNOWN, type Result } from '../game/scoring/ball';
import { projectShots } from '../shot/project';
import { between, entrants, ft, game, holed, left, playList, playOut, recordTurn, station, yd } from '../testing/make';
import { playSession } from './play';
import { nextQuestion, NO_ANSWERS } from './questions';
import { lastRound, toBeat } from './round';

const duel = (more: object = {}, of: object = {}) =>
  game({
    order: 'serial',
    scoring: { scheme: 'nearest_wins', firstTo: null, ties: 'nobody', callPoints: null, farM: ft(30), ...more },
    ...of,
  });
const tape = (feet: number): Result => ({ ...left(feet), measured: 'tape' });
const eye = (feet: number): Result => ({ ...left(feet), measured: 'eye' });
const play = (results: Result[], people = entrants(2), spec = duel()) => playList(spec, results, { people }).table;
const inPlay = between(0, 30);
const nearer: Result = { ...between(0, 30), nearer: true };
const farther: Result = { ...between(0, 30), nearer: false };

test('a round is said once everybody has played in it: who took it, or that it is halved', () => {
  expect(lastRound(play([]))).toBeNull();
  expect(lastRound(play([tape(4)]))).toBeNull();
  expect(lastRound(play([tape(4), tape(9)]))).toMatchObject({ no: 1, winners: [0] });
  expect(lastRound(play([tape(4), tape(4)]))).toMatchObject({ winners: [] });
  expect(lastRound(play([tape(40), tape(40)]))).toMatchObject({ winners: [] });
  expect(lastRound(play([tape(4), tape(9), tape(5)]))).toMatchObject({ no: 1, winners: [0] });
  expect(lastRound(play([tape(4), tape(4)], entrants(2), duel({ ties: 'each' })))).toMatchObject({ winners: [0, 1] });
  // Where nobody is compared there are none.
  expect(lastRound(playOut(game(), () => left(3), { seats: 2 }).table)).toBeNull();
});

test('without a figure: nearer wins, farther loses, of several the last who is nearer', () => {
  expect(lastRound(play([inPlay, nearer]))).toMatchObject({ winners: [1], tooClose: null });
  expect(lastRound(play([inPlay, farther]))).toMatchObject({ winners: [0] });
  expect(lastRound(play([tape(9), { ...between(0, 9), nearer: true }]))).toMatchObject({ winners: [1] });
  expect(lastRound(play([tape(9), { ...between(9, null), nearer: false }]))).toMatchObject({ winners: [0] });
  expect(lastRound(play([inPlay, nearer, nearer], entrants(3)))).toMatchObject({ winners: [2] });
  expect(lastRound(play([inPlay, nearer, farther], entrants(3)))).toMatchObject({ winners: [1] });
  // Two who are level, and a third who is farther and measured.
  const level: Result = { ...eye(9), nearer: false };
  expect(lastRound(play([level, level, tape(14)], entrants(3)))).toMatchObject({ winners: [] });
  // The points follow.
  expect(play([inPlay, nearer, inPlay, farther]).standings.map(({ score }) => score)).toEqual([1, 1]);
});

test('two figures that nobody can tell apart are asked about, until somebody says or plays on', () => {
  // By eye each is blurred by 0.2: 9 and 11 ft differ by 0.2 in logarithms, less than 0.28; 9 and 12.5 ft by 0.33.
  expect(lastRound(play([eye(9), eye(11)]))).toMatchObject({ winners: [0], tooClose: [0, 1] });
  expect(lastRound(play([eye(11), eye(9)]))).toMatchObject({ tooClose: [1, 0] });
  expect(lastRound(play([eye(9), eye(12.5)]))).toMatchObject({ tooClose: null });
  // With a tape 9 ft and 9 ft 6 are far apart.
  expect(lastRound(play([tape(9), tape(9.5)]))).toMatchObject({ tooClose: null });
  expect(lastRound(play([eye(9), { ...eye(9.5), nearer: true }]))).toMatchObject({ winners: [1], tooClose: null });
  expect(lastRound(play([eye(9), eye(11), eye(3)]))).toMatchObject({ tooClose: null });
  expect(lastRound(play([holed, eye(1)]))).toMatchObject({ tooClose: null });
});

test('the keys of a duel: in play before anybody is down, then nearer or farther', () => {
  const keys = (results: Result[], seat: number) => {
    const table = play(results);
    const standing = table.standings[seat]!;
    return nextQuestion(standing, standing.next!, { clubs: [], favourite: null }, NO_ANSWERS, toBeat(table, seat))!.keys;
  };
  expect(keys([], 0).map(({ key }) => key)).toEqual(['holed', 'unmeasured', 'outside']);
  expect(keys([tape(9)], 1).map(({ key }) => key)).toEqual(['holed', 'nearer', 'farther']);
  // What is known of a ball then is where it can lie.
  expect(keys([tape(9)], 1)[1]!.result).toMatchObject({ nearer: true, leftMinM: 0, leftMaxM: ft(9) });
  expect(keys([tape(9)], 1)[2]!.result).toMatchObject({ nearer: false, leftMinM: ft(9), leftMaxM: null });
  expect(keys([inPlay], 1)[1]!.result).toMatchObject({ nearer: true, leftMinM: 0, leftMaxM: ft(30) });
  // Nobody is nearer than the hole.
  expect(keys([holed], 1).map(({ key }) => key)).toEqual(['holed', 'farther']);
  // Somebody is outside: in play is nearer.
  expect(keys([{ ...UNKNOWN, leftMinM: ft(30) }], 1).map(({ key }) => key)).toEqual(['holed', 'nearer', 'outside']);
});

test('what there is to beat: a figure, a ball of which none is known, a holed one, nothing', () => {
  expect(toBeat(play([]), 0)).toBeNull();
  expect(toBeat(play([tape(9)]), 1)).toEqual({ leftM: ft(9), unmeasured: false, holed: false });
  expect(toBeat(play([inPlay]), 1)).toEqual({ leftM: null, unmeasured: true, holed: false });
  expect(toBeat(play([holed]), 1)).toMatchObject({ leftM: 0, holed: true });
  expect(toBeat(play([{ ...UNKNOWN, leftMinM: ft(30) }]), 1)).toEqual({ leftM: null, unmeasured: false, holed: false });
});

test('whoever has played more balls leads nobody: it is looked at after equal balls', () => {
  const out = game({
    order: 'serial',
    scoring: { scheme: 'hole_out', counts: 'strokes', pickUpAfter: 10, extraFromLevel: null },
    stations: [station('a', { par: 3 })],
  } as never);
  const strokes = (n: number): Result => ({ ...UNKNOWN, strokes: n, holed: n === 1 });
  // Otto took three; Mia, who has not played, has none.
  const one = playList(out, [strokes(3)], { seats: 2 }).table;
  expect([one.standings.map(({ score }) => score), one.ahead]).toEqual([[3, 0], []]);
  expect(playList(out, [strokes(3), strokes(2)], { seats: 2 }).table.ahead).toEqual([1]);
  expect(playList(out, [strokes(3), strokes(2), strokes(2)], { seats: 2 }).table.ahead).toEqual([1]);
  // Points too: ahead by a ball more is not ahead.
  const points = playList(game({ order: 'serial' }), [left(5), left(2), left(2)], { seats: 2 }).table;
  expect([points.standings.map(({ score }) => score), points.ahead]).toEqual([[6, 4], [1]]);
});

test('stations can be called in a duel: whoever comes second plays the same shot', () => {
  const open = duel({ firstTo: 2 }, { open: true, stations: [], order: 'blocked' });
  const people = entrants(2);
  const events: ReturnType<typeof recordTurn>[] = [];
  const table = () => playSession(open, people, projectShots(events));
  const hit = (key: string, turnNo: number, seat: number, feet: number, calls = false) => {
    const called = { turnNo, phase: 0, station: station(key, { distanceM: yd(12) }), stationNo: 1, ballNo: 1, asked: {}, attempt: 1 };
    const turn = calls ? called : table().standings[seat]!.next!;
    expect([turn.station.key, turn.turnNo]).toEqual([key, turnNo]);
    events.push(recordTurn(turn, left(feet), events.length, people[seat]!.playerId));
  };
  expect([table().turn, table().over]).toEqual([null, false]);
  hit('s1', 0, 0, 4, true);
  // The other plays from where it was called.
  expect([table().turn, table().standings[1]!.next?.station.distanceM]).toEqual([1, yd(12)]);
  hit('s1', 0, 1, 9);
  expect([lastRound(table())?.winners, table().turn, table().over]).toEqual([[0], 0, false]);
  // The next may be played from here again, or from elsewhere, by whoever calls.
  hit('s2', 1, 1, 9, true);
  hit('s2', 1, 0, 4);
  expect([table().over, table().ahead, table().standings.map(({ score }) => score)]).toEqual([true, [0], [2, 0]]);
});
