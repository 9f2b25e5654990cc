import fc from 'fast-check';
import { nothingTyped, pressPad, sayTyped, tappedResult, typedMetres, typedResult, type PadUnit } from './entry';

const type = (keys: string[], unit: PadUnit = 'ft') => keys.reduce(pressPad, nothingTyped(unit));
const own = { paceM: 0.75, clubM: null };

test('4 ft 3 is 1.2954 m, 4 alone is feet', () => {
  expect(typedMetres(type(['4', 'ft', '3']), own)).toEqual({ leftM: 1.2954 });
  expect(typedMetres(type(['4']), own)).toEqual({ leftM: 1.2192 });
  expect(sayTyped(type(['4', 'ft', '3']))).toBe('4 ft 3 in');
});

test('there are no 12 inches, no second ft, and the way back leads through the inches', () => {
  expect(sayTyped(type(['4', 'ft', '1', '2']))).toBe('4 ft 1 in');
  expect(sayTyped(type(['ft', '4', 'ft', 'ft']))).toBe('4 ft – in');
  expect(sayTyped(type(['4', 'ft', '1', 'back', 'back', 'back']))).toBe('– ft');
});

test('metres have one point and two decimals', () => {
  expect(typedMetres(type(['.', '8', '5', '5', '.'], 'm'), own)).toEqual({ leftM: 0.85 });
  expect(sayTyped(type(['1', '.', '3', '0', 'back'], 'm'))).toBe('1.3 m');
});

test('a pace and a club are one’s own, or ordinary ones where nobody measured', () => {
  expect(typedMetres(type(['2', '.', '5'], 'pace'), own)).toEqual({ leftM: 1.875 });
  expect(typedMetres(type(['2'], 'club'), own)).toEqual({ leftM: 1.778 });
  expect(sayTyped(type(['2', '.', '5'], 'pace'))).toBe('2.5 paces');
});

test('several balls are one total, which may be as far as all of them together', () => {
  expect(typedMetres(type(['9', '9', '9']), own, 3)).toEqual({ leftM: 304.4952 });
  expect(typedMetres(type([]), own, 3)).toEqual({ why: 'Type the total left.' });
  expect(typedResult(3, 'tape', 3)).toMatchObject({ leftM: null, nBalls: 3, sumLeftM: 3 });
});

test('nothing, nearly nothing and far too much are refused with the reason', () => {
  expect(typedMetres(nothingTyped('ft'), own)).toEqual({ why: 'Type the distance left.' });
  expect(typedMetres(type(['0', 'ft', '2']), own)).toEqual({ why: 'That’s in the hole: press Holed.' });
  expect(typedMetres(type(['9', '9', '9']), own)).toHaveProperty('why');
});

test('a tap says how far and in which direction from the hole', () => {
  const bearing = (right: number, beyond: number) => tappedResult({ right, beyond }).bearingDeg;
  expect([bearing(0, 1), bearing(1, 0), bearing(0, -1), bearing(-1, 0)]).toEqual([0, 90, 180, 270]);
  expect(tappedResult({ right: 0.3, beyond: -0.4 })).toMatchObject({ leftM: 0.5, measured: 'eye', holed: false });
  expect(tappedResult({ right: 0, beyond: 0 }).leftM).toBeCloseTo(0.054, 3);
});

test('every tap is a valid result', () => {
  const place = fc.record({ right: fc.double({ min: -10, max: 10, noNaN: true }), beyond: fc.double({ min: -10, max: 10, noNaN: true }) });
  fc.assert(
    fc.property(place, (at) => {
      const { leftM, bearingDeg } = tappedResult(at);
      expect(leftM).toBeGreaterThan(0);
      expect(bearingDeg).toBeGreaterThanOrEqual(0);
      expect(bearingDeg).toBeLessThan(360);
    }),
  );
  expect(typedResult(1.2, 'tape')).toMatchObject({ leftM: 1.2, bearingDeg: null, measured: 'tape' });
});
