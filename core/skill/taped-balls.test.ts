import { seededRandom } from '../math/random';
import { someone, strikeBall } from '../testing/carry-and-run';
import { levelOf } from '../testing/plain';
import { fit } from './fit';
import { BLUR } from '../golf/blur';
import { addTo, binOf, placeOf, type BallGroup } from './groups';
import { modelOf } from './model';
import { drawsOf } from './posterior';
import { rankOfValues } from './ranks';
import { shippedReference as reference } from '../golf/reference';

/* A thousand taped balls of one cell, of players who do not play as the model thinks. `npm run bench:model` measures it at length. */
const LEVEL = 14;
const model = modelOf(reference);
const judge = model.judge(LEVEL, LEVEL);
const cell = model.cells.find(({ key }) => key === 'chip|light_rough|10')!;
const at = model.cells.indexOf(cell);
const level = levelOf(LEVEL);

test('a thousand taped balls are read without bias, and claim no more than the model can know', () => {
  const PLAYERS = 24;
  let [gap, held, said] = [0, 0, 0];
  for (let p = 0; p < PLAYERS; p++) {
    const random = seededRandom(300 + p);
    const who = someone(LEVEL, level, random);
    const groups = new Map<string, BallGroup>();
    let needs = 0;
    for (let n = 0; n < 1000; n++) {
      const { holed, leftM } = strikeBall(who, cell, 0, random);
      const base = { cell: cell.key, distanceM: placeOf(cell.distanceM), lo: 0, hi: 0, blur: 0, value: 0, lie: 0, spotM: 0 };
      addTo(groups, holed ? { ...base, kind: 'holed' } : { ...base, kind: 'between', ...binOf(leftM), blur: BLUR.tape }, 1);
    }
    const MANY = 8000;
    for (let n = 0; n < MANY; n++) {
      const { holed, leftM } = strikeBall(who, cell, 0, random);
      needs += (holed ? 1 : 1 + Math.max(1, reference.putts(LEVEL, leftM))) / MANY;
    }
    const values = judge.lost(drawsOf(fit([...groups.values()], model.prior(LEVEL)), 400, random))[at]!;
    const { mean, interval80 } = rankOfValues(values);
    const truth = needs - judge.levelExpects(at);
    gap += (mean - truth) / PLAYERS;
    if (truth >= interval80[0] && truth <= interval80[1]) held++;
    said += (interval80[1] - interval80[0]) / 2.563 / PLAYERS;
  }
  // The log-normal shape of before was .022 off with these players.
  expect(Math.abs(gap)).toBeLessThan(0.015);
  expect(held).toBeGreaterThanOrEqual(0.6 * PLAYERS);
  expect(said).toBeGreaterThan(0.013);
});
