import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { ft, game } from '@/core/testing/make';
import { resumeAction, stopAction } from './actions';
import { TodayPage } from './today-page';
import { Unfinished } from './unfinished';

const replace = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ refresh: jest.fn(), replace }),
  usePathname: () => '/a/here',
  useSearchParams: () => new URLSearchParams(),
}));
jest.mock('../session/actions', () => ({ saveTodayAction: jest.fn(async () => undefined) }));
jest.mock('../games/actions', () => ({ kitAction: jest.fn() }));
jest.mock('./actions', () => ({ stopAction: jest.fn(async () => undefined), resumeAction: jest.fn(async () => undefined) }));

const nothingMeasured = {
  paceM: null,
  clubM: null,
  putterM: null,
  flagstickM: null,
  shoeM: null,
  halfLifeDays: 60,
  strokesAs: 'lost' as const,
  keepYears: null,
  deleteAt: null,
};
const academy = { academyId: 'a', slug: 'here', name: 'Here', units: 'imperial', timeZone: 'UTC', ...nothingMeasured } as const;
const now = new Date('2026-05-20T18:00:00Z');
type Props = React.ComponentProps<typeof TodayPage>;
type Player = Props['shown']['others'][number];
const nothing: Props = {
  academy,
  now,
  players: { all: 0, played: 0 },
  shown: { expected: [], others: [], usual: 0 },
  news: [],
  firstLook: { gameId: 'f', players: [] },
  games: [],
  unfinished: [],
  notFinished: 0,
  recent: [],
  conditions: {},
  hours: [],
  today: '2026-05-01',
  pending: false,
  asked: null,
};
const fresh = (id: string, name: string): Player => ({
  id,
  name,
  level: 14,
  leftHanded: false,
  balls: 0,
  last: null,
  lost: null,
  weakest: null,
  next: null,
  trend: null,
  dreads: '',
});
const known = (id: string, name: string, more: Partial<Player> = {}): Player => ({
  ...fresh(id, name),
  balls: 60,
  last: { day: 'yesterday', atMs: Date.UTC(2026, 4, 19) },
  lost: { mean: 0.6, interval80: [0.1, 1.1] },
  weakest: { shot: '6–10 ft putts', family: 'putting', figure: '0.40 lost', how: 'likely among the three weakest (82%)', clear: true },
  next: { what: '6–10 ft putts', why: 'the weakest' },
  ...more,
});
const candidate = ({ id, name, level, balls }: Player) => ({
  playerId: id,
  name,
  level,
  balls,
  paceM: null,
  clubM: null,
  putterM: null,
});
/** These players, of whom these are usually here. */
const who = (others: Player[], expected: Player[] = []) => {
  const all = [...expected, ...others];
  return {
    players: { all: all.length, played: all.filter(({ balls }) => balls > 0).length },
    shown: { expected, others, usual: expected.length },
    firstLook: { ...nothing.firstLook, players: all.filter(({ balls }) => balls === 0).map(candidate) },
  };
};
const played = {
  gameId: 'g1',
  version: 1,
  spec: game(),
  createdAt: now,
  lastAt: new Date('2026-05-19T18:00:00Z'),
} as Props['games'][number];

test('an empty academy is told to begin with who plays', () => {
  render(<TodayPage {...nothing} />);
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Wednesday 20 May');
  expect(screen.getByRole('link', { name: 'Add a player' })).toHaveAttribute('href', '/a/here/players/new');
  expect(screen.queryByRole('link', { name: 'Design a game' })).toBeNull();
});

test('a player without a ball is offered the first look, with its balls and its time, and ready games stand beside it', () => {
  const otto = fresh('p1', 'Otto');
  render(<TodayPage {...nothing} {...who([otto])} />);
  const look = screen.getByRole('region', { name: 'First look' });
  expect(look).toHaveTextContent('40 balls from the ten places');
  expect(within(look).getByRole('button', { name: 'Otto' })).toBeVisible();
  expect(screen.getByRole('link', { name: 'Ready games' })).toHaveAttribute('href', '/a/here/games/library');
  expect(screen.queryByText(/squad/i)).toBeNull();
  expect(screen.queryByText(/±|0\.\d\d/)).toBeNull();
});

test('of a large squad a dozen are offered, and the others are counted', () => {
  const players = Array.from({ length: 20 }, (_, i) => fresh(`p${i}`, `Player ${i}`));
  render(<TodayPage {...nothing} {...who(players)} />);
  const look = screen.getByRole('region', { name: 'First look' });
  expect(within(look).getAllByRole('button', { name: /^Player/ })).toHaveLength(12);
  expect(look).toHaveTextContent('8 more players without a ball');
});

