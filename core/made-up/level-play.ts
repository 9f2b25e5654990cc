import { surfacesOf, isPutt } from '../golf/shot-types';
import { bandsOf, OFF_GREEN_BANDS, PUTT_BANDS, type Band } from '../golf/bands';
import { SHOT_TYPES, type ShotType, type Surface } from '../golf/words';
import { normalCdf, normalQuantile } from '../math/normal';
import { along, type Curve } from '../math/piecewise';
import { METRES_PER, toMetres } from '../units/length';
import { APPROACH_SPREAD, approachLeftFt, greensHit } from '../golf/approach';
import { expectedPutts, leavesOf, makeRate, referencePutting } from '../golf/putting';
import { DROPS_PAST_M, DROPS_WIDE_M, depthSdOf, MISHIT_REACH, mishitRate, SHORT_SDS } from './simulate';
import { offGreenChance } from '../skill/trouble';

/*
 * How the players of a level play: the one place from which the reference table is made (`npm run docs:reference`) and set
 * beside what is published (`npm run docs:reference-gap`). Levels are handicaps: −5 is a tour player (golfers write +5),
 * 0 a scratch amateur, 18 somebody who shoots about 90. What a tour player leaves is set so that strokes, putts and up and
 * downs are the published ones; how much more other levels leave, so that their up and downs are. The rest are judgements.
 */

/** The levels of the table; between them and beyond them it is read on. */
export const TABLE_LEVELS = [-5, 0, 5, 10, 18, 28, 40, 54] as const;

/** Where a tour player's ball from so many yards lies in the middle, in feet: half of all stop nearer. */
const TOUR_LEFT_FT: Readonly<Record<'fairway' | 'light_rough' | 'sand', Curve>> = {
  fairway: [
    [3, 1.9],
    [10, 4.05],
    [20, 7],
    [40, 10.6],
    [60, 13.2],
    [80, 14.5],
    [100, 16],
  ],
  light_rough: [
    [3, 2.8],
    [10, 6.1],
    [20, 10.7],
    [40, 15.7],
    [60, 20.4],
    [80, 22.6],
    [100, 25.4],
  ],
  sand: [
    [3, 4.8],
    [10, 7.6],
    [20, 9.1],
    [40, 17.4],
    [60, 34.6],
    [80, 38.4],
    [100, 38.2],
  ],
};
/** Other surfaces leave so much more or less than the one that is measured. A judgement. */
const LIKE: Readonly<Record<Surface, readonly [keyof typeof TOUR_LEFT_FT, number]>> = {
  green: ['fairway', 1],
  fringe: ['fairway', 0.9],
  fairway: ['fairway', 1],
  bare: ['fairway', 1.3],
  light_rough: ['light_rough', 1],
  heavy_rough: ['light_rough', 1.3],
  sand: ['sand', 1],
};
/** So much more or less than a chip or an ordinary pitch; and from how far on, or how near, a shot is no longer the right one. Judgements. */
const TYPES: Readonly<Record<Exclude<ShotType, 'putt'>, { factor: number; toYd?: number; fromYd?: number }>> = {
  fringe_putt: { factor: 0.95, toYd: 15 },
  bump_and_run: { factor: 0.94, toYd: 35 },
  chip: { factor: 1, toYd: 35 },
  pitch: { factor: 1.03, fromYd: 12 },
  lob: { factor: 1.25, fromYd: 10, toYd: 40 },
  bunker: { factor: 1 },
};
/** A putter drags through what stands up. */
const PUTTER_FROM: Readonly<Partial<Record<Surface, number>>> = { light_rough: 1.4, bare: 1 };
const WRONG_SHOT = 0.35;

/** The logarithm of how much more than a tour player a level leaves: from grass, and from sand. */
const LEAVES_MORE: Curve = [
  [-5, 0],
  [0, 0.16],
  [10, 0.46],
  [18, 0.72],
  [28, 1.07],
  [54, 1.6],
];
const LEAVES_MORE_SAND: Curve = [
  [-5, 0],
  [0, 0.3],
  [10, 0.6],
  [18, 0.9],
  [28, 1.2],
  [54, 1.8],
];

