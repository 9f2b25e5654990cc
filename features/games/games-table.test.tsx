import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LIBRARY } from '@/core/game/library';
import { readyRows, type GameRow } from './game-rows';
import { GamesTable } from './games-table';

const ready = readyRows('here', LIBRARY, 'imperial');
const titles = () => screen.getAllByRole('rowheader').map((cell) => within(cell).getByRole('link').textContent);

test('ready games are found by what they train, by time, by players, by lie and by a word; all of it together', async () => {
  render(<GamesTable rows={ready} as="ready" />);
  const user = userEvent.setup();
  const press = (name: string) => user.click(screen.getByRole('button', { name }));
  expect(titles()).toHaveLength(LIBRARY.length);
  await press('Sand');
  expect(titles().length).toBeGreaterThan(0);
  expect(ready.filter(({ title }) => titles().includes(title)).every(({ families }) => families.includes('bunker'))).toBe(true);
  await press('Sand');
  await press('For two or more');
  expect(ready.filter(({ title }) => titles().includes(title)).every(({ players }) => players === 2)).toBe(true);
  await press('15 min or less');
  await user.selectOptions(screen.getByLabelText('From which lie'), 'from light rough');
  expect(ready.filter(({ title }) => titles().includes(title)).every(({ surfaces }) => surfaces.includes('light_rough'))).toBe(true);
  await user.type(screen.getByRole('searchbox'), 'no game is called that');
  expect(screen.getByRole('status')).toHaveTextContent('No game like that.');
  await press(`Show all ${LIBRARY.length} games`);
  expect(titles()).toHaveLength(LIBRARY.length);
}, 30_000);

test('a column sorts, up and then down; a game that was never played comes last', async () => {
  const row = (title: string, more: Partial<GameRow>): GameRow => ({ ...ready[0]!, key: title, title, ...more });
  const last = (atMs: number) => ({ figure: '20 points', words: 'Mia', day: 'today', atMs });
  const best = { figure: '28 points', name: 'Mia' };
  render(
    <GamesTable
      as="played"
      rows={[
        row('B', { sessions: 2, last: last(1), best }),
        row('A', { sessions: 0 }),
        row('C', { sessions: 1, last: last(2), minutes: null }),
      ]}
    />,
  );
  const user = userEvent.setup();
  const sort = (name: RegExp) => user.click(screen.getByRole('button', { name }));
  await sort(/^Game/);
  expect(titles()).toEqual(['A', 'B', 'C']);
  await sort(/^Last result/);
  expect(titles()).toEqual(['C', 'B', 'A']);
  await sort(/^Played/);
  expect(titles()).toEqual(['B', 'C', 'A']);
  await sort(/^Time/);
  expect(titles().at(-1)).toBe('C');
  expect(screen.getByText('28 points')).toBeVisible();
  expect(screen.getByText('never played')).toBeVisible();
});
