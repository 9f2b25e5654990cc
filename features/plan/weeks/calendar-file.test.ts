/** @jest-environment node */
import fc from 'fast-check';
import ICAL from 'ical.js';
import { idOf } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import { momentIn } from '@/core/units/day';
import { plusDays } from '@/core/units/plain-day';
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

test('whatever is planned, each day comes back with its moment, its length and its words', () => {
  const days = fc
    .uniqueArray(
      fc.record({
        n: fc.integer({ min: 0, max: 27 }),
        at: fc.option(fc.constantFrom('00:15', '06:00', '17:30', '23:45')),
        minutes: fc.integer({ min: 10, max: 120 }),
      }),
      {
        minLength: 1,
        maxLength: 8,
        selector: ({ n }) => n,
      },
    )
    .map((all) => all.toSorted((a, b) => a.n - b.n));
  const title = fc
    .array(fc.constantFrom('a', 'Ö', ' ', ',', ';', '\\', '"', ':', '½', 'long words '), { minLength: 1, maxLength: 30 })
    .map((signs) => signs.join('').trim().slice(0, 80));
  const zone = fc.constantFrom('Europe/Dublin', 'Pacific/Auckland', 'America/St_Johns', 'UTC');
  fc.assert(
    fc.property(
      days,
      title.filter((text) => text !== ''),
      zone,
      (planned, name, timeZone) => {
        const weeks = weeksOf({
          title: name,
          days: planned.map(({ n, at, minutes }, i) => ({
            hourId: idOf(i + 1),
            day: plusDays('2026-03-02', n),
            at,
            minutes,
            aim: 'practise' as const,
          })),
        });
        const events = read(calendarOf(weeks, { hours: new Map(), timeZone, savedAt, academy: 'Here' }));
        expect(
          events.map((event) => [
            event.uid,
            event.startDate.isDate ? event.startDate.toString() : event.startDate.toJSDate().toISOString(),
            event.startDate.isDate ? null : event.duration.toSeconds() / 60,
          ]),
        ).toEqual(
          weeks.days.map(({ hourId, day, at, minutes }) => [
            `${hourId}@inch-game`,
            at === null ? day : momentIn(day, at, timeZone).toISOString(),
            at === null ? null : minutes,
          ]),
        );
        for (const event of events) expect(event.summary).toContain(name);
      },
    ),
    { numRuns: 100 },
  );
});
