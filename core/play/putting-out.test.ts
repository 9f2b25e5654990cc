import { entrants, game, holed, left, playList, playOut, shot, station } from '../testing/make';
import { sayResult } from '../shot/say-shot';
import type { GameSpec } from '../game/spec';
import { PLAIN_RULES } from '../game/rules';
import { projectShots } from '../shot/project';
import type { Shot } from '../shot/shot';
import { addedUp } from './added-up';
import { playSession } from './play';
import { lastPuttedOut } from './putting-out';
import { whoseBall } from './whose';

const after = { rules: { ...PLAIN_RULES, puttOut: 'after_all' as const } };
const two = (more: Partial<GameSpec> = {}) =>
  game({ ...after, stations: [station('a', { balls: 3 }), station('b', { balls: 2 })], ...more });

test('station after station: the balls of one are hit, then putted out, and only then the next is played', () => {
  const spec = two();
  const half = playList(spec, [left(3), holed, left(8)], { putts: () => null }).table;
  const standing = half.standings[0]!;
  // The one that is holed waits for nothing.
  expect(standing.toPuttOut.map(({ ballNo }) => ballNo)).toEqual([1, 3]);
  expect([standing.over, half.turn, standing.next!.station.key]).toEqual([false, 0, 'b']);
  const { table, events } = playList(spec, [left(3), holed, left(8), left(5), left(5)], { putts: ({ ballNo }) => (ballNo === 3 ? 3 : 2) });
  expect([table.over, table.standings[0]!.toPuttOut]).toEqual([true, []]);
  expect(events.map(({ kind }) => kind)).toEqual([...Array(3).fill('record'), 'amend', 'amend', 'record', 'record', 'amend', 'amend']);
  expect(addedUp(table.standings[0]!, 'imperial')).toEqual(
    expect.arrayContaining([
      { label: 'strokes to finish', value: '10, 5 balls' },
      { label: 'up and down', value: '4 of 5' },
    ]),
  );
});

test('out and back, or as one likes: all are hit before the first is putted out', () => {
  for (const order of ['serial', 'random', 'choice'] as const) {
    const { table } = playList(two({ order }), Array(5).fill(left(4)), { putts: () => null });
    expect(table.standings[0]!.toPuttOut).toHaveLength(5);
    expect([table.over, table.standings[0]!.next]).toEqual([false, null]);
    expect(playList(two({ order }), Array(4).fill(left(4))).table.standings[0]!.toPuttOut).toEqual([]);
    expect(playList(two({ order }), Array(5).fill(left(4))).table.over).toBe(true);
  }
});

test('holing out after all: a ball counts once its strokes are said', () => {
  const spec = two({ scoring: { scheme: 'hole_out', counts: 'in_par', pickUpAfter: 6, extraFromLevel: null } });
  const off = { ...left(20), leftM: null, finish: 'fringe' as const };
  const hit = playList(spec, [off, holed, off], { putts: () => null }).table.standings[0]!;
  expect([hit.score, hit.now]).toEqual([1, '1 of 1']);
  const done = playList(spec, [off, holed, off, off, off], { putts: ({ ballNo }) => ballNo + 1 }).table.standings[0]!;
  // 2, 1, 4 and 2, 3 against par 2.
  expect([done.score, done.now, done.over]).toEqual([3, '3 of 5', true]);
  expect(Object.fromEntries(done.notes.map(({ label, value }) => [label, value]))).toMatchObject({ strokes: '12' });
});

test('of two, the one who hit all waits for the other’s last ball, and a session ends with the last putt', () => {
  const spec = game({ ...after, stations: [station('a', { balls: 1 })] });
  const { table } = playList(spec, [left(4)], { seats: 2, putts: () => null });
  expect([table.turn, table.standings[0]!.toPuttOut.length]).toEqual([1, 1]);
  const both = playList(spec, [left(4), left(5)], { seats: 2, putts: () => null }).table;
  expect([both.turn, both.over, whoseBall(both, 'station'), whoseBall(both, 'own', 1)]).toEqual([0, false, 0, 1]);
  expect(playList(spec, [left(4), left(5)], { seats: 2 }).table.over).toBe(true);
});

test('what was putted out last is found, as long as no other ball was hit since', () => {
  const spec = two();
  const shotsOf = (n: number) => projectShots(playList(spec, [left(3), holed, left(8), left(5), left(5)]).events.slice(0, n));
  const found = (n: number) => {
    const shots = shotsOf(n);
    return lastPuttedOut(spec, shots, shots.at(-1)!)?.ballNo;
  };
  expect([found(3), found(4), found(5), found(6), found(8)]).toEqual([undefined, 1, 3, undefined, 1]);
  expect(lastPuttedOut(game(), shotsOf(5), shotsOf(5).at(-1)!)).toBeUndefined();
});

test('an open game with so many balls at each call: they are putted out before another is called', () => {
  const spec = game({ ...after, open: true, stations: [], calls: { stations: 2, balls: 2 }, goal: null });
  const called = [station('s1'), station('s2')];
  const { table } = playOut(spec, (_turn, _seat, n) => (n < 4 ? left(4) : null), { people: entrants(1) });
  // Nobody calls: nothing is played.
  expect(table.turn).toBeNull();
  const shots = (n: number) =>
    Array.from({ length: n }, (_, i): Shot => {
      const { events } = playList(game({ stations: [called[0]!] }), [left(4)]);
      return {
        ...(events[0]!.payload as Shot),
        shotId: `${i}`,
        turnNo: i,
        stationKey: called[Math.floor(i / 2)]!.key,
        ballNo: (i % 2) + 1,
      };
    });
  const standing = (n: number) => playSession(spec, entrants(1), shots(n)).standings[0]!;
  expect(standing(2).toPuttOut).toHaveLength(2);
  expect([standing(2).next, standing(2).over]).toEqual([null, false]);
  expect(standing(3).next).not.toBeNull();
  const finished = shots(4).map((shot) => ({ ...shot, strokes: 2 }));
  expect(playSession(spec, entrants(1), finished).over).toBe(true);
});

test('a ball that waits to be putted out is told by where it finished', () => {
  const nothing = { ...left(1), leftM: null };
  expect(sayResult(shot({ finish: 'rough' }, nothing), 'imperial')).toBe('in the rough');
  expect(sayResult(shot({}, nothing), 'imperial')).toBe('no result');
  expect(sayResult(shot({ finish: 'green' }, left(6)), 'imperial')).toBe('6 ft');
});
