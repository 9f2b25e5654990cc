import fc from 'fast-check';
import { familyOf } from '../golf/shot-types';
import { seededRandom } from '../math/random';
import { studentCdf } from '../math/student';
import { between, ft, holed, left, shot, yd } from '../testing/make';
import type { Shot } from '../shot/shot';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { onGround } from './ground';
import { insideOf } from './inside';
import { chanceLess, kindsOf, together } from './kinds';
import { modelOf } from '../skill/model';
import { dayWeight, sayChange, scoreChange, stretches } from './over-time';
import { makeBins, makeCurve, missesOf, puttingSkills, wilson80 } from './putting';
import { shippedReference as reference } from '../golf/reference';
import { sayCell, sayShots } from './say-cell';
import { chanceFewer, commonWeakness, helpIn, keptSkillsOf, skillsOf, squadPar, squadTable, togetherIn, type Skill } from './squad';

const LEVEL = 14;
const model = modelOf(reference);
const chip = { shotType: 'chip', surface: 'fairway', distanceM: yd(15) } as const;
const many = <T>(n: number, of: (i: number) => T): T[] => Array.from({ length: n }, (_, i) => of(i));
const inside = (shots: readonly Shot[]) => insideOf(shots, LEVEL, model);

describe('inside a cell', () => {
  test('the middle of the misses, its ellipse, and the word for it', () => {
    // Short by 2, 4, 6, 8, 10 ft straight on, and one two feet right of the hole.
    const shots = [...[2, 4, 6, 8, 10].map((feet) => shot(chip, left(feet, 180))), shot(chip, left(2, 90))];
    const { spread } = inside(shots);
    expect(spread!.of).toBe(6);
    expect(spread!.middle.beyond).toBeCloseTo(-ft(5), 10);
    expect(spread!.middle.right).toBeCloseTo(0, 10);
    expect(spread!.word).toEqual({ word: 'short', balls: 5, of: 6 });
    expect(spread!.ellipse!.long).toBeGreaterThan(spread!.ellipse!.short);
    expect(inside([shot(chip, left(4, 180))]).spread!.ellipse).toBeNull();
    expect(inside([shot(chip, between(3, 6))]).spread).toBeNull();
  });

  test('an ellipse along a diagonal is turned with it, and holds about two in three', () => {
    const random = seededRandom(3);
    const shots = many(4000, () => {
      const [along, across] = [2 * random.normal(), 0.5 * random.normal()];
      // Turned by 30° clockwise from the line of play.
      const [right, beyond] = [
        along * Math.sin(Math.PI / 6) + across * Math.cos(Math.PI / 6),
        along * Math.cos(Math.PI / 6) - across * Math.sin(Math.PI / 6),
      ];
      const bearing = ((Math.atan2(right, beyond) * 180) / Math.PI + 360) % 360;
      return { ...shot(chip, left(1, bearing)), leftM: Math.hypot(right, beyond) };
    });
    const { ellipse } = inside(shots).spread!;
    expect(Math.abs(ellipse!.turnDeg - 30)).toBeLessThan(2);
    const held = shots.filter(({ leftM, bearingDeg }) => {
      const turn = ((bearingDeg! - 30) * Math.PI) / 180;
      return ((leftM! * Math.cos(turn)) / ellipse!.long) ** 2 + ((leftM! * Math.sin(turn)) / ellipse!.short) ** 2 < 1;
    }).length;
    expect(held / shots.length).toBeGreaterThan(0.64);
    expect(held / shots.length).toBeLessThan(0.69);
  });

  test('clubs are ranked, few balls near the cell’s own mean, and the chance grows with the balls', () => {
    const of = (n: number) =>
      inside([
        ...many(n, (i) => shot({ ...chip, clubLabel: '50' }, left(4 + (i % 3)))),
        ...many(n, (i) => shot({ ...chip, clubLabel: '60' }, left(14 + (i % 3)))),
      ]);
    const [few, some, more] = [of(2).clubs, of(6).clubs, of(40).clubs];
    expect(few.choices.map(({ name, balls }) => [name, balls])).toEqual([
      ['50', 2],
      ['60', 2],
    ]);
    expect(more.versus).toMatchObject({ better: '50', worse: '60' });
    // Of two balls each nothing is said.
    expect(few.versus!.chance).toBeNull();
    expect(more.versus!.chance!).toBeGreaterThan(some.versus!.chance!);
    expect(more.choices[1]!.lost - more.choices[0]!.lost).toBeGreaterThan(few.choices[1]!.lost - few.choices[0]!.lost);
    expect(inside(many(5, () => shot({ ...chip, clubLabel: '50' }, left(4)))).clubs.versus).toBeNull();
  });

  test('the same station, low and high, is a pair; other stations are none', () => {
    const at = (stationKey: string, trajectory: 'low' | 'high', feet: number) => shot({ ...chip, stationKey, trajectory }, left(feet));
    const shots = many(8, (i) => [at(`s${i}`, 'low', 4), at(`s${i}`, 'high', 12)]).flat();
    const { pairs } = inside([...shots, at('alone', 'low', 1)]);
    expect(pairs!.pairs).toBe(8);
    expect(pairs!.mean).toBeGreaterThan(0);
    expect(pairs!.chanceHighBetter).toBeLessThan(0.02);
    expect(inside([at('a', 'low', 4), at('b', 'high', 4)]).pairs).toBeNull();
  });

  test('up and down: how many in two, and whether the chip or the putt cost more', () => {
    const { upAndDown } = inside([
      shot({ ...chip, strokes: 2 }, left(4)),
      shot({ ...chip, strokes: 3 }, left(2)), // a putt of two feet missed
      shot({ ...chip, strokes: 3 }, left(30)), // thirty feet left, two putts
      shot({ ...chip, strokes: 1 }, holed),
    ]);
    expect(upAndDown).toEqual({ balls: 4, inTwo: 2, shot: 1, putt: 1 });
    expect(inside([shot(chip, left(4))]).upAndDown).toBeNull();
  });

  test('mishits, balls that stayed off the green, and what was intended are counted of those that say it', () => {
    const found = inside([
      shot({ ...chip, mishit: 'fat', finish: 'fringe' }, left(30)),
      shot({ ...chip, finish: 'green', intendedM: yd(13), landingErrorM: -1 }, left(4)),
      shot({ ...chip, intendedM: yd(15), landingErrorM: 0.5 }, left(4)),
    ]);
    expect(found.mishits).toEqual({ fat: 1, thin: 0, shank: 0 });
    expect(found.offGreen).toEqual({ balls: 1, of: 2 });
    expect(found.intended!.balls).toBe(2);
    expect(found.intended!.meanM).toBeCloseTo(-yd(1), 6);
    expect(found.landing).toEqual({ balls: 2, meanM: -0.25 });
  });
});

