import type { Random } from '../math/random';
import { METRES_PER } from '../units/length';
import type { Cell } from './cells';
import { addTo, binOf, BLUR, type Group } from './groups';
import { expectedPutts, referencePutting, type PuttingSkill } from './putting';
import type { Reference } from './reference';

/**
 * Made-up players whose skill is known, to try the model with. They are not made as the model thinks: depth and width are
 * normal, mishits end anywhere, and some days are better than others.
 */
export type MadeUp = {
  level: number;
  putting: PuttingSkill;
  /** Of each cell, added to the logarithm of the level's own depth. */
  effects: number[];
};

export type Unevenness = { factor?: number; daySd?: number };

const EFFECT_SDS = { lie: 0.12, type: 0.15, slope: 0.1, lieAndType: 0.1, cell: 0.15, angle: 0.15, length: 0.18 };
const DAY_SD = 0.1;
const DAY_BALLS = 10;
const MEDIAN_IN_DEPTH_SDS = 0.878;
const SHORT_SDS = 0.15;
const DROPS_WIDE_M = 0.036;
const DROPS_PAST_M = 0.9;
const BAD_LIES = ['heavy_rough', 'sand', 'bare'];

export function madeUp(cells: readonly Cell[], random: Random, { factor = 1 }: Unevenness = {}): MadeUp {
  const level = 5 + 20 * random.uniform();
  const once = new Map<string, number>();
  const effect = (name: string, sd: number) => {
    if (!once.has(name)) once.set(name, factor * sd * random.normal());
    return once.get(name)!;
  };
  const logs = cells.map((cell) => Math.log(cell.distanceM));
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  const sd = Math.sqrt(logs.reduce((sum, x) => sum + (x - mean) ** 2, 0) / logs.length);
  const effects = cells.map(({ surface, shotType, key, distanceM }) =>
    shotType === 'putt'
      ? 0
      : effect(surface, EFFECT_SDS.lie) +
        effect(shotType, EFFECT_SDS.type) +
        effect(`${surface}+${shotType}`, EFFECT_SDS.lieAndType) +
        effect(key, EFFECT_SDS.cell) +
        (effect('slope', EFFECT_SDS.slope) * (Math.log(distanceM) - mean)) / sd,
  );
  const of = referencePutting(level);
  const putting = {
    angle: of.angle * Math.exp(factor * EFFECT_SDS.angle * random.normal()),
    distance: of.distance * Math.exp(factor * EFFECT_SDS.length * random.normal()),
  };
  return { level, putting, effects };
}

const mishitChance = (level: number, surface: string) => (0.02 + (0.2 * level) / 28) * (BAD_LIES.includes(surface) ? 1.4 : 1);

function depthOf(reference: Reference, level: number, cell: Cell, distanceM: number, effect: number): number {
  const shot = reference.shot(level, cell.shotType, cell.surface, distanceM)!;
  return (shot.medianLeftFt * METRES_PER.ft * Math.exp(effect)) / MEDIAN_IN_DEPTH_SDS;
}

type Ball = { holed: boolean; leftM: number };

/** One ball from off the green. */
function ballOf(reference: Reference, level: number, cell: Cell, distanceM: number, effect: number, random: Random): Ball {
  const sd = depthOf(reference, level, cell, distanceM, effect);
  const mishit = random.uniform() < mishitChance(level, cell.surface);
  const depth = mishit ? distanceM * 0.85 * (2 * random.uniform() - 1) : sd * (random.normal() - SHORT_SDS);
  const width = (sd / 2) * random.normal();
  return {
    holed: !mishit && Math.abs(width) < DROPS_WIDE_M && depth >= 0 && depth < DROPS_PAST_M,
    leftM: Math.max(0.06, Math.hypot(depth, width)),
  };
}

function puttOf({ angle, distance }: PuttingSkill, distanceM: number, day: number, random: Random): Ball {
  const ft = distanceM / METRES_PER.ft;
  const direction = angle * Math.exp(day) * random.normal();
  const rolled = Math.max(0, (ft + 1) * (1 + distance * random.normal()));
  const reach = (2.125 - 0.84) / 12;
  const holed = Math.abs(direction) < (ft <= reach ? Math.PI / 2 : Math.asin(reach / ft)) && rolled >= ft && rolled < ft + 3;
  return { holed, leftM: Math.max(0.06, Math.hypot(rolled * Math.sin(direction), rolled * Math.cos(direction) - ft) * METRES_PER.ft) };
}

/** What a player really loses in each cell against their level, in strokes: of many balls, the same for both. */
export function trueLost(player: MadeUp, cells: readonly Cell[], reference: Reference, balls: number, random: Random): number[] {
  const of = referencePutting(player.level);
  const [own, level] = [expectedPutts(player.putting), expectedPutts(of)];
  return cells.map((cell, i) => {
    if (cell.shotType === 'putt') return own(cell.distanceM / METRES_PER.ft) - level(cell.distanceM / METRES_PER.ft);
    const mean = (effect: number) => {
      let sum = 0;
      for (let n = 0; n < balls; n++) {
        const { holed, leftM } = ballOf(reference, player.level, cell, cell.distanceM, effect, random);
        sum += holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft));
      }
      return sum / balls;
    };
    return mean(player.effects[i]!) - mean(0);
  });
}

/** Which kinds of record a player keeps, in shares that add up to 1. */
export type Kinds = { exact: number; ring: number; circle: number; strokes: number };
export const MIXED: Kinds = { exact: 0.25, ring: 0.3, circle: 0.2, strokes: 0.25 };

const RINGS_FT = [3, 6, 10, 15];

/** Evidence of so many balls, unevenly spread over the cells. */
export function evidenceOf(
  player: MadeUp,
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
    if (cell.shotType === 'putt') {
      const { holed, leftM } = puttOf(player.putting, cell.distanceM, day, random);
      const one: Omit<Group, 'n'> = { ...base, kind: 'made', value: holed ? 1 : 0 };
      add(one);
      addTo(exactOnly, one, 1);
      raw.push({ cell: i, strokes: holed ? 1 : 1 + Math.max(1, level(leftM / METRES_PER.ft)) });
      continue;
    }
    const { holed, leftM } = ballOf(reference, player.level, cell, cell.distanceM, player.effects[i]! + day, random);
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
        const putt = puttOf(player.putting, from, day, random);
        from = putt.holed ? 0 : putt.leftM;
      }
      add({ ...base, kind: 'strokes', value: Math.min(3, strokes) });
      raw.push({ cell: i, strokes });
    }
  }
  return { groups: [...groups.values()], exactOnly: [...exactOnly.values()], raw };
}
