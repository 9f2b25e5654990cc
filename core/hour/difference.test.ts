import { certaintyOf } from '../board/certainty';
import { seededRandom } from '../math/random';
import { differenceOf } from './difference';

test('by hand: twelve points more where luck is worth two are better at 92 in 100', () => {
  // 12/(√2·2) = 4.2426, times .5/√2.25 = 1/3: Φ(1.41421) = 0.92135.
  expect(differenceOf(14, 26, { higher: true, luck: 2 })).toEqual({ better: 12, chance: expect.closeTo(0.92135, 5) as number });
  expect(differenceOf(14, 26, { higher: false, luck: 2 })).toEqual({ better: -12, chance: expect.closeTo(0.07865, 5) as number });
});

test('level is even; without knowing luck nothing is said of the chance', () => {
  expect(differenceOf(9, 9, { higher: true, luck: 3 }).chance).toBe(0.5);
  expect(differenceOf(9, 12, { higher: true, luck: null })).toEqual({ better: 3, chance: null });
});

/** How often it is said that something is likely or sure, and how often that is so, over hours that change a player by so many lucks. */
function said(change: number) {
  const random = seededRandom(11);
  let [all, often, right] = [0, 0, 0];
  for (; all < 40_000; all++) {
    const truly = change * random.normal();
    const { better, chance } = differenceOf(random.normal(), truly + random.normal(), { higher: true, luck: 1 });
    if (certaintyOf(Math.max(chance!, 1 - chance!)) === 'too close to call') continue;
    often++;
    if (truly > 0 === better > 0) right++;
  }
  return { often: often / all, right: right / often };
}

test('where nothing changed, a change is hardly ever called likely; where something did, what is called so is so', () => {
  expect(said(0).often).toBeLessThan(0.05);
  for (const change of [0.5, 1]) expect(said(change).right).toBeGreaterThan(0.75);
});