describe('over time', () => {
  test('Student’s t: values of the tables', () => {
    // Of published tables: 90%, 95% and 97.5% points.
    expect(studentCdf(3.0777, 1)).toBeCloseTo(0.9, 4);
    expect(studentCdf(2.92, 2)).toBeCloseTo(0.95, 4);
    expect(studentCdf(2.5706, 5)).toBeCloseTo(0.975, 4);
    expect(studentCdf(1.8125, 10)).toBeCloseTo(0.95, 4);
    expect(studentCdf(-1.8125, 10)).toBeCloseTo(0.05, 4);
    expect(studentCdf(0, 7)).toBe(0.5);
    expect(() => studentCdf(1, 0)).toThrow(RangeError);
  });

  test('scores: better which way, not with two, not where all are alike', () => {
    const up = scoreChange([10, 12, 11, 13], [18, 20, 19, 21], 'higher')!;
    expect([up.before, up.since, up.of]).toEqual([11.5, 19.5, [4, 4]]);
    expect(up.chanceBetter).toBeGreaterThan(0.95);
    expect(scoreChange([10, 12, 11, 13], [18, 20, 19, 21], 'lower')!.chanceBetter).toBeCloseTo(1 - up.chanceBetter, 12);
    expect(scoreChange([10, 12, 11], [11, 10, 12], 'higher')!.chanceBetter).toBeCloseTo(0.5, 12);
    expect(scoreChange([10, 12], [18, 20, 30], 'higher')).toBeNull();
    expect(scoreChange([10, 10, 10], [12, 12, 12], 'higher')).toBeNull();
  });

  test('a change is said by its probability, and never surer than 99%', () => {
    expect(sayChange(0.5)).toBe('too close to call');
    expect(sayChange(0.8)).toBe('probably better (80%), not certain yet');
    expect(sayChange(0.04)).toBe('probably worse (96%), not certain yet');
    expect(sayChange(0.02)).toBe('worse (98% sure), a real change');
    expect(sayChange(1)).toContain('99% sure');
  });

  test('balls of one session weigh less than as many of many', () => {
    // 1/(1 + 29 · .04)
    expect(dayWeight(60, 2)).toBeCloseTo(1 / 2.16, 12);
    expect([dayWeight(5, 5), dayWeight(0, 0)]).toEqual([1, 1]);
  });

  test('stretches cover all the time, twelve at most, and those that are over stay as they are', () => {
    const DAY = 86_400_000;
    const of = (days: number) => stretches(new Date(0), new Date(days * DAY));
    expect([0, 20, 21, 63, 168, 175, 1000].map((days) => of(days).length)).toEqual([1, 1, 2, 5, 12, 6, 9]);
    const ends = (days: number) => of(days).map(({ to }) => to.getTime() / DAY);
    expect(ends(63)).toEqual([14, 28, 42, 56, 63]);
    expect(ends(60)).toEqual([14, 28, 42, 60]);
    expect(ends(70).slice(0, 4)).toEqual(ends(63).slice(0, 4));
    for (const days of [0, 20, 63, 1000]) {
      const parts = of(days);
      expect(parts[0]!.from.getTime()).toBe(0);
      expect(parts.at(-1)!.to.getTime()).toBe(days * DAY);
      for (let i = 1; i < parts.length; i++) expect(parts[i]!.from).toEqual(parts[i - 1]!.to);
    }
  });

  test('the chance that one is less than another is that of all pairs', () => {
    expect(chanceLess(Float64Array.from([1, 2]), Float64Array.from([1.5, 3]))).toBe(0.75);
    expect(chanceLess(new Float64Array(0), Float64Array.from([1]))).toBe(0.5);
    expect(familyOf('lob')).toBe('pitching');
  });
});

