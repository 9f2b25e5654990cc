import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { shippedReference } from '@/core/skill/reference';
import { skillTable } from '@/core/skill/table';
import { between, ft, holed, left, shot, yd } from '@/core/testing/make';
import { SkillTable } from './skill-table';

const chip = { shotType: 'chip', surface: 'fairway', distanceM: yd(15) } as const;
const pitch = { shotType: 'pitch', surface: 'light_rough', distanceM: yd(25) } as const;
const putt = { shotType: 'putt', surface: 'green', distanceM: ft(8) } as const;
const rows = skillTable(
  [
    ...[2, 3, 4, 3, 2].map((feet) => shot(chip, left(feet))),
    ...[20, 30, 25, 40].map((feet) => shot(pitch, left(feet))),
    shot(pitch, between(10, null)),
    ...[holed, left(1), left(2), left(3), holed, between(3, 6)].map((result) => shot(putt, result)),
    shot({ ...chip, surface: 'bare' }, left(5)),
    ...[1, 2, 3, 4, 5].map((feet) => shot({ shotType: 'fringe_putt', surface: 'fringe', distanceM: yd(5) }, left(feet))),
  ],
  10,
  shippedReference,
  ft(6),
);
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('cell')[0]!.textContent);
const cells = (name: RegExp) =>
  within(screen.getByRole('row', { name }))
    .getAllByRole('cell')
    .map((cell) => cell.textContent?.replace(/\s+/g, ' ').trim());

test('worst first; what has no reference says so; thin rows are marked and come last', () => {
  render(<SkillTable rows={rows} system="imperial" inside="6 ft" />);
  expect(names()).toEqual(['pitch light rough', 'putt green', 'chip fairway', 'putt from the fringe fringe', 'chip bare ground']);
  expect(cells(/putt from the fringe/)[2]).toBe('no reference');
  expect(cells(/bare ground/)[3]).toBe('1 thin');
});

test('figures carry their sign, their give and their units', () => {
  render(<SkillTable rows={rows} system="imperial" inside="6 ft" />);
  expect(cells(/^chip fairway/)[2]).toMatch(/^−0\.\d\d±0\.\d\d$/);
  expect(cells(/^pitch/).slice(3)).toEqual(['5', '25 ft – 30 ft', '0%', '0%']);
  expect(cells(/^putt green/).slice(1, 2)).toEqual(['6–10 ft']);
  expect(cells(/^putt green/).slice(3)).toEqual(['6', '2 ft 6 leave of 4', '100%', '33%']);
});

test('a metric reader reads metres', () => {
  render(<SkillTable rows={rows} system="metric" inside="2 m" />);
  expect(cells(/^chip fairway/)[4]).toBe('0.91 m');
});

test('a column sorts either way, and says which', async () => {
  const user = userEvent.setup();
  render(<SkillTable rows={rows} system="imperial" inside="6 ft" />);
  const header = screen.getByRole('columnheader', { name: /Balls/ });
  await user.click(within(header).getByRole('button'));
  const first = header.getAttribute('aria-sort');
  const balls = () =>
    screen
      .getAllByRole('row')
      .slice(1)
      .map((row) => Number.parseInt(within(row).getAllByRole('cell')[3]!.textContent!, 10));
  const ascending = balls().toSorted((a, b) => a - b);
  expect(balls()).toEqual(first === 'ascending' ? ascending : ascending.toReversed());
  await user.click(within(header).getByRole('button'));
  expect(header.getAttribute('aria-sort')).not.toBe(first);
  expect(balls()).toEqual(first === 'ascending' ? ascending.toReversed() : ascending);
});
