import { METRES_PER } from '../units/length';
import { shippedReference } from '../golf/reference';
import { USUAL_BAG } from '../golf/usual-bag';
import { greenPlanSchema } from '../green/plan';
import { startShape } from '../green/shapes';
import type { Point } from '../geometry/point';
import { seededRandom } from '../math/random';
import { shotsOver, type Strike } from '../physics/shot';
import { lands, solveShot } from '../physics/solve';
import { missParts, usualSpotM } from '../skill/landing';
import { landingPlaceSchema, shotFor, USUAL_PLACE, type LandingPlace } from './landing-place';
import { optionsOf, playOver, UNMEASURED_RUN, type Player } from './landing-options';
import { routesOf, sameRoute } from './landing-routes';
import { carryByRule, usualParts } from './rule-of-thumb';
import { runFactor } from './run-factor';
import { sayAimOff } from './say-landing';
import { ERRORS, medianOfSpread, spreadFrom } from './spread';
import { asLevel, spreadOf } from './strays';
import { strokesAfter } from './strokes-after';
import { placeOn, terrainOf, terrainOn } from './terrain';

const yd = (yards: number) => yards * METRES_PER.yd;
const place = (change: Partial<LandingPlace>): LandingPlace => landingPlaceSchema.parse({ ...USUAL_PLACE, ...change });

function playerOf(level: number, at: LandingPlace): Player {
  const spread = spreadOf(asLevel(level), shippedReference, shotFor(at), at.lie, at.distanceM);
  return { spread, run: UNMEASURED_RUN, after: strokesAfter(shippedReference, level), paceM: yd(1), clubM: null };
}
const answers = (at: LandingPlace, level = 10) => optionsOf({ place: at, clubs: USUAL_BAG, player: playerOf(level, at) }, terrainOf(at));
const shots = (at: LandingPlace, level = 10) => answers(at, level).flatMap((one) => (one.answer === 'found' ? [one] : []));

test('half of an even spread lies within 1.1774 standard deviations, of one along a line within 0.6745', () => {
  expect(medianOfSpread(2, 2)).toBeCloseTo(2 * 1.1774, 2);
  expect(medianOfSpread(1, 1e-3)).toBeCloseTo(0.6745, 1);
});

test('errors that stand for all add up, with a standard deviation of 1', () => {
  expect(ERRORS.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 9);
  expect(ERRORS.reduce((sum, { z, p }) => sum + p * z * z, 0)).toBeCloseTo(1, 1);
});

test('a spread gives back the median that it was made of', () => {
  // Balls drawn with it, by the same three parts but a generator of their own.
  const [distanceM, left] = [yd(15), 2.4];
  const spread = spreadFrom(left, 'chip', distanceM);
  const { along, across } = missParts(distanceM, usualSpotM('chip', distanceM));
  const random = seededRandom(5);
  const lefts = Array.from({ length: 20_000 }, () => Math.hypot(random.normal() * spread * along, random.normal() * spread * across));
  expect(lefts.toSorted((a, b) => a - b)[10_000]).toBeCloseTo(left, 1);
});

test('every club and flight is answered, the fewest strokes first', () => {
  const all = answers(USUAL_PLACE);
  expect(all).toHaveLength(7 * 3);
  const strokes = all.map((one) => (one.answer === 'found' ? one.chances.strokes : 99));
  expect(strokes).toEqual(strokes.toSorted((a, b) => a - b));
});

test('the strokes of a plain chip stand beside the reference’s', () => {
  for (const level of [0, 10, 18]) {
    const [best] = shots(USUAL_PLACE, level);
    const expected = shippedReference.shot(level, 'chip', 'fairway', USUAL_PLACE.distanceM)!.expectedStrokes;
    expect(Math.abs(best!.chances.strokes - expected)).toBeLessThan(0.12);
  }
});

