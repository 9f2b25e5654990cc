import fc from 'fast-check';
import { toMetres } from '../units/length';
import { ft, yd } from '../testing/make';
import { bandAt, bandsOf, sayBand } from './bands';
import { SHOT_TYPES } from './words';

test('a band includes its lower bound and not its upper one', () => {
  expect(sayBand(bandAt('putt', ft(3))!)).toBe('3–6 ft');
  expect(sayBand(bandAt('putt', ft(2.99))!)).toBe('0–3 ft');
  expect(sayBand(bandAt('chip', yd(10))!)).toBe('10–20 yd');
  expect(sayBand(bandAt('pitch', yd(49.9))!)).toBe('30–50 yd');
  expect(sayBand(bandAt('putt', ft(200))!)).toBe('40+ ft');
  // The last band ends with its end.
  expect(sayBand(bandAt('pitch', yd(100))!)).toBe('75–100 yd');
  expect(bandAt('pitch', yd(100.1))).toBeNull();
});

test('a distance is in exactly one band', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SHOT_TYPES), fc.double({ min: 0, max: 91, noNaN: true }), (shotType, metres) => {
      const holding = bandsOf(shotType).filter(
        (band) => metres >= toMetres(band.min, band.unit) && metres < (band.max === null ? Infinity : toMetres(band.max, band.unit)),
      );
      expect(holding).toEqual([bandAt(shotType, metres)]);
    }),
  );
});