/** What half of a level's balls stop inside, in metres. */
export function medianLeftM(level: number, shotType: Exclude<ShotType, 'putt'>, surface: Surface, metres: number): number {
  const yards = metres / METRES_PER.yd;
  const [like, more] = LIKE[surface];
  const { factor, toYd = Infinity, fromYd = 0 } = TYPES[shotType];
  const tour = Math.exp(
    along(
      TOUR_LEFT_FT[like].map(([yd, ft]) => [Math.log(yd), Math.log(ft)] as const),
      Math.log(yards),
    ),
  );
  const wrong = WRONG_SHOT * (Math.max(0, Math.log(yards / toYd)) + Math.max(0, Math.log(fromYd / yards)));
  const putter = shotType === 'fringe_putt' ? (PUTTER_FROM[surface] ?? 1) : 1;
  const worse = along(surface === 'sand' ? LEAVES_MORE_SAND : LEAVES_MORE, level);
  return tour * METRES_PER.ft * more * factor * putter * Math.exp(wrong + worse);
}

/** A ball of a level as the table has it; distances left in metres. */
export type LevelShot = {
  expectedStrokes: number;
  holeOutRate: number;
  medianLeftM: number;
  p90LeftM: number;
  upAndDown: number;
  offGreen: number;
};

/** Places that stand for where balls stop: along the line of play, across it on one side, and of those that were mishit. */
const [DEEP, WIDE, MISHIT] = [60, 8, 60];
const middles = (n: number) => Array.from({ length: n }, (_, i) => (i + 0.5) / n);
const DEPTHS = middles(DEEP).map(normalQuantile);
const WIDTHS = middles(WIDE).map((share) => normalQuantile((1 + share) / 2));

/** Players of one level: their putting, and what they need from anywhere. */
export class LevelPlay {
  readonly #putting;
  readonly #putts: (ft: number) => number;
  /** Expected strokes of a chip from light rough, at distances evenly apart in the logarithm. */
  readonly #fromRough: Float64Array;

  constructor(readonly level: number) {
    this.#putting = referencePutting(level);
    this.#putts = expectedPutts(this.#putting);
    this.#fromRough = new Float64Array(ROUGH_POINTS).fill(3);
    for (let sweep = 0; sweep < 8; sweep++)
      for (let i = 0; i < ROUGH_POINTS; i++)
        this.#fromRough[i] = this.shot('chip', 'light_rough', ROUGH_FROM_M * Math.exp(i * ROUGH_STEP)).expectedStrokes;
  }

