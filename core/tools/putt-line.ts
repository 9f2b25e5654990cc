import { mean } from 'd3-array';
import { normalCdf, normalQuantile } from '../math/normal';
import { METRES_PER } from '../units/length';
import { linePutt, rollPutt, type PuttGround, type PuttLine } from '../physics/putt';
import type { PuttingSkill } from '../golf/putting';

/** How far past the hole a putt would stop if there were none, as it can be called: in metres. */
export const PACES = [
  { key: 'dying', pastM: 0.5 * METRES_PER.ft },
  { key: 'usual', pastM: METRES_PER.ft },
  { key: 'firm', pastM: 3 * METRES_PER.ft },
] as const;
export type PacePlayed = (typeof PACES)[number]['key'];

/** A putt with one pace: its line, how much room it leaves, and what becomes of it. */
export type PuttPlan = PuttLine & {
  pastM: number;
  /** Where to aim: to the right of the hole, beside it, in metres. */
  asideM: number;
  /** With this pace it drops between these aims, in metres to the right of the hole. */
  window: { fromM: number; toM: number };
  /** On this line it drops from this speed to that, as the length it would roll on the level, in metres. */
  lengths: { fromM: number; toM: number };
  /** How often somebody holes it, of balls that start and roll as theirs do. */
  makes: number;
  /** Where it stops when it goes by: past the hole, in metres; null where it never stops. */
  missedPastM: number | null;
  /** Between what it stops, 8 times in 10, if there were no hole: metres past it, negative short; null where it never stops. */
  leaves: { fromM: number | null; toM: number | null };
};

/** Lengths that stand for all of somebody's, as standard deviations. */
const LENGTHS = Array.from({ length: 16 }, (_, i) => normalQuantile((i + 0.5) / 16));
const HALVINGS = 11;
const EIGHT_IN_TEN = 1.2816;

/**
 * A putt played with one pace.
 * @returns null where there is no reliable line
 */
export function planPutt(distanceM: number, pastM: number, ground: PuttGround, skill: PuttingSkill): PuttPlan | null {
  const line = linePutt(distanceM, pastM, ground);
  if (!line) return null;
  const drops = (speed: number, aimRad: number) => rollPutt(distanceM, speed, aimRad, ground).holed;
  if (!drops(line.speed, line.aimRad)) return null;
  const between = (inside: number, outside: number, holds: (value: number) => boolean) => {
    let [good, bad] = [inside, outside];
    for (let n = 0; n < HALVINGS; n++) {
      const middle = (good + bad) / 2;
      if (holds(middle)) good = middle;
      else bad = middle;
    }
    return good;
  };
  const aims = (speed: number, from: number): [number, number] => {
    const holds = (aim: number) => drops(speed, aim);
    return [between(from, from - WIDE_RAD, holds), between(from, from + WIDE_RAD, holds)];
  };
  const [left, right] = aims(line.speed, line.aimRad);
  const paced = (length: number) => line.speed * Math.sqrt(Math.max(0, length));
  const lengthM = distanceM + pastM;
  const [shortest, longest] = [between(1, 0.3, (f) => drops(paced(f), line.aimRad)), between(1, 4, (f) => drops(paced(f), line.aimRad))];
  const makes = mean(LENGTHS, (z) => {
    const speed = paced(1 + skill.distance * z);
    if (speed <= 0) return 0;
    const from = openAim(speed, line.aimRad, drops);
    if (from === null) return 0;
    const [a, b] = aims(speed, from);
    return normalCdf((b - line.aimRad) / skill.angle) - normalCdf((a - line.aimRad) / skill.angle);
  })!;
  const past = (speed: number) => {
    const stops = rollPutt(distanceM, speed, line.aimRad, ground, false).stops;
    return stops && Math.hypot(stops[0], stops[1] - distanceM) * Math.sign(stops[1] - distanceM || 1);
  };
  const [shorter, longer] = [-EIGHT_IN_TEN, EIGHT_IN_TEN].map((z) => past(paced(1 + skill.distance * z))) as [number | null, number | null];
  const aside = (aim: number) => Math.tan(aim) * distanceM;
  return {
    ...line,
    pastM,
    asideM: aside(line.aimRad),
    window: { fromM: aside(left), toM: aside(right) },
    lengths: { fromM: shortest * lengthM, toM: longest * lengthM },
    makes,
    missedPastM: past(line.speed),
    leaves: { fromM: shorter, toM: longer },
  };
}

/** No putt drops that starts so far off its line, in radians. */
const WIDE_RAD = 0.35;
/** An aim near the line with which a ball of this speed drops: another pace takes another line. */
function openAim(speed: number, aimRad: number, drops: (speed: number, aim: number) => boolean): number | null {
  for (let off = 0; off <= 0.16; off += 0.005)
    for (const side of off === 0 ? [1] : [1, -1]) if (drops(speed, aimRad + side * off)) return aimRad + side * off;
  return null;
}

/** The way a putt takes, from the ball on, every few steps: metres to the right and ahead. */
export function pathOf(distanceM: number, { speed, aimRad }: PuttLine, ground: PuttGround, capture = true): [number, number][] {
  const path: [number, number][] = [[0, 0]];
  rollPutt(distanceM, speed, aimRad, ground, capture, ([x, y]) => path.push([x, y]));
  return path.filter((_, i) => i % 4 === 0 || i === path.length - 1);
}
