import fc from 'fast-check';
import { formatLeft, formatLength, signed } from './format';
import { fromMetres, METRES_PER, snap, toMetres, type LengthUnit } from './length';

test('every inch, foot and yard is exact on the storage grid', () => {
  expect(toMetres(1, 'in')).toBe(0.0254);
  expect(toMetres(1, 'ft')).toBe(0.3048);
  expect(toMetres(1, 'yd')).toBe(0.9144);
  expect(toMetres(7, 'in') + toMetres(5, 'in')).toBeCloseTo(toMetres(1, 'ft'), 10);
  for (let inches = 0; inches <= 3600; inches++) expect(Math.abs(toMetres(inches, 'in') - inches * 0.0254)).toBeLessThan(1e-9);
});

test('what somebody typed with up to two decimals comes back as it was', () => {
  const units = Object.keys(METRES_PER) as LengthUnit[];
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 20_000 }), fc.constantFrom(...units), (hundredths, unit) => {
      const value = hundredths / 100;
      expect(fromMetres(toMetres(value, unit), unit)).toBeCloseTo(value, unit === 'in' ? 1 : 2);
    }),
  );
});

test('snapping twice is snapping once', () => {
  fc.assert(fc.property(fc.double({ min: 0, max: 500, noNaN: true }), (metres) => snap(snap(metres)) === snap(metres)));
});

test.each([
  [0.0254 * 51, 'imperial', '4 ft 3'],
  [0.3048 * 4, 'imperial', '4 ft'],
  [0.0254 * 9, 'imperial', '9 in'],
  [0.3048 * 23.4, 'imperial', '23 ft'],
  [0.0254 * 11.6, 'imperial', '1 ft'],
  [1.3, 'metric', '1.30 m'],
  [12.345, 'metric', '12.3 m'],
] as const)('%d m is said to a(n) %s reader as %s', (metres, system, said) => {
  expect(formatLeft(metres, system)).toBe(said);
});

test('a length in one unit has no needless decimals', () => {
  expect(formatLength(toMetres(14, 'yd'), 'yd')).toBe('14 yd');
  expect(formatLength(toMetres(6.5, 'ft'), 'ft')).toBe('6.5 ft');
});

test('strokes carry a true minus, and nothing has no sign', () => {
  expect([signed(0.123), signed(-0.07), signed(-0.001)]).toEqual(['0.12', '−0.07', '0.00']);
});
