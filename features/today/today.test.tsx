import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ft, game } from '@/core/testing/make';
import { resumeAction, stopAction } from './actions';
import { TodayPage } from './today-page';
import { Unfinished } from './unfinished';

jest.mock('../session/actions', () => ({ saveTodayAction: jest.fn(async () => undefined) }));
jest.mock('./actions', () => ({ stopAction: jest.fn(async () => undefined), resumeAction: jest.fn(async () => undefined) }));

const nothingMeasured = { paceM: null, clubM: null, putterM: null, flagstickM: null, halfLifeDays: 60, deleteAt: null };
const academy = { academyId: 'a', slug: 'here', name: 'Here', units: 'imperial', timeZone: 'UTC', ...nothingMeasured } as const;
const now = new Date('2026-05-20T18:00:00Z');
type Props = React.ComponentProps<typeof TodayPage>;
const nothing: Props = { academy, now, players: [], games: [], unfinished: [], recent: [], conditions: {} };
const player = { player: { playerId: 'p1', name: 'Otto' }, balls: 1, lastAt: new Date('2026-05-19T18:00:00Z') } as Props['players'][number];
const played = { gameId: 'g1', version: 1, spec: game(), createdAt: now, sessions: 1 } as Props['games'][number];

test('an empty academy is told to begin with who plays, then with a game, then to play', () => {
  const { rerender } = render(<TodayPage {...nothing} />);
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Wednesday 20 May');
  expect(screen.getByRole('link', { name: 'Add a player' })).toHaveAttribute('href', '/a/here/players/new');
  expect(screen.queryByRole('link', { name: 'Design a game' })).toBeNull();
  rerender(<TodayPage {...nothing} players={[player]} />);
  expect(screen.getByRole('link', { name: 'Design a game' })).toBeVisible();
  expect(screen.getByText('yesterday · 1 ball')).toBeVisible();
  rerender(<TodayPage {...nothing} players={[player]} games={[played]} />);
  expect(screen.getByRole('link', { name: 'Play a game' })).toBeVisible();
  expect(screen.getByText('6 balls · 2 stations')).toBeVisible();
  expect(screen.getByText('1 session')).toBeVisible();
});

test('a goal stands with its unit', () => {
  const spec = game({ scoring: { scheme: 'total_left', farM: ft(30) }, goal: ft(110) });
  const { rerender } = render(<TodayPage {...nothing} players={[player]} games={[{ ...played, spec }]} />);
  expect(screen.getByText('6 balls · 2 stations · goal 110 ft')).toBeVisible();
  rerender(<TodayPage {...nothing} players={[player]} games={[{ ...played, spec: game({ goal: 17 }) }]} />);
  expect(screen.getByText('6 balls · 2 stations · goal 17 points')).toBeVisible();
});

const line = { sessionId: 's1', names: 'Otto', title: 'Two spots', balls: 3, of: 6, when: 'Wed 20 May, 17:00' };

test('what is not finished can be gone on with, ended, and the end taken back', async () => {
  const user = userEvent.setup();
  const { rerender } = render(<Unfinished slug="here" lines={[line]} />);
  expect(screen.getByRole('link', { name: /^Go on/ })).toHaveAttribute('href', '/play#s1');
  expect(screen.getByText(/ball 4 of 6/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: /^End/ }));
  expect(stopAction).toHaveBeenCalledWith('here', 's1');
  rerender(<Unfinished slug="here" lines={[]} />);
  expect(screen.getByRole('status')).toHaveTextContent('Ended Otto, Two spots. 3 balls kept.');
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(resumeAction).toHaveBeenCalledWith('here', 's1');
});

test('with nothing unfinished it says so', () => {
  render(<Unfinished slug="here" lines={[]} />);
  expect(screen.getByText('Nothing is waiting.')).toBeVisible();
});
