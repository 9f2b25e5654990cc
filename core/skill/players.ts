import type { Random } from '../math/random';
import { METRES_PER } from '../units/length';
import type { Cell } from './cells';
import { addTo, binOf, BLUR, type Group } from './groups';
import { expectedPutts, referencePutting } from './putting';
import type { Reference } from './reference';
import { simulateShot, type PlayerTruth } from './simulate';

export type Unevenness = { factor?: number; daySd?: number };

const EFFECT_SDS = { lie: 0.12, type: 0.15, slope: 0.1, lieAndType: 0.1, cell: 0.15, angle: 0.15, length: 0.18 };
const DAY_SD = 0.1;
const DAY_BALLS = 10;
/** No ball that was measured lay nearer: it would be in the hole. */
const NEAREST_M = 0.06;

/**
 * A made-up player whose skill is known, to try the model with. They do not play as the model thinks (`simulateShot`):
 * depth and width are normal, mishits end anywhere, and some days are better than others.
 */
export function madeUp(cells: readonly Cell[], random: Random, { factor = 1 }: Unevenness = {}): PlayerTruth {
  const level = 5 + 20 * random.uniform();
  const once = new Map<string, number>();
  const effect = (name: string, sd: number) => {
    if (!once.has(name)) once.set(name, factor * sd * random.normal());
    return once.get(name)!;
  };
  const logs = cells.map((cell) => Math.log(cell.distanceM));
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  const sd = Math.sqrt(logs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / logs.length);
  const effects = Object.fromEntries(
    cells
      .filter((cell) => cell.shotType !== 'putt')
      .map(({ surface, shotType, key, distanceM }) => [
        key,
        effect(surface, EFFECT_SDS.lie) +
          effect(shotType, EFFECT_SDS.type) +
          effect(`${surface}+${shotType}`, EFFECT_SDS.lieAndType) +
          effect(key, EFFECT_SDS.cell) +
          (effect('slope', EFFECT_SDS.slope) * (Math.log(distanceM) - mean)) / sd,
      ]),
  );
  const of = referencePutting(level);
  const putting = {
    angle: of.angle * Math.exp(factor * EFFECT_SDS.angle * random.normal()),
    distance: of.distance * Math.exp(factor * EFFECT_SDS.length * random.normal()),
  };
  return { level, putting, effects };
}

const green = (distanceM: number) => ({ shotType: 'putt', surface: 'green', distanceM }) as const;

/** What a player really loses in each cell against their level, in strokes: of many balls, the same for both. */
export function trueLost(player: PlayerTruth, cells: readonly Cell[], reference: Reference, balls: number, random: Random): number[] {
  const of = referencePutting(player.level);
  const [own, level] = [expectedPutts(player.putting), expectedPutts(of)];
  return cells.map((cell) => {
    if (cell.shotType === 'putt') return own(cell.distanceM / METRES_PER.ft) - level(cell.distanceM / METRES_PER.ft);
    const mean = (truth: PlayerTruth) => {
      let sum = 0;
      for (let n = 0; n < balls; n++) {
        const { holed, leftM } = simulateShot(truth, cell, 0, reference, random);
        sum += holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft));
      }
      return sum / balls;
    };
    return mean(player) - mean({ ...player, effects: {} });
  });
}

/** Which kinds of record a player keeps, in shares that add up to 1. */
export type Kinds = { exact: number; ring: number; circle: number; strokes: number };
export const MIXED: Kinds = { exact: 0.25, ring: 0.3, circle: 0.2, strokes: 0.25 };

const RINGS_FT = [3, 6, 10, 15];

/** Evidence of so many balls, unevenly spread over the cells. */
export function evidenceOf(
  player: PlayerTruth,
  cells: readonly Cell[],
  reference: Reference,
  balls: number,
  random: Random,
  { kinds = MIXED, daySd = DAY_SD }: { kinds?: Kinds } & Unevenness = {},
): { groups: Group[]; exactOnly: Group[]; raw: { cell: number; strokes: number }[] } {
  const shares = cells.map(() => Math.exp(0.8 * random.normal()));
  const sum = shares.reduce((a, b) => a + b, 0);
  const groups = new Map<string, Group>();
  const exactOnly = new Map<string, Group>();
  const raw: { cell: number; strokes: number }[] = [];
  const level = expectedPutts(referencePutting(player.level));
  let day = 0;
  for (let n = 0; n < balls; n++) {
    if (n % DAY_BALLS === 0) day = daySd * random.normal();
    let at = random.uniform() * sum;
    const i = Math.min(cells.length - 1, shares.findIndex((share) => (at -= share) < 0) >>> 0);
    const cell = cells[i]!;
    const base = { cell: cell.key, distanceM: Math.round(cell.distanceM * 4) / 4, lo: 0, hi: 0, blur: 0, value: 0, lie: 0 };
    const add = (one: Omit<Group, 'n'>) => addTo(groups, one, 1);
    const stopped = simulateShot(player, cell, day, reference, random);
    const { holed } = stopped;
    const leftM = Math.max(NEAREST_M, stopped.leftM);
    if (cell.shotType === 'putt') {
      const one: Omit<Group, 'n'> = { ...base, kind: 'made', value: holed ? 1 : 0 };
      add(one);
      addTo(exactOnly, one, 1);
      raw.push({ cell: i, strokes: holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft)) });
      continue;
    }
    const how = random.uniform();
    const exact: Omit<Group, 'n'> = { ...base, kind: 'between', ...binOf(leftM), blur: BLUR.tape };
    const inHole: Omit<Group, 'n'> = { ...base, kind: 'holed' };
    if (how < kinds.exact) {
      add(holed ? inHole : exact);
      addTo(exactOnly, holed ? inHole : exact, 1);
      raw.push({ cell: i, strokes: holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft)) });
    } else if (how < kinds.exact + kinds.ring) {
      const edges = [0, ...RINGS_FT.map((ft) => ft * METRES_PER.ft), Infinity];
      const ring = edges.findIndex((edge) => leftM < edge);
      add(holed ? inHole : { ...base, kind: 'between', lo: edges[ring - 1]!, hi: edges[ring]! });
    } else if (how < kinds.exact + kinds.ring + kinds.circle) {
      const radius = 6 * METRES_PER.ft;
      add(holed ? inHole : { ...base, kind: 'between', lo: leftM < radius ? 0 : radius, hi: leftM < radius ? radius : Infinity });
    } else {
      let strokes = 1;
      for (let from = holed ? 0 : leftM; from > 0 && strokes < 4; strokes++) {
        const putt = simulateShot(player, green(from), day, reference, random);
        from = putt.holed ? 0 : Math.max(NEAREST_M, putt.leftM);
      }
      add({ ...base, kind: 'strokes', value: Math.min(3, strokes) });
      raw.push({ cell: i, strokes });
    }
  }
  return { groups: [...groups.values()], exactOnly: [...exactOnly.values()], raw };
}
