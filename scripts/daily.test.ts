import { eachDay, timeOfDay, untilNext } from './lib/daily.mjs';

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

test('each day at its minute, also after a day on which it failed, until it is stopped', async () => {
  jest.useFakeTimers({ now: new Date('2026-11-30T02:59:00Z') });
  const at: string[] = [];
  const failed: string[] = [];
  const run = async () => {
    at.push(new Date().toISOString());
    // It takes a while, and goes wrong on the second day.
    await new Promise((resolve) => setTimeout(resolve, 120_000));
    if (at.length === 2) throw new Error('the disk is full');
  };
  const stop = eachDay(180, run, (error) => failed.push(error.message));
  await jest.advanceTimersByTimeAsync(3 * 86_400_000);
  expect(at).toEqual(['2026-11-30T03:00:00.000Z', '2026-12-01T03:00:00.000Z', '2026-12-02T03:00:00.000Z']);
  expect(failed).toEqual(['the disk is full']);
  // Stopped while it is at it, too.
  await jest.advanceTimersByTimeAsync(60_000);
  expect(at).toHaveLength(4);
  stop();
  await jest.advanceTimersByTimeAsync(3 * 86_400_000);
  expect(at).toHaveLength(4);
  jest.useRealTimers();
});