test('landing a pace long is farther, a pace short is shorter, and by more the more it runs', () => {
  for (const shot of shots(USUAL_PLACE)) {
    if (shot.pace.longM !== null) expect(shot.pace.longM).toBeGreaterThan(0.5);
    if (shot.pace.shortM !== null) expect(shot.pace.shortM).toBeLessThan(-0.5);
    expect(shot.carries.fromM).toBeLessThan(shot.carryM);
    expect(shot.carries.toM).toBeGreaterThan(shot.carryM);
    expect(shot.speed.moreM!).toBeGreaterThan(0);
    expect(shot.speed.lessM!).toBeLessThan(0);
    expect(shot.carryM + shot.runM).toBeCloseTo(USUAL_PLACE.distanceM, 6);
  }
  const [high, low] = [
    shots(USUAL_PLACE).find((shot) => shot.club.label === '58°')!,
    shots(USUAL_PLACE).find((shot) => shot.club.label === '9 iron' && shot.pace.longM !== null)!,
  ];
  expect(low.pace.longM!).toBeGreaterThan(high.pace.longM!);
});

test('a level that strays more needs more strokes, and misses the green more often', () => {
  const at = place({ distanceM: yd(25), edgeM: yd(14), beyondM: yd(5) });
  const [better, worse] = [shots(at, 0)[0]!, shots(at, 24)[0]!];
  expect(worse.chances.strokes).toBeGreaterThan(better.chances.strokes);
  expect(worse.chances.offGreen).toBeGreaterThan(better.chances.offGreen);
  expect(worse.chances.within).toBeLessThan(better.chances.within);
});

test('sand has no answer in figures; rough before the green takes the low shots away', () => {
  const sand = place({ lie: 'sand' });
  expect(optionsOf({ place: sand, clubs: USUAL_BAG, player: playerOf(10, USUAL_PLACE) }, terrainOf(sand))).toEqual([]);
  const rough = answers(place({ lie: 'heavy_rough', edgeM: yd(7), distanceM: yd(12) }));
  expect(rough.some(({ answer }) => answer === 'cannot_hold')).toBe(true);
});

test('too steep for the speed of the green: no shot stops', () => {
  expect(shots(place({ slope: -0.1, stimpFt: 11 }))).toEqual([]);
});

test('on a side slope it says how far beside the hole to aim; for a left-hander a ball above the feet starts right', () => {
  expect(sayAimOff({ driftM: 0.05, pullDeg: 0 }, 10, 'right', 'imperial')).toBeNull();
  expect(sayAimOff({ driftM: 0.6096, pullDeg: 0 }, 10, 'right', 'imperial')).toBe(
    'Aim about 2 ft left of the hole: the slope takes it right.',
  );
  // tan 7.36° · 10 m = 1.29 m.
  const above = { driftM: 0, pullDeg: 7.36 };
  expect(sayAimOff(above, 10, 'right', 'metric')).toBe('Aim about 1.3 m right of the hole: a ball above your feet starts left.');
  expect(sayAimOff(above, 10, 'left', 'metric')).toBe('Aim about 1.3 m left of the hole: a ball above your feet starts right.');
  // 1.29 m left and 0.8 m right come to 0.49 m left.
  expect(sayAimOff({ ...above, driftM: 0.8 }, 10, 'right', 'metric')).toBe(
    'Aim about 0.5 m right of the hole: a ball above your feet starts left, and the slope takes it right.',
  );
});

test('a side slope, a ball that sits down and a downhill stance are in the answer', () => {
  const [plain] = shots(USUAL_PLACE);
  const same = (at: LandingPlace) => shots(at).find(({ club, flight }) => club.label === plain!.club.label && flight === plain!.flight)!;
  const across = same(place({ sideSlope: 0.03 }));
  expect(across.driftM).toBeLessThan(-0.2);
  expect(across.carryM).toBeCloseTo(plain!.carryM, 2);
  // What is missed by in pace bends more or less: a little more is left.
  expect(across.chances.medianLeftM).toBeGreaterThan(plain!.chances.medianLeftM);
  expect(same(place({ sit: 'down' })).carryM).toBeLessThan(plain!.carryM);
  expect(same(place({ stance: 'downhill' })).apexM).toBeLessThan(plain!.apexM);
  expect(same(place({ stance: 'ball_below' })).pullDeg).toBeLessThan(0);
});

