import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LogbookTable, type LogbookRow } from './logbook-table';

const row = (sessionId: string, who: string, more: Partial<LogbookRow> = {}): LogbookRow => ({
  sessionId,
  who,
  title: 'Two Spots',
  kind: 'ring_points',
  atMs: Date.UTC(2026, 4, 20),
  when: 'Wed 20 May, 17:00',
  figure: '21 points',
  words: 'goal met',
  change: 'best so far',
  balls: '30 balls',
  met: true,
  players: 1,
  conditions: '',
  ...more,
});
const rows = [
  row('s1', 'Ana'),
  row('s2', 'Ben', { title: 'Low Road', met: false, words: 'goal missed', atMs: Date.UTC(2026, 4, 21), conditions: 'green firm' }),
  row('s3', 'Ana, Ben', { met: null, players: 2, figure: '3–0', words: 'Ana won', change: '', atMs: Date.UTC(2026, 4, 19) }),
];
const names = () => screen.getAllByRole('rowheader').map((head) => within(head).getByRole('link').textContent);

test('a session stands with who, what, the result and the day; sorted by each', async () => {
  const user = userEvent.setup();
  render(<LogbookTable slug="here" rows={rows} />);
  expect(screen.getByRole('link', { name: /^Ben.*Low Road$/ })).toHaveAttribute('href', '/a/here/sessions/s2');
  expect(screen.getAllByRole('row')[2]).toHaveTextContent('21 points goal missed');
  expect(screen.getByText('green firm')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'When' }));
  expect(names()[0]).toContain('Low Road');
  await user.click(screen.getByRole('button', { name: /^When/ }));
  expect(names()[0]).toContain('Ana, Ben');
});

test('sessions are found by player or game, by their goal, and by how many played', async () => {
  const user = userEvent.setup();
  render(<LogbookTable slug="here" rows={rows} />);
  await user.type(screen.getByLabelText('Find a player or a game'), 'low');
  expect(names()).toHaveLength(1);
  await user.clear(screen.getByLabelText('Find a player or a game'));
  await user.selectOptions(screen.getByLabelText('Goal'), 'goal met');
  expect(names()).toEqual(['Ana, Two Spots']);
  await user.selectOptions(screen.getByLabelText('Goal'), 'goal or not');
  await user.click(screen.getByRole('button', { name: 'Two or more players' }));
  expect(names()).toEqual(['Ana, Ben, Two Spots']);
  await user.type(screen.getByLabelText('Find a player or a game'), 'zz');
  await user.click(screen.getByRole('button', { name: 'Show all 3 sessions' }));
  expect(names()).toHaveLength(3);
});
