import { normalCdf, normalQuantile } from '../math/normal';

/** How well somebody putts: the spread of the direction (radians) and of the length (a fraction of it). */
export type PuttingSkill = { angle: number; distance: number };

/**
 * Radii of hole and ball, how far past the hole the ball is aimed to stop, and how far past it would still drop; feet.
 * Source of the model: A. Gelman and D. Nolan, "A probability model for golf putting", Teaching Statistics 24 (2002);
 * the distance term is from Gelman's later case study.
 */
const HOLE_FT = 2.125 / 12;
const BALL_FT = 0.84 / 12;
const OVER_FT = 1;
const TOLERANCE_FT = 3;

/** A reference player's putting. The slopes in `level` are a judgement, to be replaced by a coach who knows better. */
export function referencePutting(level: number): PuttingSkill {
  return { angle: 0.018 * Math.exp(0.019 * level), distance: 0.085 * Math.exp(0.017 * level) };
}

/** Parts of the make probability at `ft` feet: on line, short of the hole, too long to drop. */
function chances({ angle, distance }: PuttingSkill, ft: number) {
  const reach = HOLE_FT - BALL_FT;
  const widest = ft <= reach ? Math.PI / 2 : Math.asin(reach / ft);
  const spread = (ft + OVER_FT) * distance;
  return {
    widest,
    onLine: 2 * normalCdf(widest / angle) - 1,
    short: normalCdf(-OVER_FT / spread),
    long: normalCdf(-(TOLERANCE_FT - OVER_FT) / spread),
  };
}

/**
 * Probability of holing a putt: the direction is good enough, and so is the length.
 * @param ft distance in feet, more than 0
 */
export function makeRate(skill: PuttingSkill, ft: number): number {
  const { onLine, short, long } = chances(skill, ft);
  return onLine * (1 - short - long);
}

const density = (z: number) => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/** The probability of holing a putt, and how it changes with the logarithm of either spread. */
export function makeParts({ angle, distance }: PuttingSkill, ft: number): { rate: number; byAngle: number; byDistance: number } {
  const reach = HOLE_FT - BALL_FT;
  const line = (ft <= reach ? Math.PI / 2 : Math.asin(reach / ft)) / angle;
  const spread = (ft + OVER_FT) * distance;
  const [past, before] = [(TOLERANCE_FT - OVER_FT) / spread, OVER_FT / spread];
  const onLine = 2 * normalCdf(line) - 1;
  const rightLength = normalCdf(past) - normalCdf(-before);
  return {
    rate: onLine * rightLength,
    byAngle: -2 * density(line) * line * rightLength,
    byDistance: -onLine * (density(past) * past + density(before) * before),
  };
}

/** Slices of a normal spread between two probabilities: the quantiles in the middle of `n` equally likely parts. */
function slices(from: number, to: number, n: number): number[] {
  return Array.from({ length: n }, (_, i) => normalQuantile(Math.min(1 - 1e-15, Math.max(1e-300, from + ((i + 0.5) / n) * (to - from)))));
}

const GRID_FROM_FT = 0.1;
const GRID_TO_FT = 200;
const GRID_POINTS = 90;
const GRID_STEP = Math.log(GRID_TO_FT / GRID_FROM_FT) / (GRID_POINTS - 1);

/**
 * Expected putts to hole out, as a function of the distance in feet. The next putt starts where a missed one stopped,
 * so the function is the fixed point of E(x) = 1 + Σ p(leave)·E(leave): solved on a logarithmic grid from 0.1 to
 * 200 ft by sweeps outwards, the leave by quadrature over direction and length. Within 0.003 of simulated putts.
 */
export function expectedPutts(skill: PuttingSkill): (ft: number) => number {
  const at = Array.from({ length: GRID_POINTS }, (_, i) => GRID_FROM_FT * Math.exp(i * GRID_STEP));
  const value = Float64Array.from(at, (ft) => 1 + Math.min(1.5, ft / 20));

  /** A distance as a place on the grid, with what lies nearer than it reaches at its first point. */
  const placeOf = (ft: number) =>
    Math.min(GRID_POINTS - 1.000001, Math.max(0, Math.log(Math.max(GRID_FROM_FT, ft) / GRID_FROM_FT) / GRID_STEP));
  const read = (ft: number) => {
    if (ft <= 0) return 0;
    const place = placeOf(ft);
    const low = Math.floor(place);
    return value[low]! + (place - low) * (value[low + 1]! - value[low]!);
  };

  // Where each leave lies on the grid does not change from sweep to sweep.
  const leaves = at.map((ft) => {
    const all = leavesFrom(skill, ft);
    return { p: Float64Array.from(all, ({ p }) => p), place: Float64Array.from(all, (leave) => placeOf(leave.ft)) };
  });
  for (let sweep = 0; sweep < 60; sweep++) {
    let moved = 0;
    for (let i = 0; i < leaves.length; i++) {
      const { p, place } = leaves[i]!;
      let next = 1;
      for (let n = 0; n < p.length; n++) {
        const low = place[n]! | 0;
        next += p[n]! * (value[low]! + (place[n]! - low) * (value[low + 1]! - value[low]!));
      }
      moved = Math.max(moved, Math.abs(next - value[i]!));
      value[i] = next;
    }
    if (moved < 1e-9) break;
  }
  return read;
}

/** Where missed putts from `ft` feet stop, each with its probability; the probabilities add up to that of missing. */
function leavesFrom(skill: PuttingSkill, ft: number): { p: number; ft: number }[] {
  const { widest, onLine, short, long } = chances(skill, ft);
  const mean = ft + OVER_FT;
  const edge = normalCdf(widest / skill.angle);
  const parts = [
    { p: 1 - onLine, angles: slices(edge, 1, 12), lengths: slices(0, 1, 24) },
    { p: onLine * short, angles: slices(0.5, edge, 4), lengths: slices(0, short, 12) },
    { p: onLine * long, angles: slices(0.5, edge, 4), lengths: slices(1 - long, 1, 12) },
  ].filter((part) => part.p > 1e-12);
  return parts.flatMap(({ p, angles, lengths }) =>
    angles.flatMap((a) =>
      lengths.map((l) => {
        const angle = Math.min(a * skill.angle, Math.PI);
        const rolled = Math.max(0, mean * (1 + skill.distance * l));
        return {
          p: p / (angles.length * lengths.length),
          ft: Math.sqrt(rolled * rolled + ft * ft - 2 * rolled * ft * Math.cos(angle)),
        };
      }),
    ),
  );
}
