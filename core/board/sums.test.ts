import { ft, holed, left, shot } from '../testing/make';
import { believe, diagnose } from '../skill/diagnose';
import { gather, talliesOf } from '../skill/evidence';
import { packDraws } from '../skill/posterior';
import { shippedReference } from '../golf/reference';
import { modelOf } from '../skill/model';
import { doSum, unpackLost } from './sums';

const model = modelOf(shippedReference);
const { version } = model;

const chips = Array.from({ length: 40 }, (_, i) =>
  shot({ shotType: 'chip', surface: 'fairway', distanceM: ft(45) }, i % 9 ? left(3 + (i % 8)) : holed, i),
);
const tallies = talliesOf(chips, new Date('2027-01-01'), null);

test('a belief is the one that the boards reckon, over a copy of the question such as a thread gets', () => {
  const task = structuredClone({ kind: 'belief' as const, version, tallies, level: 12 });
  const { values, balls } = doSum(model, task);
  expect(values).toEqual(packDraws(believe(gather(tallies), model, 12).draws));
  const chip = model.cells.findIndex(({ shotType, surface }, i) => shotType === 'chip' && surface === 'fairway' && balls[i]! > 0);
  expect(balls[chip]).toBe(40);
});

test('what was lost in a stretch is told from its balls, which weigh less where they are of few days', () => {
  const lostOf = (sessions: number) => unpackLost(model, doSum(model, { kind: 'lost', version, tallies, level: 12, sessions }));
  const evidence = gather(tallies);
  const plain = diagnose(model, believe(evidence, model, 12), evidence, { level: 12, mix: new Map() }).lost;
  const mean = (list: ArrayLike<number>) => Array.from(list).reduce((a, b) => a + b, 0) / list.length;
  const spread = (list: ArrayLike<number>) => Math.sqrt(mean(Array.from(list, (value) => (value - mean(list)) ** 2)));
  const at = model.cells.findIndex(({ key }) => evidence.cells.has(key));
  // Forty balls of forty days: each counts in full.
  expect(mean(lostOf(40)[at]!)).toBeCloseTo(mean(plain[at]!), 5);
  expect(spread(lostOf(1)[at]!)).toBeGreaterThan(spread(lostOf(40)[at]!));
  expect(lostOf(1)).toHaveLength(model.cells.length);
});

test('a board is the one that is reckoned on the spot', () => {
  const evidence = gather(tallies);
  const belief = believe(evidence, model, 12);
  const mix = model.mix(8);
  const task = structuredClone({
    kind: 'board' as const,
    version,
    tallies,
    level: 12,
    draws: packDraws(belief.draws),
    against: { level: 8, mix: [...mix], par: null },
  });
  const { diagnosis } = doSum(model, task);
  expect(diagnosis!.findings).toEqual(diagnose(model, belief, evidence, { level: 8, mix }).findings);
});

test('a thread with another model does not answer for this one', () => {
  expect(() => doSum(model, { kind: 'belief', version: version + 1, tallies, level: 12 })).toThrow(RangeError);
});
