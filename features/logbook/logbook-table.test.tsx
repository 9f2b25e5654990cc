import { render, screen, within } from '@testing-library/react';
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
  gameId: 'g1',
  playerIds: ['p1'],
  tags: [],
  ...more,
});
const rows = [
  row('s1', 'Ana', { tags: ['league'] }),
  row('s2', 'Ben', { title: 'Low Road', met: false, words: 'goal missed', atMs: Date.UTC(2026, 4, 21), conditions: 'green firm' }),
  row('s3', 'Ana, Ben', { met: null, players: 2, figure: '3–0', words: 'Ana won', change: '', atMs: Date.UTC(2026, 4, 19) }),
];
test('a session stands with who, what, the result, the day and what it is filed under', () => {
  render(<LogbookTable slug="here" mayChange rows={rows} without={[]} />);
  expect(screen.getByRole('link', { name: /^Ben.*Low Road$/ })).toHaveAttribute('href', '/a/here/sessions/s2');
  expect(screen.getAllByRole('row')[2]).toHaveTextContent('Low Road21 points goal missed');
  expect(screen.getByText('green firm')).toBeVisible();
  expect(within(screen.getAllByRole('row')[1]!).getByText('league')).toBeVisible();
});

test('columns can be left out; those that say nothing are not there', () => {
  render(<LogbookTable slug="here" mayChange rows={rows} without={['change', 'tags']} />);
  expect(screen.getAllByRole('columnheader').map((head) => head.textContent)).toEqual(['Player', 'Game', 'Result', 'Conditions', 'When']);
});
