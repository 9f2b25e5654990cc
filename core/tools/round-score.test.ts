import { greensHit } from '../golf/approach';
import { referencePutting } from '../golf/putting';
import { shippedReference } from '../golf/reference';
import { beliefOfLevel } from '../forecast/levels';
import { simulateShot, type PlayerTruth } from '../made-up/simulate';
import { quantile } from 'd3-array';
import { seededRandom, type Random } from '../math/random';
import { modelOf } from '../skill/model';
import { METRES_PER } from '../units/length';
import { extraOfLevel, HOLES, roundScore, takes, threePutts, upAndDown, withUpAndDown, type Round } from './round-score';
import { shortGameOfLevel, shortGames } from './short-game';
import { asLevel } from './strays';
import { usualHere } from './usual-here';

const model = modelOf(shippedReference);
const roundOf = (level: number): Round => {
  const game = shortGameOfLevel(model, level);
  return { greens: greensHit(level), extra: extraOfLevel(level, game), game };
};

test('a round that can be worked out by hand: 9 greens with two putts, 9 missed with up and down every other time', () => {
  const round: Round = { greens: 9, extra: 0, game: { near: [0, 0.5, 0.5, 0, 0], green: [0, 1, 0, 0] } };
  const { over, pars, bogeys, worse } = roundScore(round);
  // Each hole: ½·0 + ½·(½·0 + ½·1) = ¼ over par.
  expect(over).toBeCloseTo(4.5, 9);
  expect([pars, bogeys, worse].map((n) => Math.round(n * 1e6) / 1e6)).toEqual([13.5, 4.5, 0]);
  // Binomial of 18 and ¼: 8 in 10 from 2 to 7.
  expect(roundScore(round)).toMatchObject({ p10: 2, p90: 7 });
  // Five points more of up and down save .05 strokes on each of the 9.
  const better = { ...round, game: withUpAndDown(round.game, 0.55) };
  expect(roundScore(round).over - roundScore(better).over).toBeCloseTo(0.45, 9);
  expect(roundScore(round, 9).over).toBeCloseTo(2.25, 9);
});

test('up and downs, three putts and scores by level stand beside what is published', () => {
  const [tour, scratch, ten, ninety] = [-5, 0, 10, 18].map(roundOf) as [Round, Round, Round, Round];
  // All shots inside 100 yd, so somewhat under the rates from near the green: about 59, 50, 35 and 22%.
  const rates = [tour, scratch, ten, ninety].map(({ game }) => upAndDown(game));
  [0.59, 0.5, 0.35, 0.22].forEach((published, i) => {
    expect(rates[i]).toBeLessThan(published);
    expect(rates[i]).toBeGreaterThan(published - 0.09);
  });
  expect(threePutts(tour.game)).toBeLessThan(0.05);
  expect(roundScore(scratch).over).toBeLessThan(4.5);
  expect(roundScore(ten).over).toBeCloseTo(13.5, 4);
  expect(roundScore(ninety).over).toBeCloseTo(22, 4);
});

