import { render, screen, within } from '@testing-library/react';
import { play } from '@/core/play/play';
import { projectShots } from '@/core/shot/project';
import { between, ft, game, holed, left, record, station } from '@/core/testing/make';
import { Summary } from './summary';

const results = [left(2, 180), left(8, 190), between(10, null), holed, between(3, 6), left(5, 170)];

function show(count: number, best: { score: number; sessions: number } | null, goal: number | null = null) {
  const spec = game({ goal });
  const events = results.slice(0, count).map((result, turn) => record(spec, turn, result));
  render(<Summary spec={spec} standing={play(spec, projectShots(events))} best={best} system="imperial" />);
}

test('the score, by station and in all', () => {
  show(6, null);
  expect(screen.getByLabelText('Score')).toHaveTextContent('15');
  const [chips, pitches] = screen.getAllByRole('row').slice(1);
  expect(within(chips!).getAllByRole('cell').at(-1)).toHaveTextContent('5');
  expect(within(pitches!).getAllByRole('cell').at(-1)).toHaveTextContent('10');
  expect(screen.getByText('6 of 6 balls', { exact: false })).toBeVisible();
  expect(screen.getByText(/6 balls · 4 with a distance, holed ones included/)).toHaveTextContent('only the ring is known (2)');
});

test.each([
  [null, 'first time: the mark to beat'],
  [{ score: 12, sessions: 1 }, 'personal best, 3 better than 12, of 1 earlier session'],
  [{ score: 15, sessions: 3 }, 'equals the best 15, of 3 earlier sessions'],
  [{ score: 20, sessions: 2 }, 'best 20, of 2 earlier sessions'],
])('against an earlier best of %j', (best, said) => {
  show(6, best);
  expect(screen.getByText((_, element) => element?.tagName === 'P' && element.textContent!.includes(said))).toBeVisible();
});

test('against the goal', () => {
  show(6, null, 15);
  expect(screen.getByText('reached')).toBeVisible();
});

test('short of the goal, by how much', () => {
  show(6, null, 18);
  expect(screen.getByText('3 short')).toBeVisible();
});

test('a game that was stopped early is no best', () => {
  show(3, { score: 1, sessions: 1 });
  expect(screen.getByText('stopped early')).toBeVisible();
  expect(screen.queryByText('personal best')).toBeNull();
});

test('a session that goes on is not called stopped', () => {
  const spec = game();
  const standing = play(spec, projectShots([record(spec, 0, left(2))]));
  render(<Summary spec={spec} standing={standing} best={null} system="imperial" going />);
  expect(screen.getByText('not finished yet')).toBeVisible();
});

test('a direction is said only where enough is known', () => {
  show(6, null);
  expect(screen.queryByText(/Finished short/)).toBeNull();
});

test('a station says within what half of its balls stopped, beside what is usual at the level', () => {
  const spec = game();
  const events = [left(2), left(8), left(5), holed, between(3, 6), between(3, 6)].map((result, turn) => record(spec, turn, result));
  const usual = { a: 9 * 0.3048, b: 12 * 0.3048 };
  render(<Summary spec={spec} standing={play(spec, projectShots(events))} best={null} system="imperial" usual={usual} />);
  const [chips, pitches] = screen.getAllByRole('row').slice(1);
  expect(chips).toHaveTextContent('half within 5 ft; usual at 18: 9 ft');
  // Where rings leave it open nothing is said.
  expect(pitches).not.toHaveTextContent('usual');
});

test('several balls that were entered as one total are said as such, and are no marks on the tape', () => {
  const spec = game({ scoring: { scheme: 'total_left', farM: 9 }, stations: [station('a', { balls: 4 })] });
  const total = { ...left(3), leftM: null, nBalls: 3, sumLeftM: ft(15) };
  const events = [record(spec, 0, left(2)), record(spec, 1, total)];
  render(<Summary spec={spec} standing={play(spec, projectShots(events))} best={null} system="imperial" />);
  expect(screen.getByText('3 balls as one total, 5 ft on average')).toBeVisible();
  expect(screen.getByRole('img', { name: '1 ball of the session' })).toBeVisible();
});

test('a warm-up that was not scored says its balls, and no distance that nobody measured', () => {
  const spec = game({
    leadIn: [{ title: 'Warm up', balls: 5, stations: null, order: 'blocked', scoring: { scheme: 'unscored', cue: '', flights: [] } }],
    stations: [station('a', { balls: 1 })],
  });
  const set = record(spec, 0, { ...left(1), leftM: null, nBalls: 5, counts: 'practice_ball' });
  render(<Summary spec={spec} standing={play(spec, projectShots([set, record(spec, 5, holed)]))} best={null} system="imperial" />);
  expect(screen.getByText('Warm up: not scored, 5 balls · What counts: 6 points, 1 ball')).toBeVisible();
  expect(screen.queryByText(/as one total/)).toBeNull();
});
