import fc from 'fast-check';
import { possibleMoment } from './when';

const openedAt = new Date('2026-05-01T18:00:00Z');
const receivedAt = new Date('2026-05-01T19:30:00Z');

test.each([
  ['in between, as it was said', '2026-05-01T20:10:00+02:00', '2026-05-01T18:10:00.000Z'],
  ['a year ahead', '2027-05-01T18:10:00Z', '2026-05-01T19:30:00.000Z'],
  ['in the year 9999', '9999-12-30T00:00:00Z', '2026-05-01T19:30:00.000Z'],
  ['in 1970, as of a phone that lost its clock', '1970-01-01T00:00:07Z', '2026-05-01T18:00:00.000Z'],
])('%s', (_, said, when) => {
  expect(possibleMoment(said, { openedAt, receivedAt }).toISOString()).toBe(when);
});

test('whatever is said, it lies between opening and arrival; where these are the wrong way round, at the arrival', () => {
  const at = fc.date({ min: new Date('0001-01-02'), max: new Date('9999-12-30'), noInvalidDate: true });
  fc.assert(
    fc.property(at, at, at, (said, opened, received) => {
      const when = possibleMoment(said.toISOString(), { openedAt: opened, receivedAt: received }).getTime();
      expect(when).toBeLessThanOrEqual(received.getTime());
      expect(when).toBeGreaterThanOrEqual(Math.min(opened.getTime(), received.getTime()));
    }),
  );
});
