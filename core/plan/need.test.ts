import fc from 'fast-check';
import { ranksOf } from '../skill/ranks';
import type { KnownPlayer } from './choose';
import { ballsToTell, ByNeed } from './need';

/** Chips by strokes lost in a round and how far that is known; each comes up once. */
function known(rows: readonly (readonly [mean: number, spread: number])[]): KnownPlayer {
  const lost = rows.map(([mean, spread], row) =>
    Float64Array.from({ length: 400 }, (_, i) => mean + spread * (((i * (7 + 4 * row)) % 400) / 200 - 1)),
  );
  const ranks = ranksOf(lost);
  const finding = (i: number) =>
    ({ shotType: 'chip', expectedStrokes: 2.5, ranked: true, uses: 1, perBall: 0.3, perRound: ranks[i]! }) as const;
  return { lost, findings: rows.map((_, i) => finding(i)) };
}
const all = (player: KnownPlayer) => player.findings.map((_, i) => i);
const rows = fc.array(fc.tuple(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: 0.01, max: 0.6, noNaN: true })), {
  minLength: 4,
  maxLength: 9,
});

test('first what is least known and could be among the three weakest, then what was not hit yet', () => {
  const player = known([
    [0.9, 0.02],
    [0.5, 0.02],
    [0.2, 0.4],
    [0.2, 0.3],
    [-0.9, 0.4],
  ]);
  const need = new ByNeed(player);
  const first = need.next(all(player), 5);
  expect(first).toBe(2);
  need.hit(first, 5);
  expect(need.next(all(player), 5, first)).toBe(3);
});

test('never the same shot twice running while there is another', () => {
  fc.assert(
    fc.property(rows, (made) => {
      const player = known(made);
      const need = new ByNeed(player);
      let last: number | null = null;
      for (let set = 0; set < 12; set++) {
        const next = need.next(all(player), 1, last);
        expect(next).not.toBe(last);
        need.hit(next, 1);
        last = next;
      }
      expect(need.next([2], 1, 2)).toBe(2);
    }),
  );
});

test('only what the green offers is hit', () => {
  fc.assert(
    fc.property(rows, fc.nat(), (made, n) => {
      const player = known(made);
      const allowed = [n % player.findings.length];
      expect(allowed).toContain(new ByNeed(player).next(allowed, 1));
    }),
  );
});

test('the surer the third and the fourth are apart, the fewer balls; where nothing tells them apart, none would do', () => {
  const apart = (third: number, spread: number) =>
    known([
      [0.9, 0.05],
      [0.8, 0.05],
      [third, spread],
      [0.1, spread],
    ]);
  const balls = [0.6, 0.3, 0.2].map((third) => ballsToTell(apart(third, 0.3), [0, 1, 2, 3])!);
  expect(balls[0]).toBe(0);
  expect(balls[1]).toBeLessThanOrEqual(balls[2]!);
  expect(balls[2]).toBeGreaterThan(0);
  expect(ballsToTell(apart(0.1, 0.3), [0, 1, 2, 3])).toBeNull();
});

test('balls never make it less sure', () => {
  fc.assert(
    fc.property(rows, fc.nat(), (made, n) => {
      const player = known(made);
      const need = new ByNeed(player);
      const before = need.sure;
      need.hit(n % player.findings.length, 5);
      if (before >= 0.5) expect(need.sure).toBeGreaterThanOrEqual(before - 1e-9);
    }),
  );
});
