import { drift, someone, strikeBall } from '@/core/testing/carry-and-run';
import { seededRandom, type Random } from '@/core/math/random';
import type { Cell } from '@/core/skill/cells';
import { hitterOf, madeUp, type Hitter } from '@/core/skill/players';
import { makeRate, referencePutting } from '@/core/skill/putting';
import { shippedReference as reference } from '@/core/skill/reference';
import { simulateShot } from '@/core/skill/simulate';
import { METRES_PER } from '@/core/units/length';

/** The two ways in which players are made up, by number. */
export const GENERATORS = [1, 2] as const;
export type Generator = (typeof GENERATORS)[number];

/** How uneven players are, and how much a day does, against what is usual. */
export type Unevenness = { factor?: number; daySd?: number };

/** Levels of the second generator, a tenth apart: what a level leaves and holes is all that it is told. */
const levels = new Map<number, ReturnType<typeof levelOf>>();
function levelOf(level: number) {
  const putting = referencePutting(level);
  return {
    medianLeftM: (...[shotType, surface, distanceM]: Parameters<Parameters<typeof someone>[1]['medianLeftM']>) =>
      reference.shot(level, shotType, surface, distanceM)!.medianLeftFt * METRES_PER.ft,
    makeRate: (ft: number) => makeRate(putting, ft),
    pace: putting.distance,
  };
}

/**
 * A made-up player between level 5 and 25, twice: as they hit balls when they practise, and on ordinary days, for what is true of them.
 * @param more what is added to the logarithm of what they leave when they practise, asked before every ball
 */
export function makePlayer(
  generator: Generator,
  cells: readonly Cell[],
  seed: number,
  { factor = 1, daySd = 0.1 }: Unevenness = {},
  more: () => number = () => 0,
): { practising: Hitter; ordinary: Hitter; random: Random } {
  const random = seededRandom(seed);
  const other = seededRandom(seed + 500_009);
  if (generator === 1) {
    const player = madeUp(cells, random, factor);
    let day = 0;
    return {
      practising: {
        level: player.level,
        hit: (shot) => simulateShot(player, shot, day + more(), reference, random),
        newDay: () => void (day = daySd * random.normal()),
      },
      ordinary: hitterOf(player, reference, other),
      random,
    };
  }
  const level = Math.round(10 * (5 + 20 * random.uniform())) / 10;
  let own = levels.get(level);
  if (!own) levels.set(level, (own = levelOf(level)));
  const who = someone(level, own, random);
  const forms = drift(random);
  let form = 0;
  return {
    practising: { level, hit: (shot) => strikeBall(who, shot, form + more(), random), newDay: () => void (form = forms()) },
    ordinary: { level, hit: (shot) => strikeBall(who, shot, 0, other), newDay: () => {} },
    random,
  };
}
