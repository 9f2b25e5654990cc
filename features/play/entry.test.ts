import fc from 'fast-check';
import { NOTHING_TYPED, pressPad, sayTyped, tappedResult, typedMetres, typedResult } from './entry';

const type = (keys: string[], system: 'imperial' | 'metric') => keys.reduce((typed, key) => pressPad(typed, key, system), NOTHING_TYPED);

test('4 ft 3 is 1.2954 m, 4 alone is feet', () => {
  expect(typedMetres(type(['4', 'ft', '3'], 'imperial'), 'imperial')).toEqual({ leftM: 1.2954 });
  expect(typedMetres(type(['4'], 'imperial'), 'imperial')).toEqual({ leftM: 1.2192 });
  expect(sayTyped(type(['4', 'ft', '3'], 'imperial'), 'imperial')).toBe('4 ft 3 in');
});

test('there are no 12 inches, no second ft, and the way back leads through the inches', () => {
  expect(sayTyped(type(['4', 'ft', '1', '2'], 'imperial'), 'imperial')).toBe('4 ft 1 in');
  expect(sayTyped(type(['ft', '4', 'ft', 'ft'], 'imperial'), 'imperial')).toBe('4 ft – in');
  expect(sayTyped(type(['4', 'ft', '1', 'back', 'back', 'back'], 'imperial'), 'imperial')).toBe('– ft');
});

test('metres have one point and two decimals', () => {
  expect(typedMetres(type(['.', '8', '5', '5', '.'], 'metric'), 'metric')).toEqual({ leftM: 0.85 });
  expect(sayTyped(type(['1', '.', '3', '0', 'back'], 'metric'), 'metric')).toBe('1.3 m');
});

test('nothing, nearly nothing and far too much are refused with the reason', () => {
  expect(typedMetres(NOTHING_TYPED, 'imperial')).toEqual({ why: 'Type the distance left.' });
  expect(typedMetres(type(['0', 'ft', '2'], 'imperial'), 'imperial')).toEqual({ why: 'So near is in the hole: press Holed.' });
  expect(typedMetres(type(['9', '9', '9'], 'imperial'), 'imperial')).toHaveProperty('why');
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
