import fc from 'fast-check';
import { seededRandom } from '../math/random';
import { between, ft, holed, left, shot, yd } from '../testing/make';
import type { Shot } from '../shot/shot';
import { believe, diagnose, type Finding } from './diagnose';
import { gather, talliesOf, type Tally } from './evidence';
import { modelOf } from './model';
import { REVISION, versionOf } from './version';
import { packDraws, unpackDraws } from './posterior';
import { Reference, shippedReference as reference } from '../golf/reference';
import { ballsToSettle, losesMore, weakestOf } from '../board/settle';
import { neglectedOf, summaryOf } from '../board/summary';
import { levelTrouble, troubleOf } from './trouble';

const model = modelOf(reference);
const LEVEL = 14;
const NOW = new Date('2026-05-01T12:00:00Z');
const chip = { shotType: 'chip', surface: 'fairway', distanceM: yd(15), playedAt: '2026-04-30T10:00:00Z' } as const;
const many = <T>(n: number, of: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => of(i));
const known = (shots: readonly Shot[]) => gather(talliesOf(shots, NOW, null));
function diagnosed(shots: readonly Shot[], more: { par?: number[]; level?: number } = {}) {
  const evidence = known(shots);
  const level = more.level ?? LEVEL;
  return diagnose(model, believe(evidence, model, LEVEL), evidence, {
    level,
    mix: model.mix(LEVEL),
    ...(more.par ? { par: more.par } : {}),
  });
}
const find = ({ findings }: { findings: Finding[] }, key: string) => findings.find((finding) => finding.key === key)!;
const CHIP = 'chip|fairway|10';

test('without a ball every cell is about the level’s, and nothing is named', () => {
  const diagnosis = diagnosed([]);
  expect(diagnosis.findings).toHaveLength(model.cells.length);
  for (const { perShot, balls, lastAt } of diagnosis.findings) {
    expect(Math.abs(perShot.mean)).toBeLessThan(0.08);
    expect(perShot.interval80[0]).toBeLessThan(0);
    expect([balls, lastAt]).toEqual([0, null]);
  }
  expect(summaryOf(diagnosis, 'shot', 'level 14', 0).most).toMatch(/^No ball yet/);
});

test('a shot that is left far out is named first, with its balls and its day', () => {
  const shots = many(60, (i) => shot({ ...chip, stationKey: `s${i % 3}` }, left(28 + (i % 9))));
  const diagnosis = diagnosed(shots);
  const weakest = weakestOf(diagnosis, 'shot')!;
  const first = diagnosis.findings[weakest.first]!;
  expect(first).toMatchObject({ key: CHIP, balls: 60, lastAt: new Date(chip.playedAt) });
  expect(first.perShot.mean).toBeGreaterThan(0.2);
  expect(first.expectedStrokes).toBeCloseTo(first.referenceStrokes + first.perShot.mean, 12);
  expect(first.perRound.mean).toBeCloseTo(first.perShot.mean * first.uses, 12);
  expect(summaryOf(diagnosis, 'shot', 'level 14', 60).most).toMatch(
    /^Weakest: 10–20 yd chips from the fairway, 0\.\d\d lost a shot, \d+% (sure|likely)/,
  );
});

test('strokes are counted against another level, or against what is expected of each cell', () => {
  const shots = many(30, () => shot(chip, left(9)));
  const own = find(diagnosed(shots), CHIP);
  const better = find(diagnosed(shots, { level: 5 }), CHIP);
  expect(better.referenceStrokes).toBeLessThan(own.referenceStrokes);
  expect(better.perShot.mean).toBeGreaterThan(own.perShot.mean);
  // The same strokes either way: what is lost more is what the better level needs less, but for the putts that are left.
  expect(better.expectedStrokes).toBeCloseTo(own.expectedStrokes, 0);
  const par = diagnosed([]).findings.map(({ referenceStrokes }) => referenceStrokes - 0.5);
  const shifted = find(diagnosed(shots, { par }), CHIP);
  expect(shifted.perShot.mean).toBeCloseTo(own.perShot.mean + 0.5, 10);
  expect(shifted.expectedStrokes).toBeCloseTo(own.expectedStrokes, 10);
});

test('putts in which chips were finished count as putts; totals count all their balls; what is no evidence counts nothing', () => {
  const evidence = known([
    shot({ ...chip, strokes: 2 }, left(4)),
    shot({ ...chip, strokes: 3 }, left(6)),
    shot({ ...chip, nBalls: 5, sumLeftM: 8 }, { ...left(1), leftM: null }),
    shot({ ...chip, counts: 'rehit' }, left(40)),
    shot({ ...chip, counts: 'conceded', shotType: 'putt', surface: 'green', distanceM: ft(2) }, holed),
  ]);
  expect(evidence.cells.get(CHIP)?.balls).toBe(7);
  expect([...evidence.putts.values()].map(({ balls, holed: dropped }) => [balls, dropped]).sort()).toEqual([
    [1, 0],
    [1, 1],
  ]);
  expect(evidence.balls).toBe(9);
  // Two putts from 6 ft: missed, then made.
  expect(evidence.groups.find(({ kind }) => kind === 'putted')).toMatchObject({ value: 2, n: 1 });
});

