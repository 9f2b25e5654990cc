import { game, entrants, holed, left, playList, playOut, PLAYER, idOf, station, ft } from '../testing/make';
import { outcomeOf, sayChange, sayOutcome } from './outcome';

const nameOf = (playerId: string) => ({ [PLAYER]: 'Otto', [idOf(9001)]: 'Mia', [idOf(9002)]: 'Ana' })[playerId] ?? '?';
const said = (spec: Parameters<typeof outcomeOf>[0], table: Parameters<typeof outcomeOf>[1]) => {
  const outcome = outcomeOf(spec, table);
  return [outcome.through, sayOutcome(spec, outcome, nameOf, 'imperial')];
};

test('alone: the score and the goal; what was stopped is not through', () => {
  const spec = game({ goal: 20 });
  // Six holed balls of 6 points.
  expect(said(spec, playList(spec, Array(6).fill(holed)).table)).toEqual([true, { figure: '36 points', words: 'goal met' }]);
  expect(said(spec, playList(spec, [holed]).table)).toEqual([false, { figure: '6 points', words: '' }]);
  expect(said(spec, playList(spec, Array(6).fill(left(5))).table)).toEqual([true, { figure: '12 points', words: 'goal missed' }]);
  expect(said(game(), playList(game(), [left(2)]).table)).toEqual([false, { figure: '4 points', words: '' }]);
});

test('where less is better, a few balls meet no goal, and may have missed it', () => {
  const spec = game({ scoring: { scheme: 'total_left', farM: ft(30) }, goal: ft(20), stations: [station('a')] });
  expect(said(spec, playList(spec, [left(4)]).table)).toEqual([false, { figure: '4 ft', words: '' }]);
  expect(said(spec, playList(spec, [left(24)]).table)).toEqual([false, { figure: '24 ft', words: 'goal missed' }]);
  expect(said(spec, playList(spec, [left(4), left(5), left(6)]).table)).toEqual([true, { figure: '15 ft', words: 'goal met' }]);
});

test('a duel is said from the winner’s side, and ends when it is won', () => {
  const spec = game({
    order: 'serial',
    scoring: { scheme: 'nearest_wins', firstTo: 3, ties: 'nobody', callPoints: null, farM: ft(30) },
  });
  // Mia is nearer each time: 3–0 after three rounds of six.
  const { table } = playOut(spec, (_turn, seat) => left(seat === 0 ? 9 : 3), { seats: 2 });
  expect(table.standings[0]!.played).toHaveLength(3);
  expect(said(spec, table)).toEqual([true, { figure: '3–0', words: 'Mia won' }]);
  const level = playOut(spec, (turn, seat, n) => (n < 4 ? left((turn.turnNo + seat) % 2 ? 9 : 3) : null), { seats: 2 });
  expect(said(spec, level.table)).toEqual([false, { figure: '1–1', words: 'level' }]);
});

test('of more than two the best is said, with those who are level', () => {
  const spec = game();
  const of = (feet: number[], balls = 18) =>
    playOut(spec, (_turn, seat, n) => (n < balls ? left(feet[seat]!) : null), { people: entrants(3) }).table;
  expect(said(spec, of([2, 5, 9]))).toEqual([true, { figure: '24 points', words: 'Otto won' }]);
  expect(said(spec, of([9, 5, 5]))).toEqual([true, { figure: '12 points', words: 'level: Mia and Ana' }]);
  expect(said(spec, of([9, 2, 5], 3))).toEqual([false, { figure: '4 points', words: 'Mia led' }]);
  expect(said(spec, of([9, 2, 5], 0))).toEqual([false, { figure: '', words: 'no ball' }]);
});

test('a score beside those before: by the game’s own direction, in its unit', () => {
  const points = game();
  expect(sayChange(points, { score: 21, last: 17, best: 25 }, 'imperial')).toBe('4 better than last time');
  expect(sayChange(points, { score: 17, last: 21, best: 25 }, 'imperial')).toBe('4 worse than last time');
  expect(sayChange(points, { score: 26, last: 17, best: 25 }, 'imperial')).toBe('best so far');
  expect(sayChange(points, { score: 25, last: 25, best: 25 }, 'imperial')).toBe('same as last time');
  const feet = game({ scoring: { scheme: 'total_left', farM: ft(30) } });
  expect(sayChange(feet, { score: ft(20), last: ft(26), best: ft(18) }, 'imperial')).toBe('6 ft better than last time');
  expect(sayChange(feet, { score: ft(26), last: ft(20), best: ft(18) }, 'imperial')).toBe('6 ft worse than last time');
});
