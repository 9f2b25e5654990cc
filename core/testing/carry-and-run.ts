import type { ShotType, Surface } from '../golf/words';
import type { Random } from '../math/random';
import { seededRandom } from '../math/random';
import { normalCdf } from '../math/normal';
import { METRES_PER } from '../units/length';

/*
 * A second generator of made-up players, which shares nothing with the skill model nor with `skill/simulate.ts`: a ball is struck
 * with a speed, flies and runs; what goes wrong is heavy-tailed and more often short; mishits are fat, thin or shanked; the
 * form of the day drifts; players scatter differently from cell to cell, in depth and in width. Putts have a speed and a
 * line of their own, and fast ones see a smaller hole. All that it takes from a level is how far its ball in the middle
 * stops, and how often its putts drop.
 */

/** What a level does, from somewhere else: the median left of a shot in metres, the make rate of a putt, and where its putts stop. */
export type Level = {
  medianLeftM: (shotType: Swing, surface: Surface, distanceM: number) => number;
  makeRate: (ft: number) => number;
  /** The spread of a putt's length, as a fraction of it. */
  pace: number;
};
type Swing = Exclude<ShotType, 'putt'>;
export type Cell = { key: string; shotType: ShotType; surface: Surface; distanceM: number };

/** Somebody whose skill is known. Each effect is a logarithm: + is wilder. */
export type Struck = {
  handicap: number;
  level: Level;
  /** In where it lands, in how far it runs, and in its line. */
  carry: (cell: Cell) => number;
  run: (cell: Cell) => number;
  width: (cell: Cell) => number;
  mishits: (cell: Cell) => number;
  line: (ft: number) => number;
  pace: (ft: number) => number;
};

export type Stop = { holed: boolean; leftM: number; /** Signed, along the line of play. */ landedLongM: number; landedOffM: number };

const CARRIES: Readonly<Record<Swing, number>> = { fringe_putt: 0, bump_and_run: 0.25, chip: 0.42, pitch: 0.66, lob: 0.85, bunker: 0.7 };
const WORSE_LIE: Readonly<Record<Surface, number>> = {
  green: 0,
  fringe: 0.5,
  fairway: 0.7,
  light_rough: 1,
  bare: 1.4,
  heavy_rough: 1.6,
  sand: 1.5,
};

/** Student's t of few degrees of freedom, scaled to unit variance: now and then it is far out. */
function wild(random: Random, freedom: number): number {
  let squares = 0;
  for (let i = 0; i < freedom; i++) squares += random.normal() ** 2;
  return (random.normal() / Math.sqrt(squares / freedom)) * Math.sqrt((freedom - 2) / freedom);
}

/** Where a ball struck with unit scatter lands and stops, from the spot and from the hole: long is positive. */
function strike(distanceM: number, carryM: number, random: Random, [carry, roll, width]: readonly [number, number, number]) {
  const raw = wild(random, 5);
  const speed = carry * (raw < 0 ? 1.15 * raw : 0.85 * raw) - 0.12;
  const contact = carry * 0.6 * random.normal();
  const long = carryM * speed + contact;
  const run = distanceM - carryM;
  const deep = long + run * (0.5 * speed + 0.75 * roll * random.normal());
  const aim = 0.45 * width * wild(random, 8);
  return { long, deep, wide: distanceM * aim, landedWide: carryM * aim };
}

/** How wild a level is, so that half of its balls stop inside what it leaves: by hitting some. */
const sized = new Map<string, Float64Array>();
const TRIED = 10_001;
function scatterOf(who: Struck, { shotType, surface, distanceM }: Cell, carryM: number): number {
  const target = who.level.medianLeftM(shotType as Swing, surface, distanceM);
  const key = `${distanceM}|${carryM}`;
  let stops = sized.get(key);
  if (!stops) {
    const random = seededRandom(99);
    stops = Float64Array.from({ length: TRIED }, () => {
      const { deep, wide } = strike(distanceM, carryM, random, [1, 1, 1]);
      return Math.hypot(deep, wide);
    }).sort();
    sized.set(key, stops);
  }
  // Mishits end far away, so that of the others more than half must stop inside.
  const mishits = mishitShare(who.handicap, surface);
  const others = (0.5 - mishits * mishitsInside(target / distanceM)) / (1 - mishits);
  return target / stops[Math.round(others * (TRIED - 1))]!;
}

