import { makeLimiter } from './limit';

test('so many wrong guesses within a window block, each sender by itself, until the window has passed', () => {
  const limiter = makeLimiter({ most: 3, windowMs: 1000 });
  for (const at of [0, 100, 200]) {
    expect(limiter.blocked('one', at)).toBe(false);
    limiter.wrong('one', `guess ${at}`, at);
  }
  expect([limiter.blocked('one', 300), limiter.blocked('another', 300)]).toEqual([true, false]);
  expect([limiter.blocked('one', 999), limiter.blocked('one', 1001)]).toEqual([true, false]);
});

test('who says the same again and again is no guesser', () => {
  const limiter = makeLimiter({ most: 3, windowMs: 1000 });
  for (let at = 0; at < 100; at++) limiter.wrong('one', 'an old link', at);
  expect(limiter.blocked('one', 100)).toBe(false);
});

test('it remembers only so many senders', () => {
  const limiter = makeLimiter({ most: 1, windowMs: 1000, keep: 2 });
  for (const who of ['a', 'b', 'c']) limiter.wrong(who, 'x', 0);
  expect(['a', 'b', 'c'].map((who) => limiter.blocked(who, 1))).toEqual([false, true, true]);
});
