import { parseArgs } from 'node:util';
import { seededRandom } from '@/core/math/random';
import { cellsOf } from '@/core/skill/cells';
import { fit } from '@/core/skill/fit';
import { evidenceOf, madeUp, trueLost, type Unevenness } from '@/core/skill/players';
import { drawsOf, Judge } from '@/core/skill/posterior';
import { priorOf } from '@/core/skill/prior';
import { shippedReference as reference } from '@/core/skill/reference';

/**
 * How well the model finds what is known of made-up players: `npm run bench:model -- --seed 1 --players 200`. Twenty-four
 * cells off the green and the six putt bands, unevenly filled, a quarter of the balls exact.
 */
const { values } = parseArgs({
  options: {
    seed: { type: 'string', default: '1' },
    players: { type: 'string', default: '200' },
    balls: { type: 'string', default: '300,1000' },
    uneven: { type: 'string', default: '1' },
    off: { type: 'string', default: '0' },
    day: { type: 'string', default: '0.1' },
  },
});
const DRAWS = 400;
const all = cellsOf(reference);

function ranksOf(list: readonly number[]): number[] {
  const order = list.map((value, i) => ({ value, i })).sort((a, b) => a.value - b.value);
  const ranks = new Array<number>(list.length);
  order.forEach(({ i }, rank) => (ranks[i] = rank));
  return ranks;
}
function spearman(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [ranksOf(a), ranksOf(b)];
  const n = a.length;
  return 1 - (6 * x.reduce((sum, rank, i) => sum + (rank - y[i]!) ** 2, 0)) / (n * (n * n - 1));
}
const top3 = (list: readonly number[]) =>
  list
    .map((value, i) => ({ value, i }))
    .sort((a, b) => b.value - a.value)
    .slice(0, 3)
    .map(({ i }) => i);
const shared = (a: readonly number[], b: readonly number[]) => top3(a).filter((i) => top3(b).includes(i)).length / 3;
const meanOf = (list: ArrayLike<number>) => Array.from(list).reduce((a, b) => a + b, 0) / list.length;

const uneven: Unevenness = { factor: Number(values.uneven), daySd: Number(values.day) };
for (const balls of values.balls.split(',').map(Number)) {
  const sums = { spearman: 0, raw: 0, exact: 0, three: 0, weighted: 0, covered: 0, of: 0, fitMs: 0, groups: 0 };
  const players = Number(values.players);
  for (let p = 0; p < players; p++) {
    const random = seededRandom(Number(values.seed) * 100_003 + p);
    const off = all.filter((cell) => cell.shotType !== 'putt');
    const chosen = off
      .map((cell) => ({ cell, at: random.uniform() }))
      .sort((a, b) => a.at - b.at)
      .slice(0, 24)
      .map(({ cell }) => cell);
    const cells = [...chosen, ...all.filter((cell) => cell.shotType === 'putt')];
    const player = madeUp(cells, random, uneven);
    const truth = trueLost(player, cells, reference, 4000, random);
    const { groups, exactOnly, raw } = evidenceOf(player, cells, reference, balls, random, uneven);
    const entered = player.level + Number(values.off) * (random.uniform() < 0.5 ? -1 : 1);
    const prior = priorOf(all, reference, entered);
    const judge = new Judge(prior, reference, entered);
    const index = cells.map((cell) => all.indexOf(cell));
    const started = performance.now();
    const fitted = fit(groups, prior);
    sums.fitMs += performance.now() - started;
    sums.groups += groups.length;
    const lost = judge.lost(drawsOf(fitted, DRAWS, random));
    const means = index.map((i) => meanOf(lost[i]!));
    const onlyExact = judge.lost(drawsOf(fit(exactOnly, prior), DRAWS, random));
    const uses = cells.map((cell) => reference.uses(player.level, cell.shotType, cell.surface, cell.distanceM));
    const rawMeans = cells.map((_, i) => {
      const balls = raw.filter((ball) => ball.cell === i);
      const level =
        judge.prior.cells[index[i]!]!.shotType === 'putt' ? reference.putts(entered, cells[i]!.distanceM) : judge.expected(index[i]!, 0, 0);
      return balls.length === 0 ? 0 : meanOf(balls.map((ball) => ball.strokes)) - level;
    });
    sums.spearman += spearman(means, truth);
    sums.raw += spearman(rawMeans, truth);
    sums.exact += spearman(
      index.map((i) => meanOf(onlyExact[i]!)),
      truth,
    );
    sums.three += shared(means, truth);
    sums.weighted += shared(
      means.map((one, i) => one * uses[i]!),
      truth.map((one, i) => one * uses[i]!),
    );
    index.forEach((i, c) => {
      const sorted = Float64Array.from(lost[i]!).sort();
      const [lo, hi] = [sorted[Math.floor(0.1 * DRAWS)]!, sorted[Math.floor(0.9 * DRAWS)]!];
      sums.of++;
      if (truth[c]! >= lo && truth[c]! <= hi) sums.covered++;
    });
  }
  const per = (sum: number) => (sum / players).toFixed(2);
  console.log(
    `${balls} balls, ${players} players: Spearman ${per(sums.spearman)} (raw means ${per(sums.raw)}, exact only ${per(sums.exact)}), ` +
      `weakest 3 found ${per(sums.three)}, by round mix ${per(sums.weighted)}, 80% covers ${(sums.covered / sums.of).toFixed(2)}, ` +
      `fit ${per(sums.fitMs)} ms of ${(sums.groups / players).toFixed(0)} groups`,
  );
}
