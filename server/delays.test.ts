import { RateLimiterMemory } from 'rate-limiter-flexible';
import { makeDelays } from './delays';
import type { MakeLimiter } from './limiter';
import { makeQuota } from './quota';

jest.mock('./db', () => ({ pool: () => undefined }));

const START = new Date('2026-05-01T10:00:00Z').getTime();
beforeEach(() => void jest.useFakeTimers({ now: START }));
afterEach(() => void jest.useRealTimers());
const wait = (ms: number) => jest.advanceTimersByTime(ms);

/** Counts in memory: what is asked of them is the same as of those in the database (db/queries/limits.test.ts). */
const inMemory: MakeLimiter = (keyPrefix, points, duration) => new RateLimiterMemory({ keyPrefix, points, duration });
const rules = { free: 3, mostMs: 60_000, forgetMs: 900_000 };

test('some wrong guesses are free, then each costs twice the wait of the one before, up to a most', async () => {
  const delays = makeDelays('a', rules, inMemory);
  const waits: number[] = [];
  for (let n = 0; n < 12; n++) {
    await delays.wrong('one', `guess ${n}`);
    const left = await delays.left('one');
    waits.push(left);
    wait(left);
    expect(await delays.left('one')).toBe(0);
  }
  expect(waits).toEqual([0, 0, 1000, 2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000, 60_000, 60_000]);
});

test('another sender waits for nothing, and who was right is no guesser', async () => {
  const delays = makeDelays('b', rules, inMemory);
  for (let n = 0; n < 50; n++) await delays.wrong('stranger', `guess ${n}`);
  expect([(await delays.left('stranger')) > 0, await delays.left('coach')]).toEqual([true, 0]);
  await delays.right('stranger');
  expect(await delays.left('stranger')).toBe(0);
});

test('who says the same again and again is no guesser, and quiet is forgotten', async () => {
  const delays = makeDelays('c', rules, inMemory);
  for (let n = 0; n < 100; n++) await delays.wrong('phone', 'an old link');
  expect(await delays.left('phone')).toBe(0);
  for (let n = 0; n < 9; n++) await delays.wrong('one', `guess ${n}`);
  expect(await delays.left('one')).toBeGreaterThan(0);
  wait(900_001);
  expect(await delays.left('one')).toBe(0);
  await delays.wrong('one', 'again');
  expect(await delays.left('one')).toBe(0);
});

test('each has a share of a window; what goes beyond it is not taken', async () => {
  const quota = makeQuota('d', { most: 10, windowMs: 1000 }, inMemory);
  const taken = [];
  for (const [who, count] of [
    ['one', 6],
    ['one', 5],
    ['one', 4],
    ['one', 1],
    ['two', 10],
  ] as const)
    taken.push(await quota(who, count));
  expect(taken).toEqual([true, false, true, false, true]);
  wait(999);
  expect(await quota('one', 1)).toBe(false);
  wait(2);
  expect(await quota('one', 10)).toBe(true);
});
