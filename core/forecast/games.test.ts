import { game, station, yd } from '../testing/make';
import { BallAt, exactScores, ksDistance, stepM } from '../testing/oracle';
import { plainEntrant } from '../game/entrant';
import { LIBRARY } from '../game/library';
import { schemeOf } from '../game/scoring';
import type { Ladder } from '../game/scoring/ladder';
import { gameSpecSchema, type GameSpec } from '../game/spec';
import { believe, type Belief } from '../skill/diagnose';
import { evidenceOf, hitterOf, madeUp } from '../made-up/players';
import { seededRandom } from '../math/random';
import { asTheLevel } from '../skill/parameters';
import { modelOf } from '../skill/model';
import type { Draw } from '../skill/posterior';
import { shippedReference } from '../golf/reference';
import { convolve, ofOutcomes, repeated, type Distribution } from './convolution';
import { playAll, playGames } from './games';
import { beliefOfLevel, playerOfLevel } from './levels';
import { chanceOf, outlookOf, quantile } from './outlook';
import { spotOf } from './spots';

const model = modelOf(shippedReference);
const GAMES = 20_000;
/** A sample of so many keeps within this of its distribution all but once in a million (Dvoretzky, Kiefer, Wolfowitz). */
const KS_BOUND = Math.sqrt(Math.log(2e6) / (2 * GAMES));

/** Every so many-th draw: enough to differ, few enough for exact sums. */
const thinned = ({ level, draws }: Belief, every: number): Belief => ({ level, draws: draws.filter((_, i) => i % every === 0) });

/** Somebody of whom all is known: the level's own curves. */
function certain(level: number): Belief {
  const prior = model.prior(level);
  const draw: Draw = asTheLevel(prior);
  return { level, draws: [draw] };
}
const library = (key: string) => LIBRARY.find((entry) => entry.key === key)!.spec;
const sd = (list: ArrayLike<number>) => {
  const mean = Array.from(list).reduce((a, b) => a + b, 0) / list.length;
  return Math.sqrt(Array.from(list).reduce((sum, x) => sum + (x - mean) ** 2, 0) / list.length);
};

