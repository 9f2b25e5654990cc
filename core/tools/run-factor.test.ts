import { seededRandom } from '../math/random';
import { shotsOver, type Strike } from '../physics/shot';
import { runFactor } from './run-factor';

/*
 * How often the range of a run factor holds the truth, by the number of balls: players whose balls run by factors of their own, each ball by one that
 * strays with heavy tails, both ends measured with a tape that errs. Nothing of that is in the estimate.
 */
const TRIALS = 300;
const random = seededRandom(77);
/** With heavier tails than a normal's: Student's t with 4 degrees of freedom. */
const heavy = () =>
  random.normal() / Math.sqrt((random.normal() ** 2 + random.normal() ** 2 + random.normal() ** 2 + random.normal() ** 2) / 4);
const play = shotsOver({ stretches: [{ toM: Infinity, surface: 'green', slope: 0 }], stimpFt: 9, firmness: 'medium' });
/** Shots of which the run is known, so that a trial need not fly them. */
const SHOTS = [34, 42, 50, 54].flatMap((loftDeg) =>
  [6, 8, 10].map((speed) => {
    const strike: Strike = { loftDeg, flight: 'medium', lie: 'fairway' };
    const { carryM, finishM } = play(speed, strike);
    return { strike, carryM, runM: finishM! - carryM };
  }),
);

/** How often the range holds the truth. */
function heldOf(balls: number, truthOf: () => number): number {
  let held = 0;
  for (let trial = 0; trial < TRIALS; trial++) {
    const truth = truthOf();
    const said = runFactor(
      Array.from({ length: balls }, (_, i) => {
        const { strike, carryM, runM } = SHOTS[(trial + i) % SHOTS.length]!;
        const finishM = carryM + runM * truth * Math.exp(0.22 * heavy());
        return { carryM: carryM + 0.15 * random.normal(), finishM: finishM + 0.05 * random.normal(), play, strike };
      }),
    );
    if (said.from <= truth && truth <= said.to) held++;
  }
  return held / TRIALS;
}

test.each([1, 2, 3, 5, 10, 20, 40])('of %i balls, the range holds how far somebody’s balls run about 8 times in 10', (balls) => {
  const held = heldOf(balls, () => Math.exp(0.25 * random.normal()));
  expect(held).toBeGreaterThan(0.74);
  expect(held).toBeLessThan(0.9);
});

test.each([
  [1, 0.33],
  [5, 0.6],
  [20, 0.77],
])(
  'of %i balls of somebody whose balls run 4 in 10 farther than usual, it holds that less often: it is drawn to the usual',
  (balls, least) => {
    const held = heldOf(balls, () => 1.4);
    expect(held).toBeGreaterThan(least);
    expect(held).toBeLessThan(0.9);
  },
);
