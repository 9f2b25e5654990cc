import { idOf } from '../testing/make';
import { weeksOf } from '../testing/make-weeks';
import { blockAt, daysOf, minusDay, plusDay, relaid, withBlock, withDay } from './change';
import { weeksSchema } from './weeks';

let made = 0;
const newId = () => idOf((made += 1));
const laid = () => relaid(weeksOf(), '2026-03-02', newId);

test('a day is moved, taken out, added; they stand in order', () => {
  const weeks = laid();
  const [first, second] = weeks.days;
  const moved = withDay(weeks, first!.hourId, { day: '2026-03-08' });
  expect(moved.days.slice(0, 2).map(({ hourId }) => hourId)).toEqual([second!.hourId, first!.hourId]);
  expect(minusDay(moved, first!.hourId).days).toHaveLength(7);
  const more = plusDay(weeks, { hourId: newId(), day: '2026-03-04', at: null, minutes: 20, aim: 'neglected' });
  expect(more.days[1]).toMatchObject({ day: '2026-03-04', minutes: 20 });
  expect(weeksSchema.parse(more)).toEqual(more);
});

test('laid anew, dates that were planned keep their hours; what is over stays as it was', () => {
  const before = withDay(laid(), laid().days[0]!.hourId, { day: '2026-03-05' });
  const more = relaid({ ...before, rhythm: [...before.rhythm, { weekday: 4, at: null, minutes: 30 }] }, '2026-03-12', newId);
  const idsAt = (day: string, of = before) => of.days.filter((one) => one.day === day).map(({ hourId }) => hourId);
  for (const { day } of before.days) expect(idsAt(day, more)).toEqual(idsAt(day));
  expect(more.days.filter(({ day }) => day < '2026-03-12')).toEqual(before.days.filter(({ day }) => day < '2026-03-12'));
  expect(more.days.map(({ day }) => day)).toContain('2026-03-26');
  const ids = more.days.map(({ hourId }) => hourId);
  expect(new Set(ids).size).toBe(ids.length);
});

test('a day of today that was begun stays, and nothing else is laid on it', () => {
  const weeks = laid();
  const today = weeks.days[2]!;
  const begun = withDay(weeks, today.hourId, { aim: 'neglected' });
  const again = relaid(begun, today.day, newId, new Set([today.hourId]));
  expect(again.days.filter(({ day }) => day === today.day)).toEqual([{ ...today, aim: 'neglected' }]);
});

test('what a block is about stays when its frame changes', () => {
  const weeks = withBlock(laid(), 0, { shots: ['chip|fairway|10'], testDays: 2 });
  const longer = relaid({ ...weeks, until: '2026-04-26' }, '2026-03-02', newId);
  expect(longer.blocks.map(({ from, until, shots, testDays }) => [from, until, shots, testDays])).toEqual([
    ['2026-03-02', '2026-03-29', ['chip|fairway|10'], 2],
    ['2026-03-30', '2026-04-26', [], 1],
  ]);
  // A day that was put outside belongs to the block beside it.
  const at = (day: string) => blockAt(longer, day);
  expect([at('2026-01-01'), at('2026-03-29'), at('2026-03-30'), at('2026-05-30')]).toEqual([0, 0, 1, 1]);
  expect(blockAt({ blocks: [] }, '2026-03-29')).toBe(-1);
  expect(daysOf(longer, 1).map(({ day }) => day)).toEqual(longer.days.filter(({ day }) => day >= '2026-03-30').map(({ day }) => day));
});

test.each([
  ['the last day before the first', { until: '2026-03-01' }, 'The last day is before the first.'],
  ['more than half a year', { until: '2026-09-30' }, 'Plan at most 26 weeks.'],
  ['an event on the first day', { event: { name: 'L', day: '2026-03-02' } }, 'The event has to come after the first day.'],
  ['no day of the week', { rhythm: [] }, 'Choose at least one day of the week.'],
  ['a time that is none', { rhythm: [{ weekday: 1, at: '25:00', minutes: 50 }] }, 'Enter a time such as 17:30.'],
  ['four minutes', { rhythm: [{ weekday: 1, at: null, minutes: 4 }] }, 'At least 5 minutes.'],
  ['an event without a name', { event: { name: ' ', day: '2026-03-20' } }, 'Name the event.'],
])('%s is refused with a sentence', (_, wrong, sentence) => {
  const read = weeksSchema.safeParse({ ...weeksOf(), ...wrong });
  expect(read.error?.issues.map(({ message }) => message)).toEqual([sentence]);
});