describe('games that simply add up agree with the exact convolution', () => {
  const random = seededRandom(11);
  const truth = madeUp(model.cells, random);
  const { groups } = evidenceOf(hitterOf(truth, shippedReference, random), model.cells, shippedReference, 400, random);
  const played = believe({ groups }, model, truth.level);

  test.each([
    ['doorstep', 8],
    ['three-hoops', 8],
    ['roll-call', 8],
    ['sand-glass', 40],
    ['porch-light', 20],
    ['stepping-stones', 8],
    ['until-it-works', 8],
    ['weathervane', 400],
    ['short-long-swing', 400],
    ['reckoning', 50],
    ['bag-check', 50],
    ['no-neighbours', 50],
  ])('%s', (key, every) => {
    const spec = library(key);
    const lengths = schemeOf(spec.scoring).unit(spec.scoring) === 'length';
    const belief = thinned(played, every === 400 ? 1 : every);
    const exact = exactScores(spec, every === 400 ? thinned(played, 400) : belief, model);
    expect([...exact.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    const { scores } = playAll(spec, [{ entrant: plainEntrant('a', belief.level), belief }], model, { games: GAMES, seed: 3 });
    // Half a step: what was added up unrounded, against sums of rounded lengths.
    const step = 'farM' in spec.scoring && spec.scoring.farM !== null ? stepM(spec.scoring.farM) : 1;
    const steps = lengths ? scores[0]!.map((score) => score / step - 0.5) : scores[0]!;
    expect(ksDistance(steps, exact)).toBeLessThan(KS_BOUND);
  });

  test('against another game’s distribution the same check fails', () => {
    const spec = library('doorstep');
    const belief = thinned(played, 40);
    if (spec.scoring.scheme !== 'ring_points') throw new Error('rings');
    const [inner, ...outer] = spec.scoring.rings;
    const easier = { ...spec, scoring: { ...spec.scoring, rings: [{ ...inner!, points: inner!.points + 1 }, ...outer] } } as GameSpec;
    const { scores } = playAll(easier, [{ entrant: plainEntrant('a'), belief }], model, { games: GAMES, seed: 3 });
    expect(ksDistance(scores[0]!, exactScores(spec, belief, model))).toBeGreaterThan(KS_BOUND);
  });
});

/** A ladder of chips from the fairway whose rungs all succeed as often as given, for the level's own curves. */
function ladderOf(chances: readonly number[], more: Partial<Ladder> = {}): GameSpec {
  // One radius for all: each rung is as far as makes its chance.
  const prior = model.prior(10);
  const [only] = certain(10).draws;
  const radiusM = 2;
  const distanceFor = (chance: number) => {
    let [near, far] = [yd(2), yd(30)];
    for (let i = 0; i < 60; i++) {
      const middle = Math.sqrt(near * far);
      const spot = spotOf(station('x', { distanceM: middle }), prior, shippedReference);
      if (spot.putt) throw new Error('no putt');
      if (new BallAt(spot, prior, only!, 0).inside(radiusM) > chance) near = middle;
      else far = middle;
    }
    return near;
  };
  return gameSpecSchema.parse({
    ...game(),
    order: 'blocked',
    stations: chances.map((chance, i) => station(`s${i}`, { distanceM: distanceFor(chance), balls: 1 })),
    scoring: { scheme: 'ladder', radiusM, drop: 1, bottom: 'floor', counts: 'balls', mostBalls: 100, byTurns: false, ...more },
  });
}

/** The distribution of a ladder's score, by dynamic programming over the rung and the balls used. */
function ladderScores(chances: readonly number[], { drop, bottom, mostBalls }: Pick<Ladder, 'drop' | 'bottom' | 'mostBalls'>) {
  const rungs = chances.length;
  const scores = new Map<number, number>();
  const add = (score: number, p: number) => p > 0 && scores.set(score, (scores.get(score) ?? 0) + p);
  let at = new Map([[0, 1]]);
  for (let balls = 1; balls <= mostBalls; balls++) {
    const next = new Map<number, number>();
    const go = (rung: number, p: number) => next.set(rung, (next.get(rung) ?? 0) + p);
    for (const [rung, p] of at) {
      const up = p * chances[rung]!;
      if (rung + 1 === rungs) add(balls, up);
      else go(rung + 1, up);
      if (bottom === 'end' && drop > rung) add(mostBalls + rungs, p - up);
      else go(Math.max(0, rung - drop), p - up);
    }
    at = next;
  }
  for (const [rung, p] of at) add(mostBalls + rungs - rung, p);
  return scores;
}

describe('ladders', () => {
  test.each([
    [[0.7, 0.5, 0.3], { drop: 1, bottom: 'floor', mostBalls: 20 }],
    [[0.8, 0.6, 0.6, 0.4], { drop: 2, bottom: 'floor', mostBalls: 30 }],
    [[0.6, 0.5], { drop: 1, bottom: 'end', mostBalls: 12 }],
    [[0.5, 0.4, 0.4], { drop: 0, bottom: 'floor', mostBalls: 15 }],
  ] as const)('agree with dynamic programming: chances %j, %j', (chances, rules) => {
    const spec = ladderOf(chances, rules);
    const { scores } = playAll(spec, [{ entrant: plainEntrant('a', 10), belief: certain(10) }], model, {
      games: GAMES,
      seed: 5,
      formSd: 0,
    });
    expect(ksDistance(scores[0]!, ladderScores(chances, rules))).toBeLessThan(KS_BOUND);
  });

  test('with an even chance on each of n rungs it takes n(n + 1) balls on average: for three rungs 12', () => {
    // From rung k on E(k) = 1 + ½E(k + 1) + ½E(k − 1), from the floor E(0) = 1 + ½E(1) + ½E(0): E(0) = n(n + 1).
    for (const n of [2, 3]) {
      const spec = ladderOf(Array.from({ length: n }, () => 0.5));
      const { scores } = playAll(spec, [{ entrant: plainEntrant('a', 10), belief: certain(10) }], model, {
        games: GAMES,
        seed: 6,
        formSd: 0,
      });
      const mean = scores[0]!.reduce((a, b) => a + b, 0) / GAMES;
      expect(Math.abs(mean - n * (n + 1))).toBeLessThan((5 * sd(scores[0]!)) / Math.sqrt(GAMES));
    }
  });
});

test('duels agree with dynamic programming: first to two of at most five, equally near counts for nobody', () => {
  const spec = gameSpecSchema.parse({
    ...game(),
    order: 'blocked',
    stations: [station('a', { balls: 5, distanceM: yd(12) })],
    scoring: { scheme: 'nearest_wins', firstTo: 2, ties: 'nobody', callPoints: null, farM: 30 },
  });
  const [one, other] = [certain(4), certain(20)];
  // Who is nearer, by quadrature over the one's ball: equally near only where both are holed.
  const ball = ({ level, draws }: Belief) => {
    const prior = model.prior(level);
    return new BallAt(spotOf(spec.stations[0]!, prior, shippedReference), prior, draws[0]!, 0);
  };
  const [mine, theirs] = [ball(one), ball(other)];
  const STEPS = 4000;
  let wins = mine.holed() * (1 - theirs.holed());
  const inside = (r: number) => mine.inside(r);
  for (let i = 0; i < STEPS; i++) {
    const [lo, hi] = [Math.exp(-6 + (10 * i) / STEPS), Math.exp(-6 + (10 * (i + 1)) / STEPS)];
    wins += (inside(hi) - inside(lo)) * (1 - theirs.inside((lo + hi) / 2));
  }
  const both = mine.holed() * theirs.holed();
  const chance = { mine: wins, theirs: 1 - wins - both, nobody: both };

  let states = new Map([['0,0', 1]]);
  const ended = new Map<string, number>();
  for (let round = 0; round < 5; round++) {
    const next = new Map<string, number>();
    for (const [key, p] of states) {
      const [a, b] = key.split(',').map(Number) as [number, number];
      for (const [to, q] of [
        [[a + 1, b], chance.mine],
        [[a, b + 1], chance.theirs],
        [[a, b], chance.nobody],
      ] as const) {
        const into = to[0] === 2 || to[1] === 2 || round === 4 ? ended : next;
        into.set(to.join(), (into.get(to.join()) ?? 0) + p * q);
      }
    }
    states = next;
  }
  const players = [
    { entrant: plainEntrant('a', 4), belief: one },
    { entrant: plainEntrant('b', 20), belief: other },
  ];
  const { scores } = playAll(spec, players, model, { games: GAMES, seed: 8, formSd: 0 });
  for (const [key, p] of ended) {
    const [a, b] = key.split(',').map(Number);
    const share = Array.from(scores[0]!).filter((score, g) => score === a && scores[1]![g] === b).length / GAMES;
    expect(Math.abs(share - p)).toBeLessThan(5 * Math.sqrt((p * (1 - p)) / GAMES) + 1e-4);
  }
});

test('the spread is that of the distributions averaged over draws: averaging the chances first keeps the mean and is narrower', () => {
  const spec = gameSpecSchema.parse({ ...game(), stations: [station('a', { balls: 40, distanceM: yd(15) })] });
  const belief = beliefOfLevel(model, 15);
  const { scores } = playAll(spec, [{ entrant: plainEntrant('a', 15), belief }], model, { games: GAMES, seed: 2, formSd: 0 });
  const rings = spec.scoring.scheme === 'ring_points' ? spec.scoring.rings : [];
  const points = [6, 4, 2, 1, 0];
  const prior = model.prior(15);
  const chances = [0, 0, 0, 0, 0];
  for (const draw of belief.draws) {
    const ball = new BallAt(spotOf(spec.stations[0]!, prior, shippedReference), prior, draw, 0);
    const under = [0, ball.holed(), ...rings.map(({ radiusM }) => ball.inside(radiusM)), 1];
    chances.forEach((_, i) => (chances[i]! += (under[i + 1]! - under[i]!) / belief.draws.length));
  }
  const narrow: Distribution = repeated(ofOutcomes(points.map((value, i) => ({ value, p: chances[i]! }))), 40);
  const mean = narrow.p.reduce((sum, p, i) => sum + p * (narrow.from + i), 0);
  const narrowSd = Math.sqrt(narrow.p.reduce((sum, p, i) => sum + p * (narrow.from + i - mean) ** 2, 0));
  expect(outlookOf(spec, { scores, perfect: [new Uint8Array(GAMES)] }).mean).toBeCloseTo(mean, 0);
  expect(sd(scores[0]!)).toBeGreaterThan(1.3 * narrowSd);
  expect(convolve(narrow, { from: 0, p: Float64Array.of(1) }).p).toEqual(narrow.p);
});

test('chips drop as often as their cap says', () => {
  const spec = gameSpecSchema.parse({
    ...game(),
    stations: [station('a', { balls: 60, distanceM: yd(5) })],
    scoring: { scheme: 'hits', radiusM: 0 },
  });
  const belief = certain(0);
  const prior = model.prior(0);
  const rate = new BallAt(spotOf(spec.stations[0]!, prior, shippedReference), prior, belief.draws[0]!, 0).holed();
  const { scores } = playAll(spec, [{ entrant: plainEntrant('a', 0), belief }], model, { games: 4000, seed: 2, formSd: 0 });
  const holed = scores[0]!.reduce((a, b) => a + b, 0) / (4000 * 60);
  expect(rate).toBeGreaterThan(0.01);
  expect(Math.abs(holed - rate)).toBeLessThan(5 * Math.sqrt((rate * (1 - rate)) / (4000 * 60)) + 1 / 8192);
});

test('the same seed plays the same games, however it is broken up; another seed others', () => {
  const spec = library('three-hoops');
  const players = [playerOfLevel(spec, 10, model)];
  const steps = playGames(spec, players, model, { games: 12_000, seed: 4 });
  const seen: number[] = [];
  let step = steps.next();
  for (; !step.done; step = steps.next()) seen.push(step.value);
  expect(seen.length).toBeGreaterThan(1);
  expect(seen).toEqual([...seen].sort((a, b) => a - b));
  const again = playAll(spec, players, model, { games: 12_000, seed: 4 });
  expect(again.scores[0]).toEqual(step.value.scores[0]);
  expect(playAll(spec, players, model, { games: 12_000, seed: 9 }).scores[0]).not.toEqual(again.scores[0]);
});

test('two players of one level are two players: each wins as often, and their games differ', () => {
  const spec = library('doorstep');
  const players = [playerOfLevel(spec, 10, model), playerOfLevel(spec, 10, model)];
  const { scores } = playAll(spec, players, model, { games: GAMES, seed: 1 });
  const [a, b] = scores as [Float64Array, Float64Array];
  const [ma, mb] = [a, b].map((list) => list.reduce((x, y) => x + y, 0) / GAMES) as [number, number];
  const together = a.reduce((sum, score, g) => sum + (score - ma) * (b[g]! - mb), 0) / GAMES / (sd(a) * sd(b));
  expect(Math.abs(together)).toBeLessThan(0.06);
  expect(Math.abs(ma - mb)).toBeLessThan(0.3);
});

test('a better level scores more, in every library game', () => {
  for (const { spec } of LIBRARY.filter((entry) => entry.spec.stations.length > 0 && schemeOf(entry.spec.scoring).players === 1)) {
    const middle = (level: number) => {
      const player = playerOfLevel(spec, level, model);
      return playAll(spec, [{ ...player, entrant: plainEntrant('a', level) }], model, { games: 1500, seed: 1 }).scores[0]!.reduce(
        (a, b) => a + b,
        0,
      );
    };
    const better = schemeOf(spec.scoring).better(spec.scoring);
    // Where the par or the zones hang on the level they are the same for both here but for the par.
    expect(Math.sign(middle(2) - middle(26))).toBe(better === 'higher' ? 1 : -1);
  }
});

test('a perfect round that ends the game meets any goal; quantiles are scores that were scored', () => {
  const spec = gameSpecSchema.parse({
    ...game(),
    order: 'serial',
    stations: [station('a', { shotType: 'putt', surface: 'green', distanceM: 0.6, distanceUnit: 'ft', balls: 3 })],
    scoring: { scheme: 'hits', radiusM: 1 },
    rules: { endOnPerfectRound: true },
    goal: 3,
  });
  const played = playAll(spec, [playerOfLevel(spec, 5, model)], model, { games: 2000, seed: 1 });
  const perfect = played.perfect[0]!.reduce((a, b) => a + b, 0);
  expect(perfect).toBeGreaterThan(1900);
  // One hit is all that is scored in a perfect round of one ball.
  expect(quantile(Float64Array.from(played.scores[0]!).sort(), 0.5)).toBe(1);
  expect(chanceOf(spec, played, 3)).toBeGreaterThanOrEqual(perfect / 2000);
  expect(quantile([1, 2, 3, 4], 0.5)).toBe(2);
  expect(quantile([1, 2, 3, 4], 0.51)).toBe(3);
  expect([quantile([1, 2, 3, 4], 0), quantile([1, 2, 3, 4], 1)]).toEqual([1, 4]);
});

test('a shot is played at its own distance, in its own cell; a game without a station is refused', () => {
  const prior = model.prior(10);
  const far = spotOf(station('a', { distanceM: yd(40) }), prior, shippedReference);
  const near = spotOf(station('a', { distanceM: yd(25) }), prior, shippedReference);
  if (far.putt || near.putt) throw new Error('no putt');
  expect([far, near].map(({ cell }) => model.cells[cell]!.key)).toEqual(['chip|fairway|30', 'chip|fairway|20']);
  expect(far.mu).toBeGreaterThan(near.mu);
  // A buried ball leaves more, by what the lie costs.
  const clean = spotOf(station('a', { sit: 'down' }), prior, shippedReference);
  const flat = spotOf(station('a'), prior, shippedReference);
  expect(!clean.putt && !flat.putt && clean.mu - flat.mu).toBeCloseTo(0.18, 10);
  expect(() => playAll({ ...game(), stations: [] }, [playerOfLevel(game(), 10, model)], model, { games: 1, seed: 1 })).toThrow(RangeError);
});
