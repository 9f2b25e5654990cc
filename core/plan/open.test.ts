import fc from 'fast-check';
import { narrowMost, OpenStrokes, type Unknown } from './open';

const DRAWS = 60;
/** Some cells with made-up draws, uses and scatter. */
const unknown = fc.integer({ min: 2, max: 6 }).chain((cells) =>
  fc.record({
    lost: fc.array(
      fc
        .array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: DRAWS, maxLength: DRAWS })
        .map((draws) => Float64Array.from(draws)),
      { minLength: cells, maxLength: cells },
    ),
    uses: fc.array(fc.double({ min: 0.1, max: 5, noNaN: true }), { minLength: cells, maxLength: cells }),
    perBall: fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: cells, maxLength: cells }),
  }),
);

/** Two cells that know nothing of each other: a spread of 1 and of 2, each with balls that scatter by 1. */
const apart: Unknown = {
  lost: [Float64Array.from([1, -1, 1, -1]), Float64Array.from([2, 2, -2, -2])],
  uses: [1, 1],
  perBall: [1, 1],
};

test('by hand: variances 1 and 4; a ball whose ring is known leaves v/(1 + .6v)', () => {
  const open = new OpenStrokes(apart);
  expect([open.variance(0), open.variance(1), open.total]).toEqual([1, 4, 5]);
  expect(open.drop({ cell: 1, balls: 1 })).toBeCloseTo(4 - 4 / (1 + 0.6 * 4), 12);
  open.hit({ cell: 1, balls: 1 });
  expect(open.variance(1)).toBeCloseTo(4 / 3.4, 12);
  expect(open.variance(0)).toBe(1);
});

test('what comes up twice as often counts four times as much, and its balls scatter as much more', () => {
  const open = new OpenStrokes({ ...apart, uses: [2, 1] });
  expect(open.variance(0)).toBe(4);
  expect(open.drop({ cell: 0, balls: 1 })).toBeCloseTo(4 * (1 - 1 / 1.6), 12);
});

test('the drop that is foretold is the drop that comes, and no ball leaves more open', () => {
  fc.assert(
    fc.property(unknown, fc.nat(), fc.integer({ min: 1, max: 20 }), (made, n, balls) => {
      const open = new OpenStrokes(made);
      const batch = { cell: n % open.cells, balls };
      const [before, drop] = [open.total, open.drop(batch)];
      open.hit(batch);
      expect(open.total).toBeCloseTo(before - drop, 8);
      expect(drop).toBeGreaterThanOrEqual(0);
    }),
  );
});

test('in which order balls are hit is all one, and so is in how many batches', () => {
  fc.assert(
    fc.property(unknown, (made) => {
      const [a, b, c] = [new OpenStrokes(made), new OpenStrokes(made), new OpenStrokes(made)];
      for (const [cell, balls] of [
        [0, 6],
        [1, 3],
      ] as const)
        a.hit({ cell, balls });
      for (const [cell, balls] of [
        [1, 3],
        [0, 6],
      ] as const)
        b.hit({ cell, balls });
      for (const [cell, balls] of [
        [0, 2],
        [1, 3],
        [0, 4],
      ] as const)
        c.hit({ cell, balls });
      expect(b.total).toBeCloseTo(a.total, 8);
      expect(c.total).toBeCloseTo(a.total, 8);
    }),
  );
});

test('the shot that narrows most comes first, each once, only those that are allowed', () => {
  expect(narrowMost(new OpenStrokes(apart), { batches: 5, balls: 3, allowed: [0, 1] }).map(({ cell }) => cell)).toEqual([1, 0]);
  expect(narrowMost(new OpenStrokes(apart), { batches: 1, balls: 3, allowed: [0] })).toEqual([{ cell: 0, balls: 3 }]);
  // What counts nothing is not looked for.
  expect(narrowMost(new OpenStrokes(apart), { batches: 1, balls: 3, allowed: [0, 1], weights: [1, 0] })).toEqual([{ cell: 0, balls: 3 }]);
});
