import { landing } from './landing';

type Answer = { level: number; options: Record<string, number | string>[]; answer?: string };
const run = (...args: string[]) => landing(args) as Answer;
const PLAIN = ['--distance', '20yd', '--carry', '5yd', '--stimp', '9', '--slope', '-1.5', '--firmness', 'medium', '--lie', 'fairway'];

test('every club of the usual bag, low, medium and high: carry and run add up to the distance', () => {
  const { options, level } = run(...PLAIN);
  expect(level).toBe(10);
  expect(options).toHaveLength(21);
  const found = options.filter(({ answer }) => answer === 'found');
  expect(found.length).toBeGreaterThan(15);
  for (const { carry_yd, run_yd, carry_from_yd, carry_to_yd } of found as Record<string, number>[]) {
    expect(carry_yd! + run_yd!).toBeCloseTo(20, 1);
    expect(carry_from_yd!).toBeLessThanOrEqual(carry_yd!);
    expect(carry_to_yd!).toBeGreaterThanOrEqual(carry_yd!);
  }
});

test('lengths in feet, yards and metres come to the same', () => {
  expect(run('--distance', '60ft', '--carry', '15 ft')).toEqual(run('--distance', '20yd', '--carry', '5yd'));
});

test('a side slope to the right, high on the left, takes balls right', () => {
  const drifts = run(...PLAIN, '--side', '-2').options.flatMap(({ drift_ft }) => (typeof drift_ft === 'number' ? [drift_ft] : []));
  expect(drifts.length).toBeGreaterThan(10);
  expect(Math.min(...drifts)).toBeGreaterThan(0);
});

test('sand is answered in words', () => {
  expect(run('--distance', '15yd', '--carry', '6yd', '--lie', 'sand')).toMatchObject({
    options: [],
    answer: expect.stringContaining('too much from bunker to bunker') as string,
  });
});

test.each([
  [['--carry', '5yd'], 'distance'],
  [['--distance', '20', '--carry', '5yd'], '--distance is a length'],
  [['--distance', '20yd', '--carry', '25yd'], 'The green begins before the hole'],
  [[...PLAIN, '--lie', 'moon'], '--lie is one of'],
  [[...PLAIN, '--sit', 'buried'], '--sit is one of'],
  [[...PLAIN, '--speed', '3'], 'Usage'],
])('what can’t be read is refused: %j', (args, why) => {
  expect(() => landing(args)).toThrow(why);
});
