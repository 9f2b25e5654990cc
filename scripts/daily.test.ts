import { timeOfDay, untilNext } from './lib/daily.mjs';

test.each([
  ['00:00', 0],
  ['03:05', 185],
  ['23:59', 1439],
  ['24:00', null],
  ['3:00', null],
  ['03:60', null],
  ['03:00 ', null],
  ['', null],
])('%j as a time of day', (text, minutes) => {
  expect(timeOfDay(text)).toBe(minutes);
});

test.each([
  ['02:59:59.999', 1],
  ['03:00:00.000', 86_400_000],
  ['03:00:00.001', 86_399_999],
  ['23:00:00.000', 4 * 3_600_000],
])('from %s to three o’clock', (time, ms) => {
  expect(untilNext(180, new Date(`2026-11-30T${time}Z`))).toBe(ms);
});
