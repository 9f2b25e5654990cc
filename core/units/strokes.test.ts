import fc from 'fast-check';
import { sayBetween, sayStrokes } from './strokes';

test('lost, a minus gains; gained, a plus gains: the same strokes in two signs', () => {
  expect([0.28, -0.07, 0, 0.004, -0.004].map((lost) => sayStrokes(lost, 'lost'))).toEqual(['0.28', '−0.07', '0.00', '0.00', '0.00']);
  expect([0.28, -0.07, 0, 0.004, -0.004].map((lost) => sayStrokes(lost, 'gained'))).toEqual(['−0.28', '+0.07', '0.00', '0.00', '0.00']);
});

test('a range begins with its smaller figure in either sign', () => {
  expect(sayBetween([0.1, 0.4], 'lost')).toBe('0.10 to 0.40');
  expect(sayBetween([0.1, 0.4], 'gained')).toBe('−0.40 to −0.10');
  expect(sayBetween([-0.2, 0.4], 'gained')).toBe('−0.40 to +0.20');
});

test('read back, the figure is what was lost to the hundredth, whatever the sign', () => {
  const read = (text: string) => Number(text.replace('−', '-'));
  fc.assert(
    fc.property(fc.double({ min: -9, max: 9, noNaN: true }), (lost) => {
      const hundredth = Number(lost.toFixed(2));
      expect(read(sayStrokes(lost, 'lost'))).toBeCloseTo(hundredth, 10);
      expect(read(sayStrokes(lost, 'gained'))).toBeCloseTo(-hundredth, 10);
    }),
  );
});