  /** Expected putts from so many feet. */
  putts(ft: number): number {
    return Math.max(1, this.#putts(ft));
  }

  /** Strokes that are expected from where a ball stopped: putts from the green, a chip from rough where it missed it. */
  toCome(leftM: number): number {
    const off = offGreenChance(leftM);
    return (1 - off) * this.putts(leftM / METRES_PER.ft) + off * this.#chip(leftM);
  }

  /** A shot from off the green. */
  shot(shotType: Exclude<ShotType, 'putt'>, surface: Surface, metres: number): LevelShot {
    const median = medianLeftM(this.level, shotType, surface, metres);
    const { lefts, weights, holeOutRate } = stopsOf(this.level, surface, metres, median);
    let [strokes, down, off] = [0, 0, 0];
    for (let i = 0; i < lefts.length; i++) {
      const missed = offGreenChance(lefts[i]!);
      strokes += weights[i]! * this.toCome(lefts[i]!);
      down += weights[i]! * (1 - missed) * makeRate(this.#putting, lefts[i]! / METRES_PER.ft);
      off += weights[i]! * missed;
    }
    return {
      expectedStrokes: 1 + (1 - holeOutRate) * strokes,
      holeOutRate,
      medianLeftM: median,
      p90LeftM: quantileOf(lefts, weights, 0.9),
      upAndDown: holeOutRate + (1 - holeOutRate) * down,
      offGreen: (1 - holeOutRate) * off,
    };
  }

  /** How often each kind of shot comes up in 18 holes, by shot type, surface and lower bound of the band; and how many are putts. */
  round(): { uses: (shotType: ShotType, surface: Surface, band: Band) => number; putts: number; offGreen: number } {
    const cells = IN_PLAY.map(({ shotType, surface, band, share }) => ({
      share,
      ...this.shot(shotType, surface, middleM(shotType, band)),
      shotType,
      surface,
      band,
    }));
    const all = cells.reduce((sum, { share }) => sum + share, 0);
    const stays = cells.reduce((sum, { share, offGreen }) => sum + share * offGreen, 0) / all;
    const hit = greensHit(this.level);
    const offGreen = (18 - hit) / (1 - stays) + FROM_FARTHER;
    // First putts: of greens that were hit, and after the shots from off the green that stopped on it.
    const first: Mass = new Float64Array(FEET_POINTS);
    const median = approachLeftFt(this.level);
    for (const share of middles(200)) put(first, median * Math.exp(APPROACH_SPREAD * normalQuantile(share)), hit / 200);
    for (const { share, shotType, surface, band, medianLeftM: left } of cells) {
      const { lefts, weights, holeOutRate } = stopsOf(this.level, surface, middleM(shotType, band), left);
      for (let i = 0; i < lefts.length; i++)
        put(
          first,
          lefts[i]! / METRES_PER.ft,
          ((18 - hit) / (1 - stays)) * (share / all) * (1 - holeOutRate) * weights[i]! * (1 - offGreenChance(lefts[i]!)),
        );
    }
    const putts = puttsFrom(first, this.#putting);
    return {
      uses: (shotType, surface, band) =>
        isPutt(shotType)
          ? putts[PUTT_BANDS.indexOf(band)]!
          : (offGreen * (cells.find((cell) => cell.shotType === shotType && cell.surface === surface && cell.band === band)?.share ?? 0)) /
            all,
      putts: putts.reduce((a, b) => a + b, 0),
      offGreen,
    };
  }

  #chip(metres: number): number {
    const place = Math.min(ROUGH_POINTS - 1.001, Math.max(0, Math.log(metres / ROUGH_FROM_M) / ROUGH_STEP));
    const low = Math.floor(place);
    return this.#fromRough[low]! + (place - low) * (this.#fromRough[low + 1]! - this.#fromRough[low]!);
  }
}

const ROUGH_FROM_M = 1;
const ROUGH_POINTS = 30;
const ROUGH_STEP = Math.log(120) / (ROUGH_POINTS - 1);

/** Where balls stop that were not holed, in metres, each place with its share; and how many are holed. As `simulateShot` hits them. */
function stopsOf(level: number, surface: Surface, metres: number, median: number) {
  const rate = mishitRate(level, surface);
  const sd = depthSdOf(median, rate, metres);
  const lefts = new Float64Array(DEEP * WIDE + MISHIT * WIDE);
  const weights = new Float64Array(lefts.length);
  let n = 0;
  const add = (depth: number, width: number, weight: number) => {
    lefts[n] = Math.max(0.06, Math.hypot(depth, width));
    weights[n++] = weight;
  };
  for (const width of WIDTHS) {
    for (const depth of DEPTHS) add(sd * (depth - SHORT_SDS), (sd / 2) * width, (1 - rate) / (DEEP * WIDE));
    for (const share of middles(MISHIT)) add(metres * MISHIT_REACH * share, (sd / 2) * width, rate / (MISHIT * WIDE));
  }
  const onLine = 2 * normalCdf(DROPS_WIDE_M / (sd / 2)) - 1;
  const rightLength = normalCdf(DROPS_PAST_M / sd + SHORT_SDS) - normalCdf(SHORT_SDS);
  return { lefts, weights, holeOutRate: (1 - rate) * onLine * rightLength };
}

function quantileOf(values: Float64Array, weights: Float64Array, share: number): number {
  const order = Array.from(values.keys()).sort((a, b) => values[a]! - values[b]!);
  let sum = 0;
  for (const i of order) if ((sum += weights[i]!) >= share) return values[i]!;
  return values[order.at(-1)!]!;
}

/** Shots from inside 100 yd in a round that do not follow a missed green: second shots on short holes, thirds on long ones. */
const FROM_FARTHER = 1;

/** The shots that come up in a round, each with its share of those from off the green. Judgements. */
const SURFACE_SHARES: Readonly<Record<Surface, number>> = {
  green: 0,
  fringe: 0.14,
  fairway: 0.31,
  light_rough: 0.35,
  heavy_rough: 0.165,
  bare: 0.035,
  sand: 1,
};
const TYPE_SHARES: Readonly<Record<Exclude<ShotType, 'putt'>, { bands: readonly number[]; from: readonly Surface[] }>> = {
  fringe_putt: { bands: [0.8, 0.3, 0.1, 0, 0, 0], from: ['fringe', 'fairway'] },
  bump_and_run: { bands: [0.48, 0.53, 0.36, 0, 0, 0], from: ['fringe', 'fairway', 'light_rough', 'bare'] },
  chip: { bands: [1.06, 1.16, 0.8, 0, 0, 0], from: ['fringe', 'fairway', 'light_rough', 'heavy_rough', 'bare'] },
  pitch: { bands: [0.15, 0.9, 0.61, 0.53, 0.33, 0.29], from: ['fairway', 'light_rough', 'heavy_rough', 'bare'] },
  lob: { bands: [0, 0.22, 0.15, 0.13, 0, 0], from: ['fairway', 'light_rough', 'heavy_rough'] },
  bunker: { bands: [0.22, 0.3, 0.22, 0.16, 0.1, 0.07], from: ['sand'] },
};
/** Nobody pitches a few yards from bare ground in a round that is worth counting. */
const LEAST_SHARE = 0.006;

const IN_PLAY = (Object.keys(TYPE_SHARES) as (keyof typeof TYPE_SHARES)[]).flatMap((shotType) =>
  TYPE_SHARES[shotType].from.flatMap((surface) =>
    OFF_GREEN_BANDS.flatMap((band, i) => {
      const share = TYPE_SHARES[shotType].bands[i]! * SURFACE_SHARES[surface];
      return share < LEAST_SHARE ? [] : [{ shotType, surface, band, share }];
    }),
  ),
);

/** The distance that stands for a band, in metres. */
export function middleM(shotType: ShotType, band: Band): number {
  const at = bandsOf(shotType).indexOf(band);
  return isPutt(shotType) ? toMetres([2.5, 5, 8, 15, 30, 55][at]!, 'ft') : toMetres([6, 15, 25, 40, 62, 87][at]!, 'yd');
}

/** Putts over distances in feet, log-spaced. */
type Mass = Float64Array<ArrayBuffer>;
const [FEET_FROM, FEET_POINTS] = [0.3, 80];
const FEET_STEP = Math.log(300 / FEET_FROM) / (FEET_POINTS - 1);
const feetAt = (i: number) => FEET_FROM * Math.exp(i * FEET_STEP);

function put(mass: Mass, ft: number, amount: number): void {
  const place = Math.min(FEET_POINTS - 1.000001, Math.max(0, Math.log(Math.max(FEET_FROM, ft) / FEET_FROM) / FEET_STEP));
  const low = Math.floor(place);
  mass[low]! += amount * (1 - place + low);
  mass[low + 1]! += amount * (place - low);
}

/** How many putts are played from each band, when so many first putts are holed out. */
function puttsFrom(first: Mass, skill: Parameters<typeof leavesOf>[0]): number[] {
  const count = new Array<number>(PUTT_BANDS.length).fill(0);
  let mass = first;
  for (let putt = 0; putt < 12; putt++) {
    const next: Mass = new Float64Array(FEET_POINTS);
    mass.forEach((amount, i) => {
      if (amount < 1e-9) return;
      count[PUTT_BANDS.findIndex(({ max }) => feetAt(i) < (max ?? Infinity))]! += amount;
      const { p, ft } = leavesOf(skill, feetAt(i));
      for (let n = 0; n < p.length; n++) put(next, ft[n]!, amount * p[n]!);
    });
    mass = next;
  }
  return count;
}

/** Up and downs from near the green, from grass and from sand: what a round mix of shots from inside 30 yd makes of them. */
export function upAndDowns(play: LevelPlay): { grass: number; sand: number } {
  const of = (sand: boolean) => {
    const near = IN_PLAY.filter(({ surface, band }) => (surface === 'sand') === sand && band.min < 30);
    const all = near.reduce((sum, { share }) => sum + share, 0);
    return near.reduce(
      (sum, { shotType, surface, band, share }) => sum + (share / all) * play.shot(shotType, surface, middleM(shotType, band)).upAndDown,
      0,
    );
  };
  return { grass: of(false), sand: of(true) };
}

/** Every shot that may be recorded: shot type, surface and band, whether it comes up in a round or not. */
export const TABLE_SHOTS = SHOT_TYPES.flatMap((shotType) =>
  surfacesOf(shotType).flatMap((surface) => bandsOf(shotType).map((band) => ({ shotType, surface, band }))),
);
