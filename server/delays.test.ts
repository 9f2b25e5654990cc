import { makeDelays } from './delays';

const rules = { free: 3, mostMs: 60_000, forgetMs: 900_000 };

test('some wrong guesses are free, then each costs twice the wait of the one before, up to a most', () => {
  const delays = makeDelays(rules);
  const waits: number[] = [];
  let now = 0;
  for (let n = 0; n < 12; n++) {
    delays.wrong('one', `guess ${n}`, now);
    waits.push(delays.left('one', now));
    now += delays.left('one', now);
  }
  expect(waits).toEqual([0, 0, 1000, 2000, 4000, 8000, 16_000, 32_000, 60_000, 60_000, 60_000, 60_000]);
  expect([delays.left('one', now - 1), delays.left('one', now)]).toEqual([1, 0]);
});

test('another sender waits for nothing, and who was right is no guesser', () => {
  const delays = makeDelays(rules);
  for (let n = 0; n < 50; n++) delays.wrong('stranger', `guess ${n}`, n);
  expect([delays.left('stranger', 50) > 0, delays.left('coach', 50)]).toEqual([true, 0]);
  delays.right('stranger');
  expect(delays.left('stranger', 50)).toBe(0);
});

test('who says the same again and again is no guesser, and quiet is forgotten', () => {
  const delays = makeDelays(rules);
  for (let n = 0; n < 100; n++) delays.wrong('phone', 'an old link', n);
  expect(delays.left('phone', 100)).toBe(0);
  for (let n = 0; n < 9; n++) delays.wrong('one', `guess ${n}`, 0);
  expect([delays.left('one', 1) > 0, delays.left('one', 900_001)]).toEqual([true, 0]);
  delays.wrong('one', 'again', 900_001);
  expect(delays.left('one', 900_001)).toBe(0);
});

test('it remembers only so many guessers', () => {
  const delays = makeDelays({ ...rules, free: 0, keep: 2 });
  for (const who of ['a', 'b', 'c']) delays.wrong(who, 'x', 0);
  expect(['a', 'b', 'c'].map((who) => delays.left(who, 1) > 0)).toEqual([false, true, true]);
});