/** A level's short game over 18 holes, ball by ball, as players are made up elsewhere: nothing of the model, nothing of its tables. */
function playedRounds(level: number, rounds: number): { scores: number[]; upAndDown: number } {
  const truth: PlayerTruth = { level, putting: referencePutting(level), effects: {} };
  const random = seededRandom(77);
  const cells = shippedReference.table.filter((row) => row.level === level && row.uses_per_round > 0 && row.shot_type !== 'putt');
  const uses = cells.reduce((sum, row) => sum + row.uses_per_round, 0);
  const drawn = (r: Random) => {
    let at = r.uniform() * uses;
    return cells.find((row) => (at -= row.uses_per_round) <= 0) ?? cells[0]!;
  };
  const putt = (fromM: number): number => {
    let [strokes, left] = [0, fromM];
    while (left > 0 && strokes < 8) {
      const { holed, leftM } = simulateShot(
        truth,
        { shotType: 'putt', surface: 'green', distanceM: Math.max(0.15, left) },
        0,
        shippedReference,
        random,
      );
      left = holed ? 0 : leftM;
      strokes++;
    }
    return strokes;
  };
  const median = { '0': 19, '10': 21.8, '18': 24 }[String(level)]!;
  let [missed, saved] = [0, 0];
  const scores = Array.from({ length: rounds }, () => {
    let over = 0;
    for (let hole = 0; hole < HOLES; hole++) {
      if (random.uniform() < greensHit(level) / HOLES) {
        over += putt(median * METRES_PER.ft * Math.exp(0.75 * random.normal())) - 2;
        continue;
      }
      const row = drawn(random);
      let strokes = 1;
      let ball = simulateShot(
        truth,
        { shotType: row.shot_type, surface: row.surface, distanceM: row.distance * METRES_PER.yd },
        0,
        shippedReference,
        random,
      );
      // What stops far out may lie off the green: it is chipped again.
      while (!ball.holed && ball.leftM > 11 * Math.exp(0.35 * random.normal()) && strokes < 4) {
        ball = simulateShot(
          truth,
          { shotType: 'chip', surface: 'light_rough', distanceM: Math.min(30, ball.leftM) },
          0,
          shippedReference,
          random,
        );
        strokes++;
      }
      strokes += ball.holed ? 0 : putt(ball.leftM);
      missed++;
      if (strokes <= 2) saved++;
      over += strokes - 2;
    }
    return over;
  });
  return { scores, upAndDown: saved / missed };
}

test.each([0, 10, 18])('level %i: as 18 holes that were played ball by ball', (level) => {
  const game = shortGameOfLevel(model, level);
  const said = roundScore({ greens: greensHit(level), extra: 0, game });
  const { scores, upAndDown: saved } = playedRounds(level, 400);
  const mean = scores.reduce((a, b) => a + b, 0) / scores.length;
  expect(Math.abs(mean - said.over)).toBeLessThan(1);
  expect(Math.abs(saved - upAndDown(game))).toBeLessThan(0.035);
  const [p10, p90] = [quantile(scores, 0.1)!, quantile(scores, 0.9)!];
  expect(Math.abs(p10 - said.p10)).toBeLessThanOrEqual(1.5);
  expect(Math.abs(p90 - said.p90)).toBeLessThanOrEqual(1.5);
});

test('what a score takes, backwards: there it is, and no more than that', () => {
  const round = roundOf(10);
  const wanted = roundScore(round).over - 1.5;
  const { upAndDown: rate, greens } = takes(round, wanted);
  expect(roundScore({ ...round, game: withUpAndDown(round.game, rate!) }).over).toBeCloseTo(wanted, 4);
  expect(roundScore({ ...round, greens: greens! }).over).toBeCloseTo(wanted, 4);
  expect(takes(round, -18)).toEqual({ upAndDown: null, greens: null });
});

test('a player of whom nothing is known plays as the level, and each family as the level changes nothing much', () => {
  const { own, atLevel, draws } = shortGames(model, beliefOfLevel(model, 10), model.mix(10));
  const level = shortGameOfLevel(model, 10);
  expect(Math.abs(upAndDown(own) - upAndDown(level))).toBeLessThan(0.02);
  for (const family of Object.values(atLevel)) expect(Math.abs(upAndDown(family) - upAndDown(level))).toBeLessThan(0.03);
  expect(draws).toHaveLength(40);
  for (const { near, green } of [own, ...draws]) {
    expect(near.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
    expect(green.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
  }
});

test('what is usual from here: half stop inside the median, more inside wider circles', () => {
  const distanceM = 12 * METRES_PER.yd;
  const { medianM, inside, upAndDown: saved } = usualHere(asLevel(18), shippedReference, 'chip', 'fairway', distanceM, [1, 2, 3]);
  expect(medianM).toBeCloseTo(shippedReference.shot(18, 'chip', 'fairway', distanceM)!.medianLeftFt * METRES_PER.ft, 6);
  const shares = inside.map(({ share }) => share);
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  const [half] = usualHere(asLevel(18), shippedReference, 'chip', 'fairway', distanceM, [medianM]).inside;
  expect(half!.share).toBeCloseTo(0.5, 2);
  expect(saved).toBeGreaterThan(0.2);
  expect(saved).toBeLessThan(0.45);
});
