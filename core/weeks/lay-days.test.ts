import fc from 'fast-check';
import { weeksOf } from '../testing/make-weeks';
import { daysFrom, plusDays, weekdayOf } from '../units/plain-day';
import { blocksOf, lastDay } from './blocks';
import { eased, layDays, minutesOfTest, practiceDaysIn, testDaysIn } from './lay-days';
import type { Frame, PlannedDay } from './weeks';

const frame = (more: Partial<Frame> = {}): Frame => ({ ...weeksOf(), ...more });
const laid = (of: Frame, testDays = 1) => layDays(of, [{ testDays }], (day) => day);
const said = (days: readonly PlannedDay[]) => days.map(({ day, aim, minutes }) => `${day.slice(5)} ${aim} ${minutes}`);

test('four weeks, Tuesday and Saturday: tested first and last, every third day in between what was left out', () => {
  expect(said(laid(frame()))).toEqual([
    '03-03 test 50',
    '03-07 practise 40',
    '03-10 practise 50',
    '03-14 neglected 40',
    '03-17 practise 50',
    '03-21 practise 40',
    '03-24 neglected 50',
    '03-28 again 40',
  ]);
});

test('with an event at the end the last week is shorter, the last day as in a round, and the re-test comes before', () => {
  const event = { name: 'League', day: '2026-03-29' };
  expect(said(laid(frame({ event }))).slice(-4)).toEqual(['03-17 practise 50', '03-21 again 40', '03-24 less 30', '03-28 rehearsal 25']);
});

test('a test needs a day that is long enough: shorter ones before and after it are for what was left out', () => {
  const rhythm = [
    { weekday: 2, at: null, minutes: 10 },
    { weekday: 6, at: null, minutes: 60 },
  ];
  expect(laid(frame({ rhythm })).map(({ aim }) => aim)).toEqual([
    ...['neglected', 'test', 'practise', 'practise', 'neglected', 'practise', 'practise', 'again'],
  ]);
  expect([minutesOfTest(rhythm), minutesOfTest([...rhythm, { weekday: 7, at: null, minutes: 30 }])]).toEqual([36, 18]);
});

test('a test on two days takes both at either end', () => {
  expect(laid(frame(), 2).map(({ aim }) => aim)).toEqual([
    'test',
    'test',
    'practise',
    'practise',
    'neglected',
    'practise',
    'again',
    'again',
  ]);
});

test('blocks of four weeks; a rest of less than two belongs to the one before', () => {
  const until = (days: number) => blocksOf(frame({ until: plusDays('2026-03-02', days - 1) })).map((b) => daysFrom(b.from, b.until) + 1);
  expect([until(1), until(28), until(41), until(42), until(70)]).toEqual([[1], [28], [41], [28, 14], [28, 28, 14]]);
});

const frames = fc
  .record({
    days: fc.integer({ min: 1, max: 180 }),
    rhythm: fc.uniqueArray(
      fc.record({ weekday: fc.integer({ min: 1, max: 7 }), at: fc.constant(null), minutes: fc.integer({ min: 5, max: 180 }) }),
      {
        minLength: 1,
        selector: ({ weekday }) => weekday,
      },
    ),
    event: fc.boolean(),
    testDays: fc.integer({ min: 1, max: 3 }),
  })
  .map(({ days, rhythm, event, testDays }) => {
    const until = plusDays('2026-03-02', days - 1);
    return { testDays, of: frame({ until, rhythm, event: event && days > 1 ? { name: 'E', day: until } : null }) };
  });

test('whatever is asked: every day of the rhythm once and in order, blocks side by side, as many tests again as before, no test near the event', () => {
  fc.assert(
    fc.property(frames, ({ of, testDays }) => {
      const days = laid(of, testDays);
      const wanted = Array.from({ length: daysFrom(of.from, lastDay(of)) + 1 }, (_, i) => plusDays(of.from, i)).filter((day) =>
        of.rhythm.some(({ weekday }) => weekday === weekdayOf(day)),
      );
      expect(days.map(({ day }) => day)).toEqual(wanted);
      const blocks = blocksOf(of);
      expect(blocks[0]!.from).toBe(of.from);
      expect(blocks.at(-1)!.until).toBe(lastDay(of));
      blocks.slice(1).forEach((block, i) => expect(block.from).toBe(plusDays(blocks[i]!.until, 1)));
      for (const block of blocks) {
        const inside = days.filter(({ day }) => day >= block.from && day <= block.until);
        const count = (aim: PlannedDay['aim']) => inside.filter((one) => one.aim === aim).length;
        expect(count('test')).toBe(count('again'));
        const usual = practiceDaysIn(of, block);
        expect(count('test')).toBe(usual < 2 ? 0 : testDaysIn(usual, testDays));
        const aims = inside.map(({ aim }) => aim);
        if (count('again') > 0) expect(aims.indexOf('again')).toBeGreaterThan(aims.lastIndexOf('test'));
        // There is practice between the tests wherever there are three days long enough for them.
        if (usual >= 3) expect(aims.indexOf('again') - aims.lastIndexOf('test')).toBeGreaterThan(1);
      }
      for (const { day, aim, minutes } of days) {
        const near = of.event !== null && daysFrom(day, of.event.day) <= 7;
        expect(aim === 'less' || aim === 'rehearsal').toBe(near);
        if (near) expect(minutes).toBeLessThanOrEqual(of.rhythm.find(({ weekday }) => weekday === weekdayOf(day))!.minutes);
      }
    }),
    { numRuns: 300 },
  );
});

test('less is in fives, and never more than usual', () => {
  expect([eased(50), eased(40), eased(10), eased(5), eased(180)]).toEqual([30, 25, 10, 5, 110]);
});
