import { max, mean } from 'd3-array';
import { cholesky, solveLower, solveUpper } from '../math/linear';
import type { CarriedShot } from './carried';

/** One club swung to one mark of the hands: how far it carries. */
export type SwingCell = {
  club: string;
  mark: string;
  balls: number;
  /** The carry, in metres; and between what its mean lies, 8 times in 10. */
  carryM: number;
  fromM: number;
  toM: number;
  /** By how much single balls carry farther or less far, with what is not known of their mean: 8 in 10 lie within so many metres either way. */
  giveM: number;
};
/** Who carries how far: clubs by loft, marks from low to high, a cell for each; a cell without a ball is estimated from its club and its mark. */
export type SwingChart = { clubs: string[]; marks: string[]; cells: SwingCell[]; balls: number };

/*
 * What is believed before a ball, all of it judgements: the logarithm of the carry grows from mark to mark as swings of 1, 2, 3 … parts would carry, and
 * falls by so much with each degree of loft; by how much each of them truly does is believed within so much, and every club, every mark and every
 * cell has something of its own. Balls of one cell err by so much, unless they say otherwise.
 */
const PER_DEGREE = -0.035;
const SDS = { all: 0.5, perDegree: 0.012, ladder: 0.3, club: 0.06, mark: 0.12, cell: 0.05, ball: 0.09 } as const;
/** Of a club whose loft nobody knows, and of a mark that stands in no order. */
const UNKNOWN = { club: 0.25, mark: 0.4 } as const;
/** So many balls the error that is taken for granted counts for. */
const PRIOR_BALLS = 6;
const EIGHT_IN_TEN = 1.2816;
/** A carry of which nothing is known, in metres: its logarithm is where everything starts. */
const CENTRE_M = 25;

/**
 * The chart of a player's swing lengths, from balls whose carry and mark are known.
 * @param marks the player's own, from low to high; others that were recorded come after them
 * @param clubs with their lofts in degrees, null where nobody knows; those with a recorded ball are shown, by loft
 */
export function swingChart(
  shots: readonly CarriedShot[],
  marks: readonly string[],
  clubs: readonly { label: string; loftDeg: number | null }[],
): SwingChart {
  const balls = shots.flatMap(({ swingMark, clubLabel, carryM }) =>
    swingMark && clubLabel && carryM > 0.5 ? [{ mark: same(swingMark, marks), club: clubLabel, log: Math.log(carryM / CENTRE_M) }] : [],
  );
  const seen = new Set(balls.map(({ mark }) => mark));
  const all = [...marks, ...[...seen].filter((mark) => !marks.includes(mark)).toSorted()];
  const used = new Set(balls.map(({ club }) => club));
  const known = clubs.toSorted((one, other) => (one.loftDeg ?? 99) - (other.loftDeg ?? 99)).map(({ label }) => label);
  const shown = [...known.filter((label) => used.has(label)), ...[...used].filter((label) => !known.includes(label)).toSorted()];
  if (balls.length === 0) return { clubs: [], marks: [...all], cells: [], balls: 0 };

  const lofts = new Map(clubs.flatMap(({ label, loftDeg }) => (loftDeg === null ? [] : [[label, loftDeg] as const])));
  const middle = mean(shown.flatMap((club) => lofts.get(club) ?? [])) ?? 0;
  const ladder = marks.map((_, i) => Math.log((i + 1) / (marks.length + 1)));
  const places = shown.flatMap((club) =>
    all.map((mark) => {
      const [loft, rung] = [lofts.get(club), marks.indexOf(mark)];
      return {
        club,
        mark,
        /** Degrees of loft beyond the middle of the bag, and where on the ladder the mark stands; 0 where that is not known. */
        degrees: loft === undefined ? 0 : loft - middle,
        height: rung < 0 ? 0 : ladder[rung]! - mean(ladder)!,
        clubSd: loft === undefined ? UNKNOWN.club : SDS.club,
        markSd: rung < 0 ? UNKNOWN.mark : SDS.mark,
        logs: balls.filter((ball) => ball.club === club && ball.mark === mark).map(({ log }) => log),
      };
    }),
  );
  const expected = ({ degrees, height }: (typeof places)[number]) => PER_DEGREE * degrees + height;
  const measured = places.filter(({ logs }) => logs.length > 0);
  const ball = ballSd(measured.map(({ logs }) => logs));
  const together = (a: (typeof places)[number], b: (typeof places)[number]) =>
    SDS.all ** 2 +
    SDS.perDegree ** 2 * a.degrees * b.degrees +
    SDS.ladder ** 2 * a.height * b.height +
    (a.club === b.club ? a.clubSd ** 2 : 0) +
    (a.mark === b.mark ? a.markSd ** 2 : 0) +
    (a === b ? SDS.cell ** 2 : 0);
  // A Gaussian process over the cells, seen at those with balls.
  const n = measured.length;
  const k = new Float64Array(n * n);
  measured.forEach((one, i) =>
    measured.forEach((other, j) => (k[i * n + j] = together(one, other) + (i === j ? ball ** 2 / one.logs.length : 0))),
  );
  const l = cholesky(k, n);
  const z = solveLower(
    l,
    n,
    Float64Array.from(measured, (one) => mean(one.logs)! - expected(one)),
  );
  const weights = solveUpper(l, n, z);
  const cells = places.map((place): SwingCell => {
    const cross = Float64Array.from(measured, (one) => together(place, one));
    const centre = cross.reduce((sum, value, i) => sum + value * weights[i]!, expected(place));
    const seenBy = solveLower(l, n, cross);
    const sd = Math.sqrt(Math.max(1e-9, together(place, place) - seenBy.reduce((sum, value) => sum + value * value, 0)));
    const carryM = CENTRE_M * Math.exp(centre);
    return {
      club: place.club,
      mark: place.mark,
      balls: place.logs.length,
      carryM,
      fromM: carryM * Math.exp(-EIGHT_IN_TEN * sd),
      toM: carryM * Math.exp(EIGHT_IN_TEN * sd),
      giveM: carryM * EIGHT_IN_TEN * Math.hypot(ball, sd),
    };
  });
  return { clubs: shown, marks: [...all], cells, balls: balls.length };
}

