import { decimal } from '../units/decimal';
import { levelSchema, readLevel, sayLevel } from './level';

test('levels better than scratch are written with a plus, and read with a plus or a minus', () => {
  expect([-5, -0.5, 0, 12.5, 54].map(sayLevel)).toEqual(['+5', '+0.5', '0', '12.5', '54']);
  expect(['+5', '-5', '−5', ' 12,5 ', '0', '+0'].map(readLevel)).toEqual([-5, -5, -5, 12.5, 0, 0]);
  for (let level = -10; level <= 54; level += 0.5) expect(readLevel(sayLevel(level))).toBe(level);
});

test.each(['', 'scratch', '0x10', '1e1', '+', '++2', '2.5.1', '54.1', '+10.5'])(
  '%j is no level, and is refused with a sentence',
  (text) => {
    const read = levelSchema.safeParse(text as never);
    expect(read.success).toBe(false);
    expect(read.error!.issues[0]!.message).toMatch(/^(Enter a level such as 18|Levels run from \+10 to 54)/);
  },
);

test('a number is what people write, with a point or a comma', () => {
  expect(['2', '2.5', '2,5', '.5', ',5', '5.', '-3', '−3', '+3'].map(decimal)).toEqual([2, 2.5, 2.5, 0.5, 0.5, 5, -3, -3, 3]);
  for (const text of ['', ' ', '1e3', '0x10', '1.2.3', '1,234.5', 'Infinity', 'NaN', '٣'])
    expect([text, decimal(text)]).toEqual([text, NaN]);
});
