import { sayPlainDay } from './plain-day';
import { sayDate, sayDay, sayMoment, sayPeriod } from './say-moment';

const now = new Date('2026-05-20T00:30:00Z');

test('days are those of the academy’s clock, not of the server’s', () => {
  const late = new Date('2026-05-19T22:30:00Z');
  expect(sayDay(late, 'UTC', now)).toBe('yesterday');
  expect(sayDay(late, 'Europe/Dublin', now)).toBe('yesterday');
  expect(sayDay(late, 'America/Chicago', now)).toBe('today');
  expect(sayDay(late, 'Asia/Tokyo', now)).toBe('today');
});

test('longer ago is said in days, then as a date, with the year where it is another', () => {
  expect(sayDay(new Date('2026-05-16T12:00:00Z'), 'UTC', now)).toBe('4 days ago');
  expect(sayDay(new Date('2026-04-02T12:00:00Z'), 'UTC', now)).toBe('2 Apr');
  expect(sayDay(new Date('2025-04-02T12:00:00Z'), 'UTC', now)).toBe('2 Apr 2025');
});

test('a moment has weekday, day and time', () => {
  expect(sayMoment(new Date('2026-05-19T17:05:00Z'), 'Europe/Dublin')).toBe('Tue 19 May, 18:05');
});

test('a plain day is the same day wherever it is read', () => {
  expect(sayPlainDay('2026-11-22')).toBe('Sun 22 Nov');
  expect(sayPlainDay('2027-01-01')).toBe('Fri 1 Jan');
});

test('a period has the year once, or both where they differ; days are those of the zone', () => {
  const [from, to] = [new Date('2026-10-01T00:00:00Z'), new Date('2026-11-29T23:59:59Z')];
  expect(sayPeriod(from, to, 'UTC')).toBe('1 Oct to 29 Nov 2026');
  expect(sayPeriod(from, to, 'America/Chicago')).toBe('30 Sept to 29 Nov 2026');
  expect(sayPeriod(new Date('2025-12-20T12:00:00Z'), to, 'UTC')).toBe('20 Dec 2025 to 29 Nov 2026');
  expect(sayDate(from, 'UTC', false)).toBe('1 Oct');
});