/** Of mishits, the share that ends within so much of the distance: fat ones between .25 and .85 of it short, thin ones past, shanks at .6. */
function mishitsInside(share: number): number {
  return (
    FAT * Math.min(1, Math.max(0, (share - 0.25) / 0.6)) +
    (THIN - FAT) * normalCdf(Math.log(share / 0.35) / 0.6) +
    (share < 0.6 ? 0 : 1 - THIN)
  );
}
const [FAT, THIN] = [0.6, 0.92];

function mishitShare(handicap: number, surface: Surface): number {
  return Math.min(0.3, WORSE_LIE[surface] * (0.012 + 0.005 * Math.max(0, handicap)));
}

/** One ball. Without a carry it is the shot's own. */
export function strikeBall(who: Struck, cell: Cell, form: number, random: Random, carryM?: number): Stop {
  if (cell.shotType === 'putt') return roll(who, cell.distanceM / METRES_PER.ft, form, random);
  const carry = carryM ?? CARRIES[cell.shotType] * cell.distanceM;
  if (random.uniform() < mishitShare(who.handicap, cell.surface) * Math.exp(who.mishits(cell))) {
    const kind = random.uniform();
    if (kind < FAT) {
      const short = cell.distanceM * (0.25 + 0.6 * random.uniform());
      return { holed: false, leftM: short, landedLongM: -Math.min(carry, short), landedOffM: Math.min(carry, short) };
    }
    const far = cell.distanceM * (kind < THIN ? 0.35 * Math.exp(0.6 * random.normal()) : 0.6);
    return { holed: false, leftM: far, landedLongM: carry / 2, landedOffM: carry / 2 };
  }
  const scatter = scatterOf(who, cell, carry) * Math.exp(form);
  const { long, deep, wide, landedWide } = strike(
    cell.distanceM,
    carry,
    random,
    [who.carry(cell), who.run(cell), who.width(cell)].map(Math.exp) as [number, number, number],
  );
  const [depth, width] = [scatter * deep, scatter * wide];
  const holed = Math.abs(width) < 0.05 && depth > 0 && depth < 0.75 && random.uniform() < 0.85;
  return {
    holed,
    leftM: holed ? 0 : Math.max(0.06, Math.hypot(depth, width)),
    landedLongM: scatter * long,
    landedOffM: Math.hypot(scatter * long, scatter * landedWide),
  };
}

/** How far off line, in radians, a putt from `ft` feet that would roll so far may start and still drop: fast putts see a smaller hole. */
function window(ft: number, rolled: number): number {
  const past = rolled - ft;
  return past < 0 || past > 4 ? 0 : Math.atan((0.15 * (1 - (past / 4.4) ** 2)) / ft);
}

function rolledFt(ft: number, pace: number, random: Random): number {
  const raw = wild(random, 6);
  return Math.max(0, (ft + 1.2) * (1 + pace * (raw < 0 ? 1.1 * raw : 0.9 * raw)));
}

function putt(ft: number, line: number, pace: number, random: Random): { holed: boolean; leftFt: number } {
  const angle = Math.max(-1.4, Math.min(1.4, line * wild(random, 6)));
  const rolled = rolledFt(ft, pace, random);
  if (Math.abs(angle) < window(ft, rolled)) return { holed: true, leftFt: 0 };
  return { holed: false, leftFt: Math.max(0.2, Math.hypot(rolled * Math.cos(angle) - ft, rolled * Math.sin(angle))) };
}

