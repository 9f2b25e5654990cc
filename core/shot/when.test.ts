import fc from 'fast-check';
import { game, left, record } from '../testing/make';
import { projectShots } from './project';
import { possibleMoment, wrongClock } from './when';

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

test('a wrong clock is noticed by balls that count at another time than was said', () => {
  const events = [0, 1, 2].map((turn) => record(game(), turn, left(4)));
  const shots = projectShots(events);
  expect(wrongClock(events, shots)).toBeNull();
  const moved = (minutes: number, i: number) =>
    shots.map((shot, at) =>
      at === i ? { ...shot, playedAt: new Date(Date.parse(shot.playedAt) + minutes * 60_000).toISOString() } : shot,
    );
  expect(wrongClock(events, moved(9, 0))).toBeNull();
  expect(wrongClock(events, moved(-125, 1))).toEqual({ balls: 1, offMs: 125 * 60_000 });
  // A ball that was removed says nothing.
  expect(wrongClock(events, moved(90, 2).slice(0, 2))).toBeNull();
});
