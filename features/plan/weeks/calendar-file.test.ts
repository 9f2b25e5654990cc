/** @jest-environment node */
import ICAL from 'ical.js';
import { idOf } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import { calendarOf } from './calendar-file';

const savedAt = new Date('2026-03-01T10:00:00Z');
const read = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));

test('read back by another program, every day is there at its time, and what is done in it', () => {
  const weeks = weeksOf({
    title: 'Nine, ten; and a “long” title, with commas',
    event: { name: 'Spring league', day: '2026-04-04' },
    days: [
      { hourId: idOf(1), day: '2026-03-27', at: '17:30', minutes: 50, aim: 'test' },
      // The clocks go forward on the 29th there.
      { hourId: idOf(2), day: '2026-03-30', at: '17:30', minutes: 45, aim: 'practise' },
      { hourId: idOf(3), day: '2026-04-02', at: null, minutes: 30, aim: 'rehearsal' },
    ],
  });
  const hours = new Map([[idOf(1), hourOf({ minutes: 30 })]]);
  const text = calendarOf(weeks, { hours, timeZone: 'Europe/Dublin', savedAt, academy: 'Lantern Hollow' });
  const events = read(text);
  expect(events.map(({ uid }) => uid)).toEqual([1, 2, 3].map((n) => `${idOf(n)}@inch-game`).concat('2026-04-04-event@inch-game'));
  const [first, second, third, league] = events.map((event) => ({
    from: event.startDate.isDate ? event.startDate.toString() : event.startDate.toJSDate().toISOString(),
    minutes: event.duration.toSeconds() / 60,
    says: event.summary,
    about: event.description,
  }));
  expect(first).toEqual({
    from: '2026-03-27T17:30:00.000Z',
    minutes: 30,
    says: 'Test, 30 min: Nine, ten; and a “long” title, with commas',
    about: '10 min Technique: Low chips\n20 min The game: Two spots',
  });
  expect(second).toMatchObject({ from: '2026-03-30T16:30:00.000Z', minutes: 45 });
  expect(third).toMatchObject({ from: '2026-04-02', minutes: 24 * 60 });
  expect(league).toMatchObject({ from: '2026-04-04', says: 'Spring league' });
  expect(text.split('\r\n').every((line) => new TextEncoder().encode(line).length <= 75)).toBe(true);
});

test.each(['Pacific/Kiritimati', 'Pacific/Pago_Pago', 'UTC'])('a whole day is the same day in %s', (timeZone) => {
  const before = process.env.TZ;
  process.env.TZ = timeZone;
  try {
    const days = [{ hourId: idOf(1), day: '2026-03-27', at: null, minutes: 50, aim: 'test' as const }];
    const text = calendarOf(weeksOf({ days }), { hours: new Map(), timeZone, savedAt, academy: 'Here' });
    expect(read(text)[0]!.startDate.toString()).toBe('2026-03-27');
  } finally {
    process.env.TZ = before;
  }
});
