import fc from 'fast-check';
import { METRES_PER, toMetres } from '../units/length';
import { readLength } from './read-length';

const OWN = { paceM: 0.8, clubM: 0.9, putterM: 0.86, flagstickM: 2.2, shoeM: 0.3 };
const read = (text: string) => readLength(text, METRES_PER.yd, OWN);

test.each([
  ['12', 12 * 0.9144],
  ['12 yd', 12 * 0.9144],
  ['6,5 m', 6.5],
  ['250 cm', 2.5],
  ['4 ft 3', 4.25 * 0.3048],
  ["5'6", 5.5 * 0.3048],
  ['5\' 6"', 5.5 * 0.3048],
  ['9 in', 9 * 0.0254],
  ['12 paces', 9.6],
  ['2½ paces', 2],
  ['½ club', 0.45],
  ['1 flagstick 2 clubs', 4],
  ['3 putters', 2.58],
  ['10 shoes', 3],
  ['-3 ft', -0.9144],
  ['12P', 9.6],
])('“%s” is a length', (text, metres) => {
  expect(read(text)).toBeCloseTo(metres, 4);
});

test.each(['', 'paces', 'twelve', '12 miles', '4 3', '4 ft x', '0x10', '1..2', '4 yd 3'])('“%s” is none', (text) => {
  expect(read(text)).toBeNaN();
});

test('without a measure of one’s own, ordinary ones', () => {
  expect(readLength('2 paces', 1)).toBeCloseTo(2 * 0.9144, 4);
});

test('a bare number is what it always was', () => {
  fc.assert(
    fc.property(fc.integer({ min: -50_000, max: 50_000 }), fc.constantFrom('m', 'yd', 'ft', 'in'), (hundredths, unit) => {
      const value = hundredths / 100;
      expect(readLength(String(value), METRES_PER[unit as 'm'])).toBe(toMetres(value, unit as 'm') + 0);
    }),
  );
});