test('balls landed in a zone and not measured say something; without a zone they say nothing', () => {
  const landing = shot({ ...chip, landed: true }, { ...left(1), leftM: null });
  const zone = gather(talliesOf([landing], NOW, null, () => ({ sizeM: 1.5, spotM: null, strip: false })));
  expect(zone.groups).toMatchObject([{ kind: 'landed', lo: 0, hi: 1.5 }]);
  expect(known([landing]).groups).toEqual([]);
});

describe('trouble', () => {
  const tally = (of: Shot): Tally => ({ ball: of, balls: 1, weight: 1, lastAt: NOW });
  test('a ball in the sand costs what the level needs from there beyond a putt of that length, and is shrunk', () => {
    const clean = many(19, () => tally(shot(chip, left(9))));
    const inSand = tally(shot({ ...chip, finish: 'sand' }, left(9)));
    const more = reference.shot(LEVEL, 'bunker', 'sand', ft(9))!.expectedStrokes - reference.putts(LEVEL, ft(9));
    // One of twenty, shrunk by 20 / (20 + 20).
    expect(troubleOf([...clean, inSand], LEVEL, reference, 0).mean).toBeCloseTo(more / 40, 10);
    expect(troubleOf(clean, LEVEL, reference, 0).mean).toBe(0);
    expect(troubleOf([], LEVEL, reference, 0)).toEqual({ mean: 0, sd: 0 });
  });

  test('a level pays for trouble too: nothing from the fringe, more from farther and with a weaker level', () => {
    const pays = (feet: number, level: number) => levelTrouble(Math.log(ft(feet)), level, reference);
    expect(pays(3, 10)).toBeLessThan(0.005);
    expect(pays(40, 10)).toBeGreaterThan(0.1);
    expect(pays(60, 10)).toBeGreaterThan(pays(40, 10));
  });

  test('a penalty counts its stroke; a cell without any mark is left as it is', () => {
    const penalty = tally(shot({ ...chip, penalty: 1 }, left(9)));
    expect(troubleOf([penalty], LEVEL, reference, 0).mean).toBeCloseTo(1 / 21, 10);
    expect(known([shot(chip, left(9))]).finishes.size).toBe(0);
    expect(known([shot(chip, left(9)), shot({ ...chip, finish: 'rough' }, left(20))]).finishes.get(CHIP)).toHaveLength(2);
  });

  test('a bladed shot out of play makes its cell worse', () => {
    const shots = many(20, () => shot(chip, left(9)));
    const bladed = [...shots, ...many(4, () => shot({ ...chip, finish: 'out', penalty: 1 }, { ...left(1), leftM: null }))];
    expect(find(diagnosed(bladed), CHIP).perShot.mean).toBeGreaterThan(find(diagnosed(shots), CHIP).perShot.mean + 0.1);
  });
});

describe('strange data', () => {
  const figures = (shots: Shot[]) =>
    diagnosed(shots).findings.flatMap(({ perShot, perRound }) => [perShot.mean, ...perShot.interval80, perRound.weakest3]);
  test.each([
    ['one shot', [shot(chip, left(9))]],
    ['only holed', many(40, () => shot(chip, holed))],
    ['only outside', many(40, () => shot(chip, between(30, null)))],
    ['only inside a foot', many(40, () => shot(chip, between(0, 1)))],
    ['far beyond any sense', many(5, () => shot(chip, left(900)))],
    ['5,000 shots of one cell', many(5000, (i) => shot(chip, left(3 + (i % 40) / 2)))],
    ['only missed short putts', many(60, () => shot({ ...chip, shotType: 'putt', surface: 'green', distanceM: ft(2) }, left(30)))],
    ['a putt from nowhere', [shot({ ...chip, shotType: 'putt', surface: 'green', distanceM: 0 }, holed)]],
    ['beyond the last band', [shot({ ...chip, distanceM: yd(140) }, left(9))]],
  ])('%s: figures, all of them finite', (_, shots) => {
    for (const figure of figures(shots)) expect(Number.isFinite(figure)).toBe(true);
  });

  test('all holed gains, all outside loses', () => {
    const at = (shots: Shot[]) => find(diagnosed(shots), CHIP).perShot.mean;
    expect(at(many(40, () => shot(chip, holed)))).toBeLessThan(-0.3);
    expect(at(many(40, () => shot(chip, between(30, null))))).toBeGreaterThan(0.3);
  });
});

test('a belief that was kept says the same to the last digit', () => {
  const belief = believe(known(many(20, () => shot(chip, left(9)))), model, LEVEL);
  const read = unpackDraws(new Float32Array(packDraws(belief.draws)), model.prior(LEVEL))!;
  expect(read).toEqual(belief.draws);
  expect(unpackDraws(new Float32Array(7), model.prior(LEVEL))).toBeNull();
  expect(unpackDraws(new Float32Array(0), model.prior(LEVEL))).toBeNull();
});

