import fc from 'fast-check';
import { projectShots } from '../shot/project';
import { between, game, holed, left, record, voidOf } from '../testing/make';
import { bestScore, goalMet, play } from './play';
import type { Result } from '../game/scoring/ball';

const spec = game({ goal: 9 });
const playEvents = (events: Parameters<typeof projectShots>[0]) => play(spec, projectShots(events));

test('a game worked out by hand', () => {
  // Station a: 2 ft (4), 8 ft (1), out (0); station b: holed (6), second ring (2), still to play.
  const results = [left(2), left(8), between(10, null), holed, between(3, 6)];
  const standing = playEvents(results.map((result, turn) => record(spec, turn, result)));
  expect(standing.running).toEqual([4, 5, 5, 11, 13]);
  expect(standing.stations.map(({ score, balls }) => [score, balls])).toEqual([
    [5, 3],
    [8, 2],
  ]);
  expect(standing.next).toMatchObject({ turnNo: 5, ballNo: 3, stationNo: 2 });
  expect(standing.after).toBeNull();
  expect(standing.over).toBe(false);
});

test('it begins with the first ball and is over after the last', () => {
  const none = playEvents([]);
  expect([none.score, none.next?.turnNo, none.after?.turnNo, none.over]).toEqual([0, 0, 1, false]);
  const all = playEvents(Array.from({ length: 6 }, (_, turn) => record(spec, turn, left(20))));
  expect([all.score, all.next, all.over]).toEqual([0, null, true]);
});

test('the same turn recorded twice: the first plays, the second is set aside', () => {
  const standing = playEvents([record(spec, 0, left(2), 1), record(spec, 0, holed, 2)]);
  expect(standing.score).toBe(4);
  expect(standing.doubled).toHaveLength(1);
  expect(standing.next?.turnNo).toBe(1);
});

test('the order of arrival does not matter, only the turn', () => {
  const events = [left(2), left(5), holed].map((result, turn) => record(spec, turn, result));
  expect(playEvents(events.toReversed()).running).toEqual(playEvents(events).running);
});

const anyResult: fc.Arbitrary<Result> = fc.oneof(
  fc.constant(holed),
  fc.double({ min: 0.2, max: 40, noNaN: true }).map((feet) => left(feet)),
  fc.constantFrom(between(0, 3), between(3, 6), between(6, 10), between(10, null)),
);

test('undo is the exact inverse of recording, after any number of balls', () => {
  fc.assert(
    fc.property(fc.array(anyResult, { maxLength: 5 }), anyResult, (before, one) => {
      const events = before.map((result, turn) => record(spec, turn, result));
      const added = record(spec, before.length, one);
      expect(playEvents([...events, added, voidOf(added, 1)])).toEqual(playEvents(events));
    }),
  );
});

test('after an undo the turn can be played again', () => {
  const first = record(spec, 0, left(20), 1);
  expect(playEvents([first, voidOf(first, 1), record(spec, 0, holed, 2)]).running).toEqual([6]);
});

test('a goal is met from its own value on', () => {
  expect([goalMet(spec, 8), goalMet(spec, 9), goalMet(game(), 9)]).toEqual([false, true, null]);
});

test('the best of several scores is the highest; of none there is none', () => {
  expect([bestScore(spec, [3, 11, 7]), bestScore(spec, [])]).toEqual([11, null]);
});
