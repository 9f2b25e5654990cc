import { executedByLevel, executesAt } from './executes';

test('without records a level’s middle, with its spread in the logit', () => {
  expect(executedByLevel(0)).toBe(0.7);
  expect(executedByLevel(20)).toBeCloseTo(0.5, 12);
  expect(executesAt(20, 0)).toBeCloseTo(0.5, 12);
  const logit = (p: number) => Math.log(p / (1 - p));
  // 16 shots' weight at an even chance: √(1/8 + 1/8) = 0.5.
  expect(logit(executesAt(20, 1)) - logit(executesAt(20, 0))).toBeCloseTo(0.5, 12);
});

test('records count against the level, the more the more there are, and narrow what is believed', () => {
  // 16 shots of an even level, and 16 of which 12 came off: 20 of 32.
  expect(executesAt(20, 0, { shots: 16, asAsked: 12 })).toBeCloseTo(20 / 32, 12);
  const many = { shots: 1600, asAsked: 1200 };
  expect(executesAt(20, 0, many)).toBeCloseTo(0.75, 2);
  expect(executesAt(20, 2, many) - executesAt(20, -2, many)).toBeLessThan(0.1);
  expect(executesAt(20, 0, { shots: 10, asAsked: 0 })).toBeLessThan(0.5);
});
