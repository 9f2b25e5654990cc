import { makeQuota } from './quota';

test('each has a share of a window; what goes beyond it is not taken', () => {
  const quota = makeQuota({ most: 10, windowMs: 1000 });
  expect([quota('one', 6, 0), quota('one', 5, 1), quota('one', 4, 2), quota('one', 1, 3), quota('two', 10, 3)]).toEqual([
    true,
    false,
    true,
    false,
    true,
  ]);
  expect([quota('one', 1, 999), quota('one', 10, 1000)]).toEqual([false, true]);
});

test('it remembers only so many', () => {
  const quota = makeQuota({ most: 1, windowMs: 1000, keep: 2 });
  for (const who of ['a', 'b', 'c']) quota(who, 1, 0);
  expect(['c', 'b', 'a'].map((who) => quota(who, 1, 1))).toEqual([false, false, true]);
});
