import { parseArgs } from 'node:util';
import { cellsOf } from '@/core/skill/cells';
import { fit } from '@/core/skill/fit';
import { Judge } from '@/core/skill/judge';
import { evidenceOf, trueStrokes } from '@/core/made-up/players';
import { drawsOf } from '@/core/skill/posterior';
import { priorOf } from '@/core/skill/prior';
import { ranksOf } from '@/core/skill/ranks';
import { shippedReference as reference } from '@/core/golf/reference';
import { calibration, someOf } from './calibration';
import { coverage } from './coverage';
import { GENERATORS, levelNeeds, makePlayer, type Generator, type Unevenness } from './made-up';
import { statements } from './statements';

/**
 * How well the model finds what is known of made-up players of both generators: `npm run bench:model -- --seed 1 --players 200`.
 * Twenty-four cells off the green and the six putt bands, unevenly filled, a quarter of the balls exact; then bias and coverage by kind of
 * record and balls in the cell; what is said with a probability, and how often it was so; and forecasts.
 */
const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    players: { type: 'string', default: '200' },
    balls: { type: 'string', default: '300,1000' },
    uneven: { type: 'string', default: '1' },
    off: { type: 'string', default: '0' },
    day: { type: 'string', default: '0.1' },
    games: { type: 'string', default: '2000' },
    generator: { type: 'string', default: 'both' },
    parts: { type: 'string', default: 'ranks,coverage,statements,forecasts' },
  },
});
const DRAWS = 400;
const all = cellsOf(reference);
const meanOf = (list: ArrayLike<number>) => Array.from(list).reduce((a, b) => a + b, 0) / list.length;

function placesOf(list: readonly number[]): number[] {
  const order = list.map((value, i) => ({ value, i })).sort((a, b) => a.value - b.value);
  const places = new Array<number>(list.length);
  order.forEach(({ i }, place) => (places[i] = place));
  return places;
}
function spearman(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [placesOf(a), placesOf(b)];
  const n = a.length;
  return 1 - (6 * x.reduce((sum, place, i) => sum + (place - y[i]!) ** 2, 0)) / (n * (n * n - 1));
}
const top3 = (list: readonly number[]) => placesOf(list).flatMap((place, i) => (place >= list.length - 3 ? [i] : []));
const shared = (a: readonly number[], b: readonly number[]) => top3(a).filter((i) => top3(b).includes(i)).length / 3;

/** Calibration: of all statements "among the three weakest" of about one probability, how many were true. */
const STEPS = 5;

const uneven: Unevenness = { factor: Number(values.uneven), daySd: Number(values.day) };
const [players, seed] = [Number(values.players), Number(values.seed)];
const generators = GENERATORS.filter((one) => values.generator === 'both' || values.generator === String(one));
const parts = values.parts.split(',');

function ranks(generator: Generator, balls: number): void {
  const sums = { spearman: 0, raw: 0, exact: 0, three: 0, weighted: 0, covered: 0, of: 0, fitMs: 0, judgeMs: 0, groups: 0 };
  const said = Array.from({ length: STEPS }, () => ({ of: 0, said: 0, was: 0 }));
  for (let p = 0; p < players; p++) {
    const { practising, ordinary, random } = makePlayer(generator, all, seed * 100_003 + p, uneven);
    const { level } = practising;
    const cells = someOf(all, random);
    const { groups, exactOnly, raw } = evidenceOf(practising, cells, reference, balls, random);
    const entered = level + Number(values.off) * (random.uniform() < 0.5 ? -1 : 1);
    const prior = priorOf(all, reference, entered);
    // What is lost is counted against the level that a player really has, as the generator plays it, whatever was entered.
    const judge = new Judge(prior, reference, level);
    const index = cells.map((cell) => prior.index.get(cell.key)!);
    const truth = trueStrokes(ordinary, cells, 4000).map((strokes, i) => strokes - levelNeeds(generator, cells[i]!, level));
    const uses = cells.map((cell) => reference.uses(level, cell.shotType, cell.surface, cell.distanceM));
    judge.lost(drawsOf(fit([], prior), 1, random));

    const started = performance.now();
    const fitted = fit(groups, prior);
    const between = performance.now();
    const everywhere = judge.lost(drawsOf(fitted, DRAWS, random));
    sums.fitMs += between - started;
    sums.judgeMs += performance.now() - between;
    sums.groups += groups.length;

    const lost = index.map((i) => everywhere[i]!);
    const found = ranksOf(lost);
    const onlyExact = judge.lost(drawsOf(fit(exactOnly, prior), DRAWS, random));
    const rawMeans = cells.map((_, i) => {
      const strokes = raw.filter((ball) => ball.cell === i).map((ball) => ball.strokes);
      return strokes.length === 0 ? 0 : meanOf(strokes) - judge.levelExpects(index[i]!);
    });
    const means = found.map((rank) => rank.mean);
    sums.spearman += spearman(means, truth);
    sums.raw += spearman(rawMeans, truth);
    const exactMeans = index.map((i) => meanOf(onlyExact[i]!));
    sums.exact += spearman(exactMeans, truth);
    // The three that are likeliest among the weakest: of all choices, the one that finds most.
    const chances = found.map(({ weakest3 }) => weakest3);
    sums.three += shared(chances, truth);
    const perRound = truth.map((one, i) => one * uses[i]!);
    const inRound = ranksOf(lost, uses).map(({ weakest3 }) => weakest3);
    sums.weighted += shared(inRound, perRound);
    const weakest = top3(truth);
    chances.forEach((chance, i) => {
      const step = said[Math.min(STEPS - 1, Math.floor(chance * STEPS))]!;
      step.of++;
      step.said += chance;
      if (weakest.includes(i)) step.was++;
    });
    found.forEach(({ interval80: [lo, hi] }, i) => {
      sums.of++;
      if (truth[i]! >= lo && truth[i]! <= hi) sums.covered++;
    });
  }
  const per = (sum: number) => (sum / players).toFixed(2);
  console.log(
    `generator ${generator}, ${balls} balls, ${players} players, seed ${seed}: Spearman ${per(sums.spearman)} ` +
      `(raw means ${per(sums.raw)}, exact only ${per(sums.exact)}), ` +
      `weakest 3 found ${per(sums.three)}, by round mix ${per(sums.weighted)}, 80% covers ${(sums.covered / sums.of).toFixed(2)}; ` +
      `fit ${per(sums.fitMs)} ms of ${(sums.groups / players).toFixed(0)} groups, ${DRAWS} draws judged ${per(sums.judgeMs)} ms`,
  );
  console.log(
    `  said among the 3 weakest, and was: ${said
      .filter((step) => step.of > 0)
      .map((step) => `${((100 * step.said) / step.of).toFixed(0)}% ${((100 * step.was) / step.of).toFixed(0)}% (n ${step.of})`)
      .join(' · ')}`,
  );
}

for (const generator of generators) {
  if (parts.includes('ranks')) for (const balls of values.balls.split(',').map(Number)) ranks(generator, balls);
  if (parts.includes('coverage')) coverage(generator, players, seed);
  if (parts.includes('statements')) statements(generator, players, seed);
}

// Forecasts made before games that were then played: `--games 0` leaves them out.
if (parts.includes('forecasts') && Number(values.games) > 0) calibration(Number(values.games), Number(values.balls.split(',')[0]), seed);