/** A mark as the player spells it, whatever its capitals. */
const same = (mark: string, marks: readonly string[]) =>
  marks.find((one) => one.toLowerCase() === mark.trim().toLowerCase()) ?? mark.trim();

/** How much single balls of a cell differ: what they say, and as much as some balls' worth of what is usual. */
function ballSd(cells: readonly (readonly number[])[]): number {
  let [squares, free] = [PRIOR_BALLS * SDS.ball ** 2, PRIOR_BALLS];
  for (const logs of cells) {
    const centre = mean(logs)!;
    squares += logs.reduce((sum, log) => sum + (log - centre) ** 2, 0);
    free += logs.length - 1;
  }
  return Math.sqrt(squares / free);
}

/** A swing that carries a distance: by how much it misses on average, and within what 8 in 10 lie. */
export type LookedUp = SwingCell & { offM: number };

/** The swings that come nearest to a carry, the best first: near on average, with little spread, and well known. */
export function lookUp({ cells }: SwingChart, carryM: number, most = 3): LookedUp[] {
  const missOf = (cell: SwingCell) => Math.hypot(cell.carryM - carryM, cell.giveM / EIGHT_IN_TEN);
  return cells
    .toSorted((one, other) => missOf(one) - missOf(other))
    .slice(0, most)
    .map((cell) => ({ ...cell, offM: carryM - cell.carryM }));
}

/** Carries between which there is no swing, and pairs of swings that come to the same. */
export type Ladder = { gaps: { fromM: number; toM: number }[]; overlaps: { one: SwingCell; other: SwingCell }[] };

/** Neighbours farther apart than this times what their balls spread leave a gap; nearer than that share of it they are the same. */
const GAP = 2;
const SAME = 0.35;

/** Where a chart has gaps and overlaps; cells with balls only. */
export function ladderOf({ cells }: SwingChart): Ladder {
  const sorted = cells.filter(({ balls }) => balls > 0).toSorted((one, other) => one.carryM - other.carryM);
  const ladder: Ladder = { gaps: [], overlaps: [] };
  for (let i = 1; i < sorted.length; i++) {
    const [one, other] = [sorted[i - 1]!, sorted[i]!];
    const [apart, spread] = [other.carryM - one.carryM, max([one.giveM, other.giveM])!];
    if (apart > GAP * spread) ladder.gaps.push({ fromM: one.carryM, toM: other.carryM });
    else if (apart < SAME * spread) ladder.overlaps.push({ one, other });
  }
  return ladder;
}
