import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlayerRow } from './player-rows';
import { scaleOf } from './lost-bar';
import { PlayersTable } from './players-table';

const replace = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ replace }),
  usePathname: () => '/here',
  useSearchParams: () => new URLSearchParams(''),
}));

const NOW = Date.UTC(2026, 4, 20);
const row = (name: string, more: Partial<PlayerRow> = {}): PlayerRow => ({
  id: name,
  name,
  level: 12,
  leftHanded: false,
  balls: 60,
  last: { day: 'yesterday', atMs: NOW - 86_400_000 },
  lost: { mean: 0.5, interval80: [0.2, 0.8] },
  weakest: { shot: '6–10 ft putts', family: 'putting', figure: '0.30 lost', how: 'sure among the three weakest (97%)', clear: true },
  next: { what: '6–10 ft putts', why: 'the weakest' },
  trend: { words: 'no clear change', better: 0.5 },
  dreads: '',
  ...more,
});
const rows = [
  row('Ana'),
  row('Ben', {
    lost: { mean: 1.5, interval80: [1, 2] },
    weakest: {
      shot: '0–10 yd bunker shots',
      family: 'bunker',
      figure: '0.90 lost',
      how: 'likely among the three weakest (80%)',
      clear: true,
    },
    dreads: 'bunker shots',
  }),
  row('Cleo', { last: { day: '1 May', atMs: NOW - 19 * 86_400_000 }, lost: { mean: -0.4, interval80: [-0.8, 0] } }),
  row('Dov', { balls: 0, last: null, lost: null, weakest: null, next: null, trend: null }),
];
const show = (more: Partial<React.ComponentProps<typeof PlayersTable>> = {}) =>
  render(<PlayersTable slug="here" rows={rows} scale={scaleOf(rows)} strokes="lost" nowMs={NOW} pending={false} {...more} />);
const names = () => screen.getAllByRole('rowheader').map((head) => within(head).getByRole('link').textContent);

test('each player stands with their strokes, the weakest shot, what comes next, the trend and the balls', () => {
  show();
  const ben = screen.getAllByRole('row')[2]!;
  expect(ben).toHaveTextContent('Benlevel 12dreads bunker shots');
  expect(within(ben).getByRole('img')).toHaveAccessibleName('1.50 lost a round, 1.00 to 2.00 eight times in ten');
  expect(ben).toHaveTextContent('0–10 yd bunker shots0.90 lost a round · likely among the three weakest (80%)');
  expect(ben).toHaveTextContent('yesterday60 balls');
  expect(screen.getByRole('link', { name: 'Ben' })).toHaveAttribute('href', '/a/here/players/Ben?per=round');
  expect(screen.getAllByRole('row')[4]).toHaveTextContent('no ball yet');
});

test('players are found by name, by where they are weakest, and by how long they were away', async () => {
  const user = userEvent.setup();
  show();
  await user.type(screen.getByLabelText('Find a player'), 'cl');
  expect(names()).toEqual(['Cleo']);
  await user.clear(screen.getByLabelText('Find a player'));
  await user.selectOptions(screen.getByLabelText('Weakest in'), 'weakest in sand');
  expect(names()).toEqual(['Ben']);
  await user.selectOptions(screen.getByLabelText('Weakest in'), 'weakest in anything');
  await user.click(screen.getByRole('button', { name: 'Not here for two weeks' }));
  expect(names()).toEqual(['Cleo', 'Dov']);
  await user.type(screen.getByLabelText('Find a player'), 'zz');
  await user.click(screen.getByRole('button', { name: 'Show all 4 players' }));
  expect(names()).toEqual(['Ana', 'Ben', 'Cleo', 'Dov']);
});

test.each([
  ['lost', 'Lost a round', ['Ben', 'Ana', 'Cleo', 'Dov']],
  ['gained', 'Gained a round', ['Ben', 'Ana', 'Cleo', 'Dov']],
] as const)('by strokes %s the weakest player comes first and who has no ball last', async (strokes, head, order) => {
  show({ strokes });
  await userEvent.setup().click(screen.getByRole('button', { name: head }));
  expect(names()).toEqual(order);
});

test('what is not known yet is said to be on its way', () => {
  show({ rows: [row('Ana', { lost: null, weakest: null, next: null, trend: null })], pending: true });
  expect(screen.getByText('being worked out …')).toBeVisible();
});

test('where only the first are on the page, whoever looks for somebody asks for the others', async () => {
  const user = userEvent.setup();
  show({ of: 60 });
  expect(screen.getByRole('button', { name: 'Show all 60' })).toBeInTheDocument();
  expect(replace).not.toHaveBeenCalled();
  await user.type(screen.getByRole('searchbox', { name: 'Find a player' }), 'z');
  expect(replace).toHaveBeenCalledWith('/here?all=yes', { scroll: false });
  expect(screen.getByRole('status')).toHaveTextContent('Loading all 60 …');
});
