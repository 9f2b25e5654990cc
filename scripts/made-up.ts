import { drift, someone, strikeBall, type Level } from '@/core/testing/carry-and-run';
import { levelOf, plainPlayer } from '@/core/testing/plain';
import { seededRandom, type Random } from '@/core/math/random';
import type { Cell } from '@/core/skill/cells';
import { along, type Curve } from '@/core/math/piecewise';
import { hitterOf, madeUp, trueStrokes, type Hitter } from '@/core/made-up/players';
import { referencePutting } from '@/core/golf/putting';
import { shippedReference as reference } from '@/core/golf/reference';
import { simulateShot } from '@/core/made-up/simulate';

/** The two ways in which players are made up, by number. */
export const GENERATORS = [1, 2] as const;
export type Generator = (typeof GENERATORS)[number];

/** How uneven players are, and how much a day does, against what is usual. */
export type Unevenness = { factor?: number; daySd?: number };

/** Levels of the second generator, a tenth apart. */
const levels = new Map<number, Level>();

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
    const player = madeUp(cells, random, { factor });
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

/** Levels at which a generator's own level is tried, and how many balls of each cell. */
const TRIED_LEVELS = [5, 12, 19, 26];
const TRIED_BALLS = 40_000;
const needed = new Map<string, Curve>();

/**
 * The strokes that a level needs from a cell as a generator plays it, with nothing of its own: what its players lose is counted against.
 * It differs from the table's by a hundredth or so, since a level is no more to a generator than how far its ball in the middle stops.
 */
export function levelNeeds(generator: Generator, cell: Cell, level: number): number {
  const key = `${generator}|${cell.key}`;
  let curve = needed.get(key);
  if (!curve) {
    curve = TRIED_LEVELS.map((at) => {
      const random = seededRandom(at);
      const who = plainPlayer(at);
      const plain: Hitter =
        generator === 1
          ? hitterOf({ level: at, putting: referencePutting(at), effects: {} }, reference, random, 0)
          : { level: at, hit: (shot) => strikeBall(who, shot, 0, random), newDay: () => {} };
      return [at, trueStrokes(plain, [cell], TRIED_BALLS)[0]!];
    });
    needed.set(key, curve);
  }
  return along(curve, level);
}
