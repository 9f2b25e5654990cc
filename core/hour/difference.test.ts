import { differenceOf } from './difference';

test('by hand: four points more where luck is worth two are better at 92 in 100', () => {
  // Φ(4/(√2·2)) = Φ(1.41421) = 0.92135.
  expect(differenceOf(14, 18, { higher: true, luck: 2 })).toEqual({ better: 4, chance: expect.closeTo(0.92135, 5) as number });
  expect(differenceOf(14, 18, { higher: false, luck: 2 })).toEqual({ better: -4, chance: expect.closeTo(0.07865, 5) as number });
});

test('level is even; without knowing luck nothing is said of the chance', () => {
  expect(differenceOf(9, 9, { higher: true, luck: 3 }).chance).toBe(0.5);
  expect(differenceOf(9, 12, { higher: true, luck: null })).toEqual({ better: 3, chance: null });
});
