import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import type { LengthUnit } from '@/core/units/length';
import { LengthInput, readNumber } from './length-input';

let kept: number | null = null;
function Held({
  unit = 'ft' as LengthUnit,
  start = null as number | null,
  error,
}: {
  unit?: LengthUnit;
  start?: number | null;
  error?: string;
}) {
  const [value, setValue] = useState(start);
  const change = (metres: number | null) => {
    kept = metres;
    setValue(metres);
  };
  return <LengthInput id="l" label="Length" unit={unit} value={value} onChange={change} error={error} />;
}
const field = () => screen.getByLabelText(/^Length/);
const type = (text: string) => fireEvent.change(field(), { target: { value: text } });

test.each([
  ['6', 1.8288],
  ['6.5', 1.9812],
  ['6,5', 1.9812],
  [' 6 ', 1.8288],
])('“%s” ft is %d m', (text, metres) => {
  render(<Held />);
  type(text);
  expect(kept).toBe(metres);
  expect(field()).toHaveValue(text);
});

test('nothing is null, what is no number is NaN, and both stay as typed', () => {
  render(<Held start={1.8288} />);
  expect(field()).toHaveValue('6');
  type('');
  expect(kept).toBeNull();
  type('six');
  expect(kept).toBeNaN();
  expect(field()).toHaveValue('six');
  expect([readNumber('1e1'), readNumber('0x10'), readNumber('')]).toEqual([NaN, NaN, null]);
});

test('another unit shows the same length anew', () => {
  const { rerender } = render(<Held start={1.8288} />);
  rerender(<Held start={1.8288} unit="m" />);
  expect(field()).toHaveValue('1.829');
});

test('a fault stands beside the field and belongs to it', () => {
  render(<Held error="Too long." />);
  expect(screen.getByText('Too long.')).toBeVisible();
  expect(field()).toHaveAccessibleDescription('Too long.');
});
