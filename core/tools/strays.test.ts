import { makeCurve } from '../board/putting';
import { makeRate, referencePutting } from '../golf/putting';
import { shippedReference } from '../golf/reference';
import { evidenceOf, hitterOf, madeUp } from '../made-up/players';
import { seededRandom } from '../math/random';
import { believe } from '../skill/diagnose';
import { modelOf } from '../skill/model';
import { METRES_PER } from '../units/length';
import { asLevel, medianLeftOf, puttingFrom, spreadOf, straysOf } from './strays';

const model = modelOf(shippedReference);
const chipM = 12 * METRES_PER.yd;

/** What a made-up player's balls lead one to believe. */
function beliefOf(seed: number) {
  const player = madeUp(model.cells, seededRandom(seed), { level: 12 });
  const { groups } = evidenceOf(
    hitterOf(player, shippedReference, seededRandom(seed + 2)),
    model.cells,
    shippedReference,
    1500,
    seededRandom(seed + 1),
  );
  return believe({ groups }, model, 12);
}

test('somebody of whom nothing is known strays and putts as the level', () => {
  expect(medianLeftOf(asLevel(12), shippedReference, 'chip', 'fairway', chipM)).toBeCloseTo(
    shippedReference.shot(12, 'chip', 'fairway', chipM)!.medianLeftFt * METRES_PER.ft,
    9,
  );
  expect(puttingFrom(asLevel(12), 10)).toEqual(referencePutting(12));
});

test('what a belief comes to is small, and says the same of putts as the putting board', () => {
  for (const seed of [3, 8]) {
    const belief = beliefOf(seed);
    const strays = straysOf(belief, model);
    expect(JSON.stringify(strays).length).toBeLessThan(8000);
    for (const { distanceM, middle } of makeCurve(model, belief, 12)) {
      const ft = distanceM / METRES_PER.ft;
      expect(Math.abs(makeRate(puttingFrom(strays, ft), ft) - middle)).toBeLessThan(0.03);
    }
  }
});

test('of a shot it says what the draws say on average', () => {
  const belief = beliefOf(5);
  const strays = straysOf(belief, model);
  const cell = model.cells.findIndex(({ key }) => key === 'chip|fairway|10');
  const mean = belief.draws.reduce((sum, { delta }) => sum + delta[cell]!, 0) / belief.draws.length;
  const level = medianLeftOf(asLevel(12), shippedReference, 'chip', 'fairway', chipM);
  expect(medianLeftOf(strays, shippedReference, 'chip', 'fairway', chipM) / level).toBeCloseTo(Math.exp(mean), 2);
  // Whoever leaves it farther strays more, in proportion.
  const [own, usual] = [strays, asLevel(12)].map((of) => spreadOf(of, shippedReference, 'chip', 'fairway', chipM));
  expect(own! / usual!).toBeCloseTo(Math.exp(mean), 2);
});

test('of putts, and of shots that nobody plays, there is no median', () => {
  expect(() => medianLeftOf(asLevel(12), shippedReference, 'putt', 'green', 3)).toThrow(RangeError);
  expect(() => medianLeftOf(asLevel(12), shippedReference, 'bunker', 'fairway', chipM)).toThrow(RangeError);
});
