import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import fc from 'fast-check';
import { dayIn, endOfDayIn, startOfDayIn } from './day';

const zone = fc.constantFrom('UTC', 'Europe/Dublin', 'America/St_Johns', 'Australia/Lord_Howe', 'Pacific/Kiritimati', 'America/Sao_Paulo');
const moment = fc.date({ min: new Date('1995-01-01'), max: new Date('2060-01-01'), noInvalidDate: true });

test('a day is the one that another way of reckoning finds, and begins and ends on itself', () => {
  fc.assert(
    fc.property(moment, zone, (at, timeZone) => {
      const day = dayIn(at, timeZone);
      expect(day).toBe(format(new TZDate(at, timeZone), 'yyyy-MM-dd'));
      const [begins, ends] = [startOfDayIn(day, timeZone), endOfDayIn(day, timeZone)];
      expect(at.getTime()).toBeGreaterThanOrEqual(begins.getTime());
      expect(at.getTime()).toBeLessThanOrEqual(ends.getTime());
    }),
  );
});

test('by hand: an evening in Chicago is the next day in London', () => {
  const at = new Date('2026-03-08T03:30:00Z');
  expect([dayIn(at, 'America/Chicago'), dayIn(at, 'Europe/London'), dayIn(at, 'Asia/Tokyo')]).toEqual([
    '2026-03-07',
    '2026-03-08',
    '2026-03-08',
  ]);
});
