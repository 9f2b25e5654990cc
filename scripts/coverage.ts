import { fit } from '@/core/skill/fit';
import { modelOf } from '@/core/skill/model';
import { evidenceOf, MIXED, trueStrokes, type Kinds } from '@/core/made-up/players';
import { drawsOf } from '@/core/skill/posterior';
import { rankOfValues } from '@/core/skill/ranks';
import { shippedReference as reference } from '@/core/golf/reference';
import { levelNeeds, makePlayer, type Generator } from './made-up';
import { isPutt } from '@/core/golf/shot-types';

/*
 * Bias and coverage by the number of balls in a cell and by the kind of record: players who keep one kind only play twelve
 * cells off the green and all putts, some of them a thousand times, and twelve more not at all.
 */
const KINDS: Readonly<Record<string, Kinds>> = {
  exact: { exact: 1, ring: 0, circle: 0, strokes: 0 },
  rings: { exact: 0, ring: 1, circle: 0, strokes: 0 },
  circle: { exact: 0, ring: 0, circle: 1, strokes: 0 },
  strokes: { exact: 0, ring: 0, circle: 0, strokes: 1 },
  mixed: MIXED,
};
const EDGES = [0, 1, 11, 51, 201, 1001];
const NAMES = ['0', '1-10', '11-50', '51-200', '201-1,000'];
const BALLS = [150, 1500, 4000];
const DRAWS = 400;

type Sum = { of: number; covered: number; gap: number; squares: number; said: number };
const none = (): Sum => ({ of: 0, covered: 0, gap: 0, squares: 0, said: 0 });

/** Prints the table of one generator, and says which of its lines fall short. */
export function coverage(generator: Generator, players: number, seed: number, only?: string): void {
  const model = modelOf(reference);
  const table = new Map(Object.keys(KINDS).map((kind) => [kind, NAMES.map(none)]));
  const putts = new Map(Object.keys(KINDS).map((kind) => [kind, NAMES.map(none)]));
  const others = model.cells.filter(({ shotType, inRound }) => !isPutt(shotType) && inRound);
  for (let p = 0; p < players; p++) {
    const { practising, ordinary, random } = makePlayer(generator, model.cells, seed * 100_003 + 7 * p);
    const chosen = others
      .map((cell) => ({ cell, at: random.uniform() }))
      .sort((a, b) => a.at - b.at)
      .slice(0, 24)
      .map(({ cell }) => cell);
    const cells = [...chosen, ...model.cells.filter(({ shotType }) => isPutt(shotType))];
    const played = cells.slice(12);
    const prior = model.prior(practising.level);
    const judge = model.judge(practising.level, practising.level);
    const needs = trueStrokes(ordinary, cells, 5000);
    for (const [kind, kinds] of Object.entries(KINDS)) {
      if (only && only !== kind) continue;
      const { groups, balls } = evidenceOf(practising, played, reference, BALLS[p % BALLS.length]!, random, { kinds, shareSd: 1.2 });
      const lost = judge.lost(drawsOf(fit(groups, prior), DRAWS, random));
      cells.forEach((cell, c) => {
        const at = prior.index.get(cell.key)!;
        const count = c < 12 ? 0 : balls[c - 12]!;
        const bin = EDGES.findLastIndex((edge) => count >= edge);
        if (bin >= NAMES.length) return;
        const { mean, interval80 } = rankOfValues(lost[at]!);
        const truth = needs[c]! - levelNeeds(generator, cell, practising.level);
        const sum = (isPutt(cell.shotType) ? putts : table).get(kind)![bin]!;
        sum.of++;
        if (truth >= interval80[0] && truth <= interval80[1]) sum.covered++;
        sum.gap += mean - truth;
        sum.squares += (mean - truth) ** 2;
        sum.said += (interval80[1] - interval80[0]) / 2.563;
      });
    }
  }
  for (const [what, sums] of [
    ['off the green', table],
    ['putts', putts],
  ] as const) {
    console.log(`\ngenerator ${generator}, ${players} players, seed ${seed}, ${what}: by kind of record and balls in the cell`);
    console.log('kind      balls      cases   bias  80% covers   off by   said');
    for (const [kind, bins] of sums)
      bins.forEach(({ of, covered, gap, squares, said }, i) => {
        if (of < 20) return;
        const cover = covered / of;
        const short = Math.abs(gap / of) > 0.01 || cover < 0.7 || cover > 0.9 ? '  ←' : '';
        console.log(
          `${kind.padEnd(9)} ${NAMES[i]!.padEnd(10)} ${String(of).padStart(5)} ${(gap / of).toFixed(3).padStart(6)}  ${cover.toFixed(2).padStart(10)} ${Math.sqrt(
            squares / of,
          )
            .toFixed(3)
            .padStart(8)} ${(said / of).toFixed(3).padStart(6)}${short}`,
        );
      });
  }
}
