import type { Random } from '../math/random';
import { METRES_PER } from '../units/length';
import { cellKey, type Cell } from '../skill/cells';
import { BLUR } from '../golf/blur';
import { addTo, binOf, placeOf, type BallGroup } from '../skill/groups';
import { expectedPutts, referencePutting } from '../golf/putting';
import type { Reference } from '../golf/reference';
import { simulateShot, type PlayerTruth } from './simulate';
import { isPutt } from '../golf/shot-types';

const EFFECT_SDS = { lie: 0.12, type: 0.15, slope: 0.1, lieAndType: 0.1, cell: 0.15 };
const DAY_SD = 0.1;
const DAY_BALLS = 10;
/** No ball that was measured lay nearer: it would be in the hole. */
const NEAREST_M = 0.06;

/**
 * A made-up player whose skill is known, to try the model with. They do not play as the model thinks (`simulateShot`):
 * depth and width are normal, mishits end anywhere, and some days are better than others. Their level lies between 5 and 25, unless it is given.
 */
export function madeUp(
  cells: readonly Cell[],
  random: Random,
  { factor = 1, level = 5 + 20 * random.uniform() }: { factor?: number; level?: number } = {},
): PlayerTruth {
  const once = new Map<string, number>();
  const effect = (name: string, sd: number) => {
    if (!once.has(name)) once.set(name, factor * sd * random.normal());
    return once.get(name)!;
  };
  const [putts, others] = [true, false].map((putt) => cells.filter(({ shotType }) => isPutt(shotType) === putt)) as [Cell[], Cell[]];
  /** What distance and the cell itself make of one spread of it, among cells of its kind. */
  const ownOf = (among: readonly Cell[]) => {
    const logs = among.map((cell) => Math.log(cell.distanceM));
    const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
    const sd = Math.sqrt(logs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / logs.length);
    return (spread: string, { shotType, key, distanceM }: Cell) =>
      effect(`${spread} ${shotType}`, EFFECT_SDS.type) +
      effect(`${spread} ${key}`, EFFECT_SDS.cell) +
      (effect(`${spread} slope`, EFFECT_SDS.slope) * (Math.log(distanceM) - mean)) / sd;
  };
  const [ofPutt, ofOther] = [ownOf(putts), ownOf(others)];
  const left = (cell: Cell) =>
    effect(cell.surface, EFFECT_SDS.lie) + effect(`${cell.surface} ${cell.shotType}`, EFFECT_SDS.lieAndType) + ofOther('left', cell);
  const putting = referencePutting(level);
  return {
    level,
    putting,
    puttingIn: Object.fromEntries(
      putts.map((cell) => [
        cell.key,
        {
          angle: putting.angle * Math.exp(ofPutt('direction', cell)),
          distance: putting.distance * Math.exp(ofPutt('length', cell)),
        },
      ]),
    ),
    effects: Object.fromEntries(others.map((cell) => [cell.key, left(cell)])),
  };
}

const green = (distanceM: number) => ({ shotType: 'putt', surface: 'green', distanceM, key: cellKey('putt', 'green', distanceM) }) as const;

/** Somebody who hits balls, whoever made them up: the next ball from somewhere, and a new day. */
export type Hitter = { hit: (shot: CellPlace) => { holed: boolean; leftM: number }; newDay: () => void; level: number };
type CellPlace = Pick<Cell, 'shotType' | 'surface' | 'distanceM' | 'key'>;

/** A made-up player as somebody who hits balls, some days better than others. */
export function hitterOf(player: PlayerTruth, reference: Reference, random: Random, daySd = DAY_SD): Hitter {
  let day = 0;
  return {
    level: player.level,
    hit: (shot) => simulateShot(player, shot, day, reference, random),
    newDay: () => void (day = daySd * random.normal()),
  };
}

/** The strokes that somebody really needs from each cell: of many balls on ordinary days; where they stop, the level putts. */
export function trueStrokes(hitter: Hitter, cells: readonly Cell[], balls: number): number[] {
  const level = expectedPutts(referencePutting(hitter.level));
  return cells.map((cell) => {
    let sum = 0;
    for (let n = 0; n < balls; n++) {
      if (isPutt(cell.shotType)) sum += puttsOf(hitter, cell.distanceM, 12);
      else {
        const { holed, leftM } = hitter.hit(cell);
        sum += holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft));
      }
    }
    return sum / balls;
  });
}

/** Putts to hole out from so far, counted up to so many. */
function puttsOf(hitter: Hitter, fromM: number, most: number): number {
  let putts = 0;
  for (let from = fromM; from > 0 && putts < most; putts++) {
    const { holed, leftM } = hitter.hit(green(from));
    from = holed ? 0 : Math.max(NEAREST_M, leftM);
  }
  return putts;
}