test('what each should practise next stands with its reason, the figure, the day and the balls', () => {
  render(<TodayPage {...nothing} {...who([known('p1', 'Otto'), fresh('p2', 'Mia')])} games={[played]} />);
  const [otto, mia] = screen.getAllByRole('listitem');
  expect(otto).toHaveTextContent('Otto');
  expect(otto).toHaveTextContent('6–10 ft puttsthe weakest · 0.40 lost a round');
  expect(otto).toHaveTextContent('yesterday60 balls');
  expect(within(otto!).getByRole('img')).toHaveAccessibleName('0.60 lost a round, 0.10 to 1.10 eight times in ten');
  expect(mia).toHaveTextContent('no ball yet: play the first look');
  expect(screen.getByRole('link', { name: 'Play a game' })).toBeVisible();
  expect(screen.getByText('played yesterday')).toBeVisible();
});

test('whoever is usually here on this weekday comes first', () => {
  const mia = known('p2', 'Mia', { last: { day: '8 days ago', atMs: Date.UTC(2026, 4, 12) } });
  const { rerender } = render(<TodayPage {...nothing} {...who([known('p1', 'Otto')], [mia])} games={[played]} />);
  expect(screen.getByText('Usually here on a Wednesday')).toBeVisible();
  const names = screen.getAllByRole('link').map((link) => link.textContent);
  expect(names.indexOf('Mia')).toBeLessThan(names.indexOf('Otto'));
  expect(screen.queryByText(/more$|^All/)).toBeNull();
  const many = { players: { all: 60, played: 60 }, shown: { expected: [mia], others: [], usual: 30 } };
  rerender(<TodayPage {...nothing} {...many} games={[played]} />);
  expect(screen.getByText('and 29 more')).toBeVisible();
  expect(screen.getByRole('link', { name: 'All 60 players' })).toBeVisible();
});

test('what changed is worth knowing', () => {
  const news = ['Otto is probably better (91%) than four weeks ago.', 'Otto and Mia share a weakness: 6–10 ft putts.'];
  render(<TodayPage {...nothing} {...who([known('p1', 'Otto'), known('p2', 'Mia')])} games={[played]} news={news} />);
  expect(screen.getByRole('heading', { name: 'Worth knowing' })).toBeVisible();
  for (const line of news) expect(screen.getByText(line)).toBeVisible();
});

test('strokes gained are the same figures in the other sign', () => {
  render(<TodayPage {...nothing} academy={{ ...academy, strokesAs: 'gained' }} {...who([known('p1', 'Otto')])} games={[played]} />);
  expect(screen.getByRole('img', { name: '−0.60 gained a round, −1.10 to −0.10 eight times in ten' })).toBeVisible();
});

test('a goal stands with its unit', () => {
  const spec = game({ scoring: { scheme: 'total_left', farM: ft(30) }, goal: ft(110) });
  const { rerender } = render(<TodayPage {...nothing} {...who([known('p1', 'Otto')])} games={[{ ...played, spec }]} />);
  expect(screen.getByText('6 balls · 2 stations · goal 110 ft')).toBeVisible();
  rerender(<TodayPage {...nothing} {...who([known('p1', 'Otto')])} games={[{ ...played, spec: game({ goal: 17 }) }]} />);
  expect(screen.getByText('6 balls · 2 stations · goal 17 points')).toBeVisible();
});

const line = { sessionId: 's1', names: 'Otto', title: 'Two spots', balls: 3, of: 6, when: 'Wed 20 May, 17:00' };

test('what is not finished can be gone on with, ended, and the end taken back', async () => {
  const user = userEvent.setup();
  const { rerender } = render(<Unfinished slug="here" lines={[line]} of={1} />);
  expect(screen.getByRole('link', { name: /^Go on/ })).toHaveAttribute('href', '/play#s1');
  expect(screen.getByText(/ball 4 of 6/)).toBeVisible();
  await user.click(screen.getByRole('button', { name: /^End/ }));
  expect(stopAction).toHaveBeenCalledWith('here', 's1');
  rerender(<Unfinished slug="here" lines={[]} of={0} />);
  expect(screen.getByRole('status')).toHaveTextContent('Ended Otto, Two spots. 3 balls kept.');
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(resumeAction).toHaveBeenCalledWith('here', 's1');
});

test('of many that are not finished the newest are there, and the others can be asked for', async () => {
  const user = userEvent.setup();
  const unfinished = [{ session: { sessionId: 's1', spec: game(), startedAt: now }, players: [{ name: 'Otto' }], balls: 3 }];
  render(<TodayPage {...nothing} {...who([known('p1', 'Otto')])} unfinished={unfinished as Props['unfinished']} notFinished={50} />);
  expect(screen.getByRole('link', { name: '50 not finished' })).toBeVisible();
  expect(screen.getAllByRole('link', { name: /^Go on/ })).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'Show all 50' }));
  expect(replace).toHaveBeenCalledWith('/a/here?all=yes', { scroll: false });
});

test('with nothing unfinished it says so', () => {
  render(<Unfinished slug="here" lines={[]} of={0} />);
  expect(screen.getByText('All sessions are finished.')).toBeVisible();
});
