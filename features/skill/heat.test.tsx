import { render, screen } from '@testing-library/react';
import { gather } from '@/core/skill/evidence';
import { believe, diagnose } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { asQuery, isFiltered, readAsked } from './asked';
import { endOfDayIn, startOfDayIn } from '@/core/units/day';
import { Heat } from './heat';
import { shadeOf } from './shade';

const model = modelOf(shippedReference);
const evidence = gather([]);
const { findings } = diagnose(model, believe(evidence, model, 10), evidence, { level: 10, mix: model.mix(10) });
const chip = findings.findIndex(({ key }) => key === 'chip|fairway|10');
const played = findings.map((finding, i) => (i === chip ? { ...finding, balls: 12 } : finding));
const asked = readAsked({});

test('a board without a ball shows every kind of shot; with some, those that have any, and what is named beside it', () => {
  const all = render(<Heat strokes="lost" findings={findings} per="shot" asked={asked} named={[]} />);
  expect(screen.getAllByRole('link')).toHaveLength(77);
  all.unmount();
  const some = render(<Heat strokes="lost" findings={played} per="shot" asked={asked} named={[]} />);
  expect(screen.getAllByRole('rowheader').map((one) => one.textContent)).toEqual(['chipping', 'chip · fairway']);
  expect(screen.getByRole('link', { name: /^10–20 yd chips from the fairway: .* 12 balls$/ })).toBeInTheDocument();
  expect(screen.getByRole('link', { name: /^Show \d+ more shots without a ball$/ })).toHaveAttribute('href', '?all=1');
  some.unmount();
  const bunker = findings.findIndex(({ key }) => key === 'bunker|sand|10');
  render(<Heat strokes="lost" findings={played} per="shot" asked={asked} named={[bunker]} />);
  expect(screen.getAllByRole('rowheader').map((one) => one.textContent)).toContain('bunker shot');
});

test('what is asked stands in the address; what makes no sense is passed over, and what is usual left out', () => {
  expect(asQuery(readAsked({ per: 'round', against: '5', stance: 'downhill' }))).toBe('?per=round&against=5&stance=downhill');
  expect(asQuery(readAsked({ per: 'week', against: 'many', from: 'never', sit: 'sideways', game: 'x' }))).toBe('');
  expect(asQuery(readAsked({ cell: 'chip|fairway|10' }), { cell: undefined })).toBe('');
  expect([isFiltered(readAsked({ club: '50' })), isFiltered(readAsked({ against: 'squad' }))]).toEqual([true, false]);
});

test('a day begins and ends where the academy is, also when the clocks change', () => {
  expect(startOfDayIn('2026-11-03', 'America/New_York').toISOString()).toBe('2026-11-03T05:00:00.000Z');
  expect(endOfDayIn('2026-11-03', 'America/New_York').toISOString()).toBe('2026-11-04T04:59:59.999Z');
  // 25 October 2026 has 25 hours in Dublin.
  expect(endOfDayIn('2026-10-25', 'Europe/Dublin').getTime() - startOfDayIn('2026-10-25', 'Europe/Dublin').getTime()).toBe(
    25 * 3_600_000 - 1,
  );
});

test('a fill is deeper for more, hatched where it is not sure, and its letters stay readable', () => {
  expect(shadeOf(1, false)).toEqual({ color: 'var(--on-flag)', background: 'var(--lose-4)' });
  expect(shadeOf(1, true).color).toBe('var(--ink)');
  expect(shadeOf(1, true).background).toContain('repeating-linear-gradient');
  expect(shadeOf(-1, false).background).toBe('var(--gain-3)');
  expect(shadeOf(0.1, false).background).toBe('var(--lose-1)');
});