describe('putting', () => {
  const putt = (feet: number, result: Parameters<typeof shot>[1]) =>
    shot({ shotType: 'putt', surface: 'green', distanceM: ft(feet) }, result);
  test('Wilson’s interval, and what was seen by band', () => {
    // z² = 1.6424: the middle (.5 + 1.6424/20)/1.16424 = .5, half of it 1.2816/1.16424·√(.025 + 1.6424/400) = .1878.
    const [low, high] = wilson80(5, 10);
    expect(low).toBeCloseTo(0.3122, 3);
    expect(high).toBeCloseTo(0.6878, 3);
    expect(wilson80(0, 8)[0]).toBe(0);
    const shots = [...many(6, () => putt(4, holed)), ...many(4, () => putt(4, left(1))), putt(30, left(2))];
    const bins = makeBins(gather(talliesOf(shots, new Date('2027-01-01'), null)));
    expect(bins.map(({ holed: dropped, balls }) => [dropped, balls])).toEqual([
      [6, 10],
      [0, 1],
    ]);
  });

  test('the curve falls with distance; who misses wide has a wider line, who runs past a wider pace', () => {
    const belief = (shots: Shot[]) => believe(gather(talliesOf(shots, new Date('2027-01-01'), null)), model, LEVEL);
    const curve = makeCurve(model, belief([]), LEVEL);
    for (let i = 1; i < curve.length; i++) expect(curve[i]!.level).toBeLessThan(curve[i - 1]!.level);
    // Long putts left two yards away say pace; short ones missed by a foot say line.
    const pace = puttingSkills(model, belief(many(40, () => putt(30, left(8)))), LEVEL);
    expect(pace.pace.mean).toBeGreaterThan(pace.pace.level * 1.2);
    const line = puttingSkills(model, belief(many(40, (i) => putt(6, i % 4 ? left(1) : holed))), LEVEL);
    expect(line.line.mean).toBeGreaterThan(line.line.level * 1.2);
  });

  test('misses by their direction', () => {
    const misses = missesOf([putt(10, left(1, 180)), putt(10, left(1, 180)), putt(10, left(1, 90)), putt(10, left(2)), putt(10, holed)])!;
    expect(misses).toMatchObject({ of: 3, short: 2, left: 0 });
    expect(misses.paceOff).toBeCloseTo(Math.sqrt(2 / 3) / 10, 6);
    expect(missesOf([putt(10, left(2))])).toBeNull();
  });
});

