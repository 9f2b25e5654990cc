import { ft, game, playList, left, station } from '../testing/make';
import { NO_ANSWERS } from './questions';
import { play, type Standing } from './play';
import { ballsIn, ballsOfTally, tallyOf, worthOf } from './tally';

const bag = { clubs: [], favourite: null };
const tally = (standing: Standing) => tallyOf(standing, standing.next!, bag, NO_ANSWERS);
const turnNos = (standing: Standing) => tally(standing)?.turns.map((turn) => turn.turnNo) ?? null;

test('a set is what is left of the station at hand', () => {
  const fresh = play(game(), []);
  expect(turnNos(fresh)).toEqual([0, 1, 2]);
  expect(turnNos(playList(game(), [left(2)]).table.standings[0]!)).toEqual([1, 2]);
  // One ball alone is told by itself.
  expect(turnNos(playList(game(), [left(2), left(2)]).table.standings[0]!)).toBeNull();
});

test('where the order of the balls says something, or more is asked of each, there is no set', () => {
  const streak = game({ scoring: { scheme: 'streak', radiusM: ft(6), until: 3, counts: 'run' } });
  expect(tallyOf(play(streak, []), play(streak, []).next!, bag, NO_ANSWERS)).toBeNull();
  const plain = game();
  for (const rules of [
    { puttOut: 'each' as const },
    { goodSide: 'long' as const },
    { clubOnce: true },
    { attempts: 'until_works' as const },
  ])
    expect(tally(play({ ...plain, rules: { ...plain.rules, ...rules } }, []))).toBeNull();
  // A station after each ball leaves one ball at a time.
  expect(tally(play(game({ order: 'serial' }), []))).toBeNull();
});

test('a club that was chosen for the set is on all its balls', () => {
  const plain = game({ stations: [station('a', { balls: 4 })] });
  const spec = { ...plain, rules: { ...plain.rules, favouriteBanned: true } };
  const standing = play(spec, []);
  const answers = { given: { clubLabel: 'PW', clubId: null }, result: false };
  const found = tallyOf(standing, standing.next!, bag, answers)!;
  const balls = ballsOfTally(found, { holed: 1, r1: 2, outside: 1 }, answers, 'short');
  expect(balls.map((ball) => ball.clubLabel)).toEqual(['PW', 'PW', 'PW', 'PW']);
  // The holed one stopped nowhere.
  expect(balls.map((ball) => ball.bearingDeg)).toEqual([null, 180, 180, 180]);
  expect(balls.map((ball) => [ball.holed, ball.leftMinM, ball.leftMaxM])).toEqual([
    [true, null, null],
    [false, 0, ft(3)],
    [false, 0, ft(3)],
    [false, ft(10), null],
  ]);
  // 6 for the holed one, 4 for each of the inner ring, nothing outside.
  expect([ballsIn({ holed: 1, r1: 2, outside: 1 }), worthOf(found, { holed: 1, r1: 2, outside: 1 })]).toEqual([4, 14]);
});

test('what a hit earns is not said by its key', () => {
  const standing = play(game({ scoring: { scheme: 'hits', radiusM: ft(6) } }), []);
  const found = tally(standing)!;
  expect(worthOf(found, { in: 2 })).toBeNull();
  expect(ballsOfTally(found, { in: 2, outside: 1 }, NO_ANSWERS, null)).toHaveLength(3);
});
