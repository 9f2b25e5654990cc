import { seededRandom } from '../math/random';
import { between, ft, holed, left, shot, yd } from '../testing/make';
import type { Shot } from '../shot/shot';
import { modelOf } from '../skill/model';
import { shippedReference as reference } from '../golf/reference';
import { simulateShot } from '../made-up/simulate';
import { referencePutting } from '../golf/putting';
import { cellKey } from '../skill/cells';
import { LEAST_BALLS, LEAST_PAIRS, pairsOf, rankingOf } from './choices';

const LEVEL = 14;
const model = modelOf(reference);
const chip = { shotType: 'chip', surface: 'light_rough', distanceM: yd(15) } as const;
const byClub = ({ clubLabel }: Shot) => clubLabel;
const rank = (shots: readonly Shot[]) => rankingOf(shots, byClub, LEVEL, model);
const many = <T>(n: number, of: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => of(i));
const hit = (club: string, feet: number) => shot({ ...chip, clubLabel: club }, left(feet));

test('of three balls against one, and of seven clubs with one each, nothing is claimed', () => {
  const three = rank([...many(3, () => hit('56', 3)), hit('60', 25)]);
  expect(three.versus).toMatchObject({ better: '56', worse: '60', chance: null });
  const seven = rank(many(7, (i) => hit(`club ${i}`, 2 + 4 * i)));
  expect(seven.choices).toHaveLength(7);
  expect(seven.versus!.chance).toBeNull();
  // And they are drawn together: the best and the worst differ by little of what the balls did.
  expect(seven.choices.at(-1)!.lost - seven.choices[0]!.lost).toBeLessThan(0.2);
});

test('from five balls each on a chance is said, and it grows with the balls and with the gap', () => {
  const chance = (n: number, feet: number) => rank([...many(n, () => hit('56', 6)), ...many(n, () => hit('60', feet))]).versus!.chance;
  expect(chance(LEAST_BALLS - 1, 14)).toBeNull();
  const [few, more, many50] = [chance(LEAST_BALLS, 14)!, chance(15, 14)!, chance(50, 14)!];
  expect(few).toBeGreaterThan(0.5);
  expect(few).toBeLessThan(0.95);
  expect(more).toBeGreaterThan(few);
  expect(many50).toBeGreaterThan(more);
  expect(chance(15, 9)!).toBeLessThan(more);
});

test('clubs that are alike are called the best at random: what is said of the luckiest of six is true about as often as said', () => {
  const random = seededRandom(8);
  const truth = { level: LEVEL, putting: referencePutting(LEVEL), effects: {} };
  let [said, cases] = [0, 0];
  for (let n = 0; n < 60; n++) {
    const balls = many(6, (i) => i).flatMap((club) =>
      many(8, () => {
        const { holed: dropped, leftM } = simulateShot(truth, chip, 0, reference, random);
        return shot({ ...chip, clubLabel: `club ${club}` }, dropped ? holed : { ...left(1), leftM });
      }),
    );
    said += rank(balls).versus!.chance!;
    cases++;
  }
  // Best against worst of six that are the same club: whatever is said is half true, and so it must not be much.
  expect(said / cases).toBeLessThan(0.8);
});

test('every kind of record counts: rings, strokes and holed balls rank clubs as distances do', () => {
  const records: Readonly<Record<string, [good: Shot[], bad: Shot[]]>> = {
    rings: [
      many(20, () => shot({ ...chip, clubLabel: '56' }, between(0, 5))),
      many(20, () => shot({ ...chip, clubLabel: '60' }, between(12, null))),
    ],
    strokes: [
      many(20, () => shot({ ...chip, clubLabel: '56', strokes: 2 }, { ...holed, holed: false })),
      many(20, () => shot({ ...chip, clubLabel: '60', strokes: 3 }, { ...holed, holed: false })),
    ],
  };
  for (const [kind, [good, bad]] of Object.entries(records)) {
    const { versus } = rank([...bad, ...good]);
    expect([kind, versus]).toMatchObject([kind, { better: '56', worse: '60' }]);
    expect(versus!.chance!).toBeGreaterThan(0.9);
  }
});

test('putters are compared by what they hole; balls that name no club, and a single club, rank nothing', () => {
  const putt = { shotType: 'putt', surface: 'green', distanceM: ft(6) } as const;
  const missed: Parameters<typeof shot>[1] = { ...holed, holed: false };
  const putters = rank([
    ...many(30, (i) => shot({ ...putt, clubLabel: 'blade' }, i % 3 ? holed : missed)),
    ...many(30, (i) => shot({ ...putt, clubLabel: 'mallet' }, i % 5 ? missed : holed)),
  ]);
  expect(putters.versus).toMatchObject({ better: 'blade', worse: 'mallet' });
  expect(putters.versus!.chance!).toBeGreaterThan(0.9);
  expect(rank(many(9, () => hit('56', 4)))).toEqual({ choices: [], versus: null });
  expect(rank(many(9, () => shot({ ...chip, clubLabel: null }, left(4))))).toEqual({ choices: [], versus: null });
});

test('what is lost is in the strokes of the cell: about the level’s own for balls that are the level’s', () => {
  const median = reference.shot(LEVEL, chip.shotType, chip.surface, chip.distanceM)!.medianLeftFt;
  const spread = [0.3, 0.55, 0.8, 1, 1.25, 1.6, 2.2];
  const { choices } = rank(many(28, (i) => hit(i % 2 ? '56' : '60', median * spread[Math.floor(i / 2) % 7]!)));
  for (const { lost, sd } of choices) {
    expect(Math.abs(lost)).toBeLessThan(0.08);
    expect(sd).toBeGreaterThan(0);
  }
  expect(model.prior(LEVEL).index.has(cellKey(chip.shotType, chip.surface, chip.distanceM))).toBe(true);
});

test('low and high from one station are pairs: few say nothing, and the station’s own luck drops out', () => {
  const at = (stationKey: string, trajectory: 'low' | 'high', feet: number) => shot({ ...chip, stationKey, trajectory }, left(feet));
  const pairs = (n: number) => pairsOf(many(n, (i) => [at(`s${i}`, 'low', 4), at(`s${i}`, 'high', 11)]).flat(), LEVEL, model)!;
  expect(pairs(LEAST_PAIRS - 1)).toMatchObject({ pairs: LEAST_PAIRS - 1, chanceHighBetter: null });
  expect(pairs(12).mean).toBeGreaterThan(0);
  expect(pairs(30).chanceHighBetter!).toBeLessThan(pairs(12).chanceHighBetter!);
  // Turned round, the chances add up to one.
  const turned = pairsOf(many(12, (i) => [at(`s${i}`, 'high', 4), at(`s${i}`, 'low', 11)]).flat(), LEVEL, model)!;
  expect(turned.chanceHighBetter! + pairs(12).chanceHighBetter!).toBeCloseTo(1, 6);
  expect(pairsOf([at('a', 'low', 4), at('b', 'high', 4)], LEVEL, model)).toBeNull();
});