const NODES_FT = [1, 2, 3, 5, 8, 12, 20, 35, 60, 120];
const lines = new WeakMap<Level, number[]>();
/** How far off line putts of unit spread start, sorted. */
const OFF_LINE = (() => {
  const random = seededRandom(7);
  return Float64Array.from({ length: 4000 }, () => Math.abs(wild(random, 6))).sort();
})();

/** How wide a level's putts start, so that they drop as often as its putts do: by rolling some, each with every start. */
function linesOf(level: Level): number[] {
  let found = lines.get(level);
  if (!found) {
    found = NODES_FT.map((ft) => {
      const random = seededRandom(8);
      const windows = Array.from({ length: 600 }, () => window(ft, rolledFt(ft, level.pace, random)));
      const rate = (line: number) => windows.reduce((sum, wide) => sum + within(wide / line), 0) / windows.length;
      let [low, high] = [0.002, 0.2];
      for (let step = 0; step < 14; step++) {
        const line = Math.sqrt(low * high);
        if (rate(line) > level.makeRate(ft)) low = line;
        else high = line;
      }
      return Math.sqrt(low * high);
    });
    lines.set(level, found);
  }
  return found;
}

function within(width: number): number {
  let [low, high] = [0, OFF_LINE.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (OFF_LINE[middle]! < width) low = middle + 1;
    else high = middle;
  }
  return low / OFF_LINE.length;
}

function roll(who: Struck, ft: number, form: number, random: Random): Stop {
  const nodes = linesOf(who.level);
  const x = Math.log(Math.min(119, Math.max(1.01, ft)));
  const i = NODES_FT.findIndex((node) => Math.log(node) > x) - 1;
  const [a, b] = [Math.log(NODES_FT[i]!), Math.log(NODES_FT[i + 1]!)];
  const line = nodes[i]! + ((x - a) / (b - a)) * (nodes[i + 1]! - nodes[i]!);
  const { holed, leftFt } = putt(ft, line * Math.exp(who.line(ft) + form), who.level.pace * Math.exp(who.pace(ft)), random);
  return { holed, leftM: leftFt * METRES_PER.ft, landedLongM: 0, landedOffM: 0 };
}

/** Somebody made up: everything of one kind is somewhat alike, and each cell has something of its own. */
export function someone(handicap: number, level: Level, random: Random): Struck {
  const once = new Map<string, number>();
  const effect = (name: string, sd: number) => {
    if (!once.has(name)) once.set(name, sd * random.normal());
    return once.get(name)!;
  };
  const on = (what: string, by: number, { key, shotType, surface, distanceM }: Cell) =>
    by *
    (effect(what, 0.13) +
      effect(`${what} ${shotType}`, 0.16) +
      effect(`${what} ${surface}`, 0.13) +
      effect(`${what} far`, 0.09) * Math.log(distanceM / 15) +
      effect(`${what} ${key}`, 0.19));
  // Who lands the ball where it should land does not always judge its run.
  const apart = (what: string, cell: Cell) => on('scatter', 0.7, cell) + on(what, 0.75, cell);
  const putts = (what: string, ft: number, sd: number) =>
    effect(what, sd) + effect(`${what} ${Math.floor(Math.log2(Math.max(2, ft)))}`, 0.7 * sd);
  return {
    handicap,
    level,
    carry: (cell) => apart('carry', cell),
    run: (cell) => apart('run', cell),
    width: (cell) => apart('width', cell),
    mishits: (cell) => effect('mishits', 0.35) + effect(`mishits ${cell.key}`, 0.2),
    line: (ft) => putts('line', ft, 0.16),
    pace: (ft) => putts('pace', ft, 0.17),
  };
}

/** The form of day after day: it drifts, and comes back to nothing. */
export function drift(random: Random): () => number {
  const [SD, KEEPS] = [0.11, 0.6];
  let form = SD * random.normal();
  return () => {
    const today = form;
    form = KEEPS * form + SD * Math.sqrt(1 - KEEPS ** 2) * random.normal();
    return today;
  };
}