test('what is wrong with a place is said beside its field', () => {
  const wrong = (change: object) => landingPlaceSchema.safeParse({ ...USUAL_PLACE, ...change }).error?.issues[0];
  expect(wrong({ edgeM: 12 })).toMatchObject({
    path: ['edgeM'],
    message: 'The green begins before the hole: enter less than the distance.',
  });
  expect(wrong({ stimpFt: 2 })).toMatchObject({ path: ['stimpFt'] });
  expect(wrong({ lie: 'green' })).toMatchObject({ path: ['lie'] });
});

describe('on a plan', () => {
  const mirrored = ([x, y]: Point): Point => [-x, y];
  const turned = ([x, y]: Point): Point => [-y, x];
  /** A green with a bunker to the front left, on which it falls to the upper right. */
  const make = (by: (at: Point) => Point, towardsDeg: number) =>
    greenPlanSchema.parse({
      format: 'inch-green',
      version: 1,
      title: 'Trial',
      outline: startShape('oval', 20, 14).map(by),
      fringeM: 1,
      areas: [
        {
          key: 'a1',
          kind: 'sand',
          outline: (
            [
              [-9, -12],
              [-2, -12],
              [-2, -8],
              [-9, -8],
            ] as Point[]
          ).map(by),
        },
      ],
      holes: [{ key: 'h1', label: 'A', at: by([-3, 2]) }],
      slope: { by: 'fall', towardsDeg, percent: 2 },
      stimpFt: 9,
      firmness: 'medium',
    });
  const [ball, hole]: [Point, Point] = [
    [-4, -16],
    [-3, 2],
  ];
  const answer = (plan: ReturnType<typeof make>, by: (at: Point) => Point) => {
    const at = placeOn(plan, by(ball), by(hole), { lie: 'light_rough', sit: 'clean', stance: 'flat' });
    const terrain = terrainOn(plan, by(ball), by(hole));
    const player = { ...playerOf(10, at), run: { k: 1.1, from: 1, to: 1.2 } };
    const options = optionsOf({ place: at, clubs: USUAL_BAG, player }, terrain);
    const best = options[0]!;
    return { at, options, routes: routesOf(at, terrain, best, player, true) };
  };
  const plain = answer(
    make((at) => at, 45),
    (at) => at,
  );

  test.each([
    ['mirrored', mirrored, 315, -1],
    ['turned by a quarter', turned, 315, 1],
  ] as const)('%s it has the same answers', (_name, by, towardsDeg, side) => {
    const other = answer(make(by, towardsDeg), by);
    expect(other.at).toEqual(
      Object.fromEntries(
        Object.entries({ ...plain.at, sideSlope: side * plain.at.sideSlope }).map(([key, value]) => [
          key,
          typeof value === 'number' ? (expect.closeTo(value, 4) as number) : value,
        ]),
      ),
    );
    const said = (options: typeof plain.options) =>
      options
        .map((one) =>
          one.answer === 'found'
            ? `${one.club.label} ${one.flight} ${one.carryM.toFixed(1)}`
            : `${one.club.label} ${one.flight} ${one.answer}`,
        )
        .toSorted();
    expect(said(other.options)).toEqual(said(plain.options));
    const aside = by === mirrored ? -1 : 1;
    expect(other.routes.careful!.aim.rightDeg).toBe(aside * plain.routes.careful!.aim.rightDeg || 0);
  });

  test('a bunker on the line catches balls, and by the careful route more stay on the green', () => {
    const { bold, careful } = plain.routes;
    expect(bold!.chances.sand).toBeGreaterThan(0.02);
    expect(careful!.chances.offGreen).toBeLessThan(bold!.chances.offGreen);
    expect(sameRoute({ bold, careful })).toBe(false);
  });

  test('its line of ground is what the plan has, to a millimetre', () => {
    const stretches = terrainOn(
      make((at) => at, 45),
      ball,
      hole,
    ).lineTo(0);
    expect(stretches.map(({ surface }) => surface)).toEqual([
      'light_rough',
      'sand',
      'light_rough',
      'fringe',
      'green',
      'fringe',
      'light_rough',
    ]);
    // The line runs at an angle of atan(1/18) and meets the bunker from y = −12 to −8, 4 to 8 m up.
    const steep = Math.hypot(1, 18) / 18;
    expect(stretches[0]!.toM).toBeCloseTo(4 * steep, 2);
    expect(stretches[1]!.toM).toBeCloseTo(8 * steep, 2);
  });
});