/** Which kinds of record a player keeps, in shares that add up to 1. */
export type Kinds = { exact: number; ring: number; circle: number; strokes: number };
export const MIXED: Kinds = { exact: 0.25, ring: 0.3, circle: 0.2, strokes: 0.25 };

/** Rings as a coach draws them, in shares of what a good player leaves from there; the circle is the second. */
const RINGS = [0.5, 1, 1.75, 2.5];
/** A good player, to whom targets are sized, whoever plays at them. */
const SIZED_TO = 10;

/** What is about the middle of what a good player leaves, in whole feet: of putts, of those that are missed. */
function sizeM({ shotType, surface, distanceM }: Cell, reference: Reference): number {
  const ft = isPutt(shotType) ? 0.08 * (distanceM / METRES_PER.ft) : reference.shot(SIZED_TO, shotType, surface, distanceM)!.medianLeftFt;
  return Math.max(1, Math.round(ft)) * METRES_PER.ft;
}

/** A ball from a cell as its ring says of it, the rings sized as a coach draws them. */
export function ringRecord(cell: Cell, { holed, leftM }: { holed: boolean; leftM: number }, reference: Reference): Omit<BallGroup, 'n'> {
  const putt = isPutt(cell.shotType);
  const base = { cell: cell.key, distanceM: placeOf(cell.distanceM), lo: 0, hi: 0, blur: 0, value: 0, lie: 0, spotM: 0 };
  if (holed) return putt ? { ...base, kind: 'made', value: 1 } : { ...base, kind: 'holed' };
  const edges = [0, ...RINGS.map((share) => share * sizeM(cell, reference)), Infinity];
  const ring = edges.findIndex((edge) => Math.max(NEAREST_M, leftM) < edge);
  return { ...base, kind: putt ? 'leave' : 'between', lo: edges[ring - 1]!, hi: edges[ring]! };
}

/** Evidence of so many balls, unevenly spread over the cells; ten balls a day. */
export function evidenceOf(
  hitter: Hitter,
  cells: readonly Cell[],
  reference: Reference,
  balls: number,
  random: Random,
  { kinds = MIXED, shareSd = 0.8 }: { kinds?: Kinds; shareSd?: number } = {},
): { groups: BallGroup[]; exactOnly: BallGroup[]; raw: { cell: number; strokes: number }[]; balls: number[] } {
  const shares = cells.map(() => Math.exp(shareSd * random.normal()));
  const sum = shares.reduce((a, b) => a + b, 0);
  const counts = cells.map(() => 0);
  const groups = new Map<string, BallGroup>();
  const exactOnly = new Map<string, BallGroup>();
  const raw: { cell: number; strokes: number }[] = [];
  const level = expectedPutts(referencePutting(hitter.level));
  for (let n = 0; n < balls; n++) {
    if (n % DAY_BALLS === 0) hitter.newDay();
    let at = random.uniform() * sum;
    const i = Math.min(cells.length - 1, shares.findIndex((share) => (at -= share) < 0) >>> 0);
    const cell = cells[i]!;
    counts[i]! += 1;
    const base = { cell: cell.key, distanceM: placeOf(cell.distanceM), lo: 0, hi: 0, blur: 0, value: 0, lie: 0, spotM: 0 };
    const add = (one: Omit<BallGroup, 'n'>) => addTo(groups, one, 1);
    const stopped = hitter.hit(cell);
    const { holed } = stopped;
    const leftM = Math.max(NEAREST_M, stopped.leftM);
    const how = random.uniform();
    const putt = isPutt(cell.shotType);
    const missed = putt ? ('leave' as const) : ('between' as const);
    const inHole: Omit<BallGroup, 'n'> = putt ? { ...base, kind: 'made', value: 1 } : { ...base, kind: 'holed' };
    const exact: Omit<BallGroup, 'n'> = { ...base, kind: missed, ...binOf(leftM), blur: BLUR.tape };
    if (how < kinds.exact) {
      add(holed ? inHole : exact);
      addTo(exactOnly, holed ? inHole : exact, 1);
      raw.push({ cell: i, strokes: holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft)) });
    } else if (how < kinds.exact + kinds.ring) {
      add(ringRecord(cell, stopped, reference));
    } else if (how < kinds.exact + kinds.ring + kinds.circle) {
      const radius = sizeM(cell, reference);
      add(holed ? inHole : { ...base, kind: missed, lo: leftM < radius ? 0 : radius, hi: leftM < radius ? radius : Infinity });
    } else {
      const strokes = holed ? 1 : 1 + puttsOf(hitter, leftM, 3);
      const kind = putt ? ('putted' as const) : ('strokes' as const);
      add(putt && holed ? inHole : { ...base, kind, value: Math.min(3, strokes) });
      raw.push({ cell: i, strokes });
    }
  }
  return { groups: [...groups.values()], exactOnly: [...exactOnly.values()], raw, balls: counts };
}
