import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SquadTable, type SquadRow } from './squad-table';

const row = (name: string, ...means: (number | null)[]): SquadRow => ({
  id: name,
  name,
  level: 10,
  skills: means.map((mean) => ({ mean: mean ?? 0.5, low: (mean ?? 0.5) - 0.1, high: (mean ?? 0.5) + 0.1, balls: mean === null ? 0 : 12 })),
});
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1, -1)
    .map((one) => within(one).getByRole('link').textContent);

const replace = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ replace }),
  usePathname: () => '/here',
  useSearchParams: () => new URLSearchParams('per=round'),
}));

test('sorted by a skill the worst comes first, and who has no ball in it last; each figure says its interval and its balls', async () => {
  render(
    <SquadTable
      strokes="lost"
      rows={[row('Ada', 0.1, 0), row('Bo', 0.4, 0), row('Cy', null, 0), row('Di', -0.2, 0)]}
      skills={[
        { heading: 'chip, fringe', shots: 'chips from the fringe' },
        { heading: 'putt', shots: 'putts' },
      ]}
      average={[
        { mean: 0.1, players: 3 },
        { mean: 0, players: 4 },
      ]}
      per="shot"
      most={1}
      href="/a/here/players"
      query=""
    />,
  );
  expect(names()).toEqual(['Ada', 'Bo', 'Cy', 'Di']);
  await userEvent.click(screen.getByRole('button', { name: 'chip, fringe' }));
  expect(names()).toEqual(['Bo', 'Ada', 'Di', 'Cy']);
  expect(screen.getByRole('columnheader', { name: /chip/ })).toHaveAttribute('aria-sort', 'descending');
  expect(
    screen.getByTitle('Di, chips from the fringe: −0.20 lost a shot, −0.30 to −0.10 eight times in ten, 12 balls'),
  ).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'Bo' })).toHaveAttribute('href', '/a/here/players/Bo');
});

/** A squad of sixty, of whom so many are on the page. */
function showLarge(here: number) {
  render(
    <SquadTable
      strokes="lost"
      rows={Array.from({ length: here }, (_, i) => row(`Player ${String(i).padStart(2, '0')}`, i / 100))}
      of={60}
      most={1}
      skills={[{ heading: 'putt', shots: 'putts' }]}
      average={[{ mean: 0.3, players: 60 }]}
      per="shot"
      href="/a/here/players"
      query=""
    />,
  );
}

test('of a large squad the first fifty are drawn, as it is sorted, and the others when they are asked for', async () => {
  showLarge(60);
  expect([names().length, names()[0]]).toEqual([50, 'Player 00']);
  await userEvent.click(screen.getByRole('button', { name: 'putt' }));
  expect([names().length, names()[0]]).toEqual([50, 'Player 59']);
  await userEvent.click(screen.getByRole('button', { name: 'Show all 60' }));
  expect([names().length, names().at(-1)]).toEqual([60, 'Player 00']);
  expect(screen.queryByRole('button', { name: 'Show all 60' })).not.toBeInTheDocument();
});

test('where only the first are on the page, sorting and showing all ask for the others', async () => {
  showLarge(25);
  expect(names()).toHaveLength(25);
  await userEvent.click(screen.getByRole('button', { name: 'putt' }));
  expect(replace.mock.calls).toEqual([['/here?per=round&all=yes', { scroll: false }]]);
  await userEvent.click(screen.getByRole('button', { name: 'Show all 60' }));
  expect(replace).toHaveBeenLastCalledWith('/here?per=round&all=yes', { scroll: false });
});