test('a place in a few figures lies the same to the left and to the right; the careful way is then at most a length', () => {
  const at = place({ beyondM: yd(2), distanceM: yd(14), edgeM: yd(8) });
  const player = playerOf(18, at);
  const terrain = terrainOf(at);
  const { bold, careful } = routesOf(at, terrain, answers(at, 18)[0]!, player, false);
  expect(bold!.aim.rightDeg).toBe(0);
  expect(careful!.aim.rightDeg).toBe(0);
  expect(careful!.chances.offGreen).toBeLessThanOrEqual(bold!.chances.offGreen + 0.005);
});

test('a rule of thumb: three parts of run to one of carry over 16 yd lands 4 yd away; the more loft, the fewer parts', () => {
  expect(carryByRule(16, 3)).toBe(4);
  expect(usualParts(46)).toBe(3);
  const parts = [34, 38, 42, 46, 50, 54, 58, 62].map(usualParts);
  expect(parts).toEqual(parts.toSorted((a, b) => b - a));
});

describe('how far somebody’s balls run', () => {
  const at = USUAL_PLACE;
  const play = playOver(at, terrainOf({ ...at, edgeM: 0.01, fringeM: 0 }), 0);
  const strike: Strike = { loftDeg: 50, flight: 'medium', lie: 'fairway' };
  const balls = (k: number, n: number, seed: number, sd = 0.25) => {
    const random = seededRandom(seed);
    return Array.from({ length: n }, () => {
      const carryM = 4 + 4 * random.uniform();
      const solved = solveShot(play, strike, carryM, lands);
      if (solved.answer !== 'found') throw new Error(solved.answer);
      const run = solved.shot.finishM! - solved.shot.carryM;
      return { carryM, finishM: carryM + k * run * Math.exp(sd * random.normal()), play, strike };
    });
  };

  test('nobody’s balls are the model’s', () => {
    expect(runFactor([])).toMatchObject({ k: 1, balls: 0 });
  });

  test('a made-up factor lies within its range about 8 times in 10, and few balls are drawn to the model', () => {
    for (const k of [0.7, 1, 1.5]) {
      let covered = 0;
      for (let seed = 1; seed <= 60; seed++) {
        const found = runFactor(balls(k, 30, seed));
        if (found.from <= k && k <= found.to) covered++;
      }
      expect(covered / 60).toBeGreaterThan(0.6);
    }
    const few = runFactor(balls(1.6, 3, 4, 0));
    expect(few.k).toBeCloseTo(Math.sqrt(1.6), 1);
  });

  test('it never leaves what is possible', () => {
    expect(runFactor(balls(9, 40, 3, 0)).k).toBe(2.5);
    expect(runFactor(balls(0.15, 40, 3, 0)).k).toBe(0.4);
  });
});

test('what is sent to a line of ground is refused without a stretch', () => {
  expect(() => shotsOver({ stretches: [], stimpFt: 9, firmness: 'soft' })).toThrow('no stretch');
});