describe('telling two cells apart', () => {
  const flat = (value: number, spread: number, seed: number) => {
    const random = seededRandom(seed);
    return Float64Array.from({ length: 400 }, () => value + spread * random.normal());
  };
  const finding = (key: string, more: Partial<Finding> = {}) =>
    ({ ...find(diagnosed([]), key), perBall: 0.25, uses: 1, ...more }) as Finding;
  const two = (a: number, b: number) => ({
    findings: [finding(CHIP), finding('pitch|fairway|20')],
    lost: [flat(a, 0.05, 1), flat(b, 0.05, 2)],
  });

  test('the chance that one loses more is that of the draws', () => {
    expect(losesMore(two(0.3, 0), [1, 1], 0, 1)).toBeGreaterThan(0.99);
    expect(losesMore(two(0.1, 0.1), [1, 1], 0, 1)).toBeCloseTo(0.5, 1);
    // A tenth as often: 0.03 a round against 0.1.
    expect(losesMore(two(0.3, 0.1), [0.1, 1], 0, 1)).toBeLessThan(0.1);
  });

  test('balls to settle: fewer for a wide gap, none said for none', () => {
    const [wide, narrow] = [ballsToSettle(two(0.3, 0.1), 'shot', 0, 1)!, ballsToSettle(two(0.13, 0.1), 'shot', 0, 1)!];
    expect(wide).toBeLessThan(narrow);
    expect(ballsToSettle(two(0.1, 0.1), 'shot', 0, 1)).toBeNull();
    // By hand: both variances v, a gap of g: v/(1 + v·n·.6/.25²) · 2 · .8416² = g².
    const sampled = two(0.13, 0.1);
    const variance = (values: Float64Array) => {
      const mean = values.reduce((x, y) => x + y) / values.length;
      return [mean, values.reduce((x, y) => x + (y - mean) ** 2, 0) / values.length] as const;
    };
    const [[ma, va], [mb, vb]] = [variance(sampled.lost[0]!), variance(sampled.lost[1]!)];
    const after = (n: number) => [va, vb].reduce((x, v) => x + v / (1 + (v * n * 0.6) / 0.0625), 0) * 0.8416212335729143 ** 2;
    expect(after(narrow)).toBeLessThanOrEqual((ma - mb) ** 2);
    expect(after(narrow - 1)).toBeGreaterThan((ma - mb) ** 2);
  });
});

test('neglected is what comes up and was not played for four weeks, or never; the most used first', () => {
  const diagnosis = diagnosed([
    shot({ ...chip, playedAt: '2026-04-30T10:00:00Z' }, left(5)),
    shot({ ...chip, surface: 'fringe', playedAt: '2026-03-20T10:00:00Z' }, left(5)),
  ]);
  const neglected = neglectedOf(diagnosis.findings, NOW);
  expect(neglected.map(({ key }) => key)).not.toContain(CHIP);
  expect(neglected.map(({ key }) => key)).toContain('chip|fringe|10');
  expect(neglected[0]!.key).toBe('putt|green|0');
});

test('more or fewer balls of one place in one tally change nothing', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 12 }), (feet) => {
      const one = gather(
        talliesOf(
          feet.map((of) => shot(chip, left(of))),
          NOW,
          null,
        ),
      );
      const tallies = feet.map((of): Tally => ({ ball: shot(chip, left(of)), balls: 1, weight: 1, lastAt: NOW }));
      const merged = new Map<number, Tally>();
      tallies.forEach((tally, i) => {
        const held = merged.get(feet[i]!);
        if (held) Object.assign(held, { balls: held.balls + 1, weight: held.weight + 1 });
        else merged.set(feet[i]!, { ...tally });
      });
      const sorted = (groups: typeof one.groups) => groups.map((group) => JSON.stringify(group)).sort();
      expect(sorted(gather([...merged.values()]).groups)).toEqual(sorted(one.groups));
    }),
    { numRuns: 40 },
  );
});

test('what is believed is what the revision names: whoever changes it otherwise than by a constant raises REVISION', () => {
  const shots = [
    ...many(12, (i) => shot({ ...chip, stationKey: `s${i}` }, left(3 + i))),
    ...many(6, (i) =>
      shot({ ...chip, shotType: 'putt', surface: 'green', distanceM: ft(9), stationKey: `p${i}` }, i % 3 ? left(2) : holed),
    ),
    shot({ ...chip, strokes: 3 }, { ...left(1), leftM: null }),
  ];
  const draws = packDraws(believe(known(shots), model, LEVEL).draws);
  const sum = draws.reduce((all, value, i) => all + value * ((i % 17) - 8), 0);
  expect([REVISION, sum.toFixed(2)]).toEqual([4, '304.07']);
});

test('a reference that differs in one figure makes another model; the same one the same', () => {
  const rows = reference.table.map((row) => ({ ...row }));
  expect(versionOf(new Reference(rows))).toBe(model.version);
  rows[500]!.expected_strokes += 0.001;
  expect(modelOf(new Reference(rows)).version).not.toBe(model.version);
  expect(Number.isInteger(model.version) && Math.abs(model.version) <= 2 ** 31).toBe(true);
});