describe('a squad', () => {
  const NOW = new Date('2027-01-01');
  const member = (name: string, shots: Shot[], level = LEVEL) => {
    const evidence = gather(talliesOf(shots, NOW, null));
    const diagnosis = diagnose(model, believe(evidence, model, level), evidence, { level, mix: model.mix(level) });
    const weights = model.cells.map(({ key }) => model.mix(level).get(key)!);
    return { name, skills: skillsOf(diagnosis, weights, true) };
  };
  const chips = (feet: number) => many(40, (i) => shot({ ...chip, stationKey: `s${i % 5}` }, left(feet + (i % 5))));

  test('who is weak at the same could practise together, who needs fewest strokes could help', () => {
    const squad = squadTable(model.cells, [
      member('Aoife', chips(40)),
      member('Bo', chips(44)),
      member('Cleo', chips(2)),
      member('Dag', []),
    ]);
    const at = squad.kinds.findIndex(({ key }) => key === 'chip|fairway');
    expect(squad.common[at]).toMatchObject({ players: 3, weak: 2 });
    expect(commonWeakness(squad)).toBe(at);
    expect(togetherIn(squad)).toEqual([{ kind: at, names: ['Aoife', 'Bo'] }]);
    expect(helpIn(squad).map(({ helper, helped }) => `${helper} ${helped}`)).toEqual(['Cleo Aoife', 'Cleo Bo']);
    // Of several who are surely better, the one whose level is nearest.
    const more = squadTable(model.cells, [member('Aoife', chips(25)), member('Cleo', chips(2), 12), member('Zoe', chips(1), 2)]);
    expect(helpIn(more).filter(({ helped }) => helped === 'Aoife')).toMatchObject([{ helper: 'Cleo' }]);
  });

  test('somebody who is good for a weak level does not teach somebody who is better', () => {
    // Both leave the same; against level 28 that is a gain, against level 2 a loss.
    const squad = squadTable(model.cells, [member('strong', chips(9), 2), member('weak', chips(9), 28)]);
    expect(helpIn(squad)).toEqual([]);
  });

  test('of any squad whoever could help is the nearest in level of all who surely need fewer strokes, and what the squad loses is a plain mean', () => {
    const kinds = kindsOf(model.cells).length;
    // As they are kept, to a ten-thousandth of a stroke.
    const tenThousandths = (min: number, max: number) => fc.integer({ min, max }).map((n) => n / 1e4);
    const skill = fc.record({
      mean: tenThousandths(-4000, 6000),
      sd: tenThousandths(1, 2000),
      interval80: fc.constant<[number, number]>([0, 0]),
      balls: fc.constantFrom(0, 12),
      level: fc.constantFrom(2.2, 2.5, 2.9),
    });
    const squad = fc.array(fc.array(skill, { minLength: kinds, maxLength: kinds }), { minLength: 1, maxLength: 9 });
    fc.assert(
      fc.property(squad, (all) => {
        const members = all.map((skills, i) => ({ name: `P${i}`, skills }));
        const table = squadTable(model.cells, members);
        const help = new Map(helpIn(table).map((one) => [one.helped, one]));
        for (const [i, { name, skills }] of members.entries()) {
          const losing = skills.map(({ mean, balls }) => (balls > 0 && mean > 0 ? mean : -1));
          const worst = Math.max(...losing);
          const kind = worst < 0 ? undefined : losing.indexOf(worst);
          expect(table.weakest[i]![0]).toBe(kind);
          const chanceOf = (other: Skill) =>
            chanceFewer(other, { ...skills[kind!]!, mean: skills[kind!]!.mean + skills[kind!]!.level - other.level });
          const gapOf = (other: Skill) => Math.abs(other.level - skills[kind!]!.level);
          const sure = kind === undefined ? [] : all.map((of) => of[kind]!).filter((of) => of.balls > 0 && chanceOf(of) > 0.9 + 1e-9);
          const helper = members.find((member) => member.name === help.get(name)?.helper)?.skills[kind!];
          if (sure.length > 0) expect(gapOf(helper!)).toBeLessThanOrEqual(Math.min(...sure.map(gapOf)));
          if (helper) expect([help.get(name)!.chance, chanceOf(helper) > 0.9 - 1e-9]).toEqual([chanceOf(helper), true]);
        }
        for (const [k, { mean: average, players, weak }] of table.common.entries()) {
          const played = all.map((of) => of[k]!).filter(({ balls }) => balls > 0);
          expect([players, weak]).toEqual([played.length, table.weakest.filter((list) => list.includes(k)).length]);
          expect(average).toBeCloseTo(played.reduce((sum, { mean: one }) => sum + one, 0) / Math.max(1, played.length), 10);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('who needs fewer strokes is told from means and deviations as it is from all draws', () => {
    const judged = [chips(40), chips(9), chips(3), chips(20).slice(0, 6), []].map((shots) => {
      const evidence = gather(talliesOf(shots, NOW, null));
      return diagnose(model, believe(evidence, model, LEVEL), evidence, { level: LEVEL, mix: model.mix(LEVEL) });
    });
    const weights = model.cells.map(() => 1);
    const kinds = kindsOf(model.cells);
    const off: number[] = [];
    for (const [a, b] of judged.flatMap((one) => judged.map((other) => [one, other] as const)))
      for (const [k, { cells }] of kinds.entries()) {
        const draws = [a, b].map(({ lost }) => together(lost, cells, weights)) as [Float64Array, Float64Array];
        const skills = [a, b].map((one) => skillsOf(one, weights, false)[k]!) as [Skill, Skill];
        off.push(Math.abs(chanceLess(...draws) - chanceFewer(...skills)));
      }
    expect(off.length).toBe(25 * kinds.length);
    expect(Math.max(...off)).toBeLessThan(0.06);
    expect(off.reduce((sum, one) => sum + one, 0) / off.length).toBeLessThan(0.015);
    // By hand: one deviation of √(3² + 4²) = 5 apart, then none at all.
    expect(chanceFewer({ mean: 0, sd: 3 }, { mean: 5, sd: 4 })).toBeCloseTo(0.8413, 4);
    expect([1, 2, 3].map((mean) => chanceFewer({ mean, sd: 0 }, { mean: 2, sd: 0 }))).toEqual([1, 0.5, 0]);
  });

  test('what is kept of a squad: averages of two, whose deviations add up as squares, and what they need on average', () => {
    const skill = (mean: number, sd: number): Skill => ({ mean, sd, interval80: [mean, mean], balls: 9, level: 2 });
    const table = squadTable(model.cells.slice(0, 1), [
      { name: 'Aoife', skills: [skill(0.1, 0.3)] },
      { name: 'Bo', skills: [skill(0.3, 0.4)] },
    ]);
    // √(0.3² + 0.4²)/2 = 0.25, times 1.2816.
    expect(table.common[0]!.mean).toBeCloseTo(0.2, 10);
    expect(table.common[0]!.interval80[1]).toBeCloseTo(0.2 + 0.3204, 4);
    expect([
      squadPar([
        [2, 3],
        [3, 3],
      ]),
      squadPar([]),
    ]).toEqual([[2.5, 3], null]);
    const evidence = gather(talliesOf(chips(9), NOW, null));
    const mix = model.mix(LEVEL);
    const diagnosis = diagnose(model, believe(evidence, model, LEVEL), evidence, { level: LEVEL, mix });
    const {
      shot: shots,
      round,
      expected,
    } = keptSkillsOf(
      diagnosis,
      model.cells.map(({ key }) => mix.get(key)!),
    );
    expect([shots.length, round.length, expected.length]).toEqual([kindsOf(model.cells).length, shots.length, model.cells.length]);
    for (const [i, { expectedStrokes }] of diagnosis.findings.entries()) expect(expected[i]).toBeCloseTo(expectedStrokes, 3);
  });

  test('nobody, and nothing in common', () => {
    expect(commonWeakness(squadTable(model.cells, []))).toBeNull();
    expect(commonWeakness(squadTable(model.cells, [member('Dag', [])]))).toBeNull();
  });

  test('several cells together are the sum of their draws by weight', () => {
    const lost = [Float64Array.from([1, 2]), Float64Array.from([10, 20]), Float64Array.from([5, 5])];
    expect([...together(lost, [0, 1], [2, 0.5, 9])]).toEqual([7, 14]);
    expect(kindsOf(model.cells).flatMap(({ cells }) => cells)).toHaveLength(model.cells.length);
  });
});

test('cells as a coach names them', () => {
  const named = (key: string) => sayCell(model.cells.find((cell) => cell.key === key)!);
  expect(
    ['putt|green|6', 'pitch|light_rough|20', 'bunker|sand|0', 'chip|fringe|0', 'bump_and_run|bare|10', 'putt|green|40'].map(named),
  ).toEqual([
    '6–10 ft putts',
    '20–30 yd pitches from light rough',
    '0–10 yd bunker shots',
    '0–10 yd chips from the fringe',
    '10–20 yd bump and runs from bare ground',
    '40+ ft putts',
  ]);
  expect(sayShots({ shotType: 'fringe_putt', surface: 'fairway' })).toBe('putts from the fairway');
});

test('on firm ground as many shots come up, more of them from bare ground, and the putts stay', () => {
  const mix = Object.fromEntries(model.mix(LEVEL));
  const firm = onGround(model.cells, mix, 'firm');
  const sum = (of: Record<string, number>) => Object.values(of).reduce((a, b) => a + b, 0);
  expect(sum(firm)).toBeCloseTo(sum(mix), 9);
  expect(firm['chip|bare|10']!).toBeGreaterThan(2 * mix['chip|bare|10']!);
  expect(firm['putt|green|6']).toBe(mix['putt|green|6']);
});
