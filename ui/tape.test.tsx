import { render, screen } from '@testing-library/react';
import { METRES_PER } from '@/core/units/length';
import { divide, marks } from './scale';
import { Tape, tapeLength } from './tape';

const ft = METRES_PER.ft;

test('a tape shows every ball, the rings’ points and the median', () => {
  const { container } = render(
    <Tape
      label="Balls"
      system="imperial"
      balls={[
        { from: 2 * ft, to: 2 * ft },
        { from: 4 * ft, to: 4 * ft },
        { from: 5 * ft, to: 9 * ft },
        { from: 9 * ft, to: Infinity },
      ]}
      rings={[
        { edgeM: 5 * ft, label: '4' },
        { edgeM: 9 * ft, label: '1' },
      ]}
      medianM={4 * ft}
    />,
  );
  expect(screen.getByRole('img', { name: 'Balls' })).toBeVisible();
  expect(screen.getByText('4 ft')).toBeVisible();
  // Two measured balls are marks across the tape, two are hollow.
  expect(container.querySelectorAll('line[y1="26"]')).toHaveLength(2);
  expect(container.querySelectorAll('rect[stroke]')).toHaveLength(2);
});

test('it is long enough for the farthest ball and the last ring', () => {
  expect(tapeLength([{ from: 20 * ft, to: 20 * ft }], [{ edgeM: 9 * ft, label: '1' }])).toBeGreaterThan(20 * ft);
  expect(tapeLength([{ from: 9 * ft, to: Infinity }], [{ edgeM: 9 * ft, label: '1' }])).toBeGreaterThan(9 * ft);
  expect(tapeLength([], [])).toBeGreaterThan(0);
});

test.each([
  [10 * ft, 'imperial', 'ft'],
  [80 * ft, 'imperial', 'ft'],
  [3, 'metric', 'm'],
] as const)('a ruler of %d m has few enough labels', (length, system, unit) => {
  const division = divide(length, system, 6);
  const labels = marks(length, division).filter((mark) => mark.label !== null);
  expect(division.unit).toBe(unit);
  expect(labels.length).toBeLessThanOrEqual(7);
  expect(labels[0]).toEqual({ atM: 0, label: '0' });
});
