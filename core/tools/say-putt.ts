import { HOLE_R } from '../physics/putt';
import { formatLength } from '../units/format';
import { METRES_PER, type UnitSystem } from '../units/length';
import type { PacePlayed, PuttPlan } from './putt-line';

/** How a pace is called. */
export function sayPace(pace: PacePlayed, units: UnitSystem): string {
  if (pace === 'usual') return units === 'metric' ? '30 cm past' : 'A foot past';
  return pace === 'dying' ? 'Dying in' : 'Firm';
}

/** Nearer to the middle of the hole than this is straight at it. */
const STRAIGHT_M = 0.5 * METRES_PER.in;

/** Where to aim: "at the middle", "inside right", "4 in outside the right edge". */
export function sayAim(asideM: number, units: UnitSystem): string {
  const off = Math.abs(asideM);
  const side = asideM > 0 ? 'right' : 'left';
  if (off < STRAIGHT_M) return 'at the middle of the hole';
  if (off <= HOLE_R) return `inside the ${side} edge`;
  const outside = off - HOLE_R;
  const length = units === 'metric' ? sayCentimetres(outside) : sayInches(outside / METRES_PER.in);
  return `${length} outside the ${side} edge`;
}

/** Centimetres up to a metre, then metres. */
const sayCentimetres = (metres: number) => (metres < 0.995 ? `${Math.max(1, Math.round(metres * 100))} cm` : `${metres.toFixed(1)} m`);

/** Inches up to two feet, then feet. */
function sayInches(inches: number): string {
  const whole = Math.max(1, Math.round(inches));
  return whole < 24 ? `${whole} in` : formatLength(inches * METRES_PER.in, 'ft');
}

/** How wide it is: in inches or centimetres at the hole. */
export function sayWide({ window }: Pick<PuttPlan, 'window'>, units: UnitSystem): string {
  const wide = window.toM - window.fromM;
  return units === 'metric' ? sayCentimetres(wide) : `${Math.round(wide / METRES_PER.in)} in`;
}

/** Where a putt of this player stops, 8 times in 10, were there no hole: "1 ft short to 3 ft past". */
export function sayLeaves({ leaves: { fromM, toM } }: Pick<PuttPlan, 'leaves'>, units: UnitSystem): string {
  const says = (metres: number | null) => {
    if (metres === null) return 'no end in sight';
    const length = units === 'metric' ? `${Math.abs(metres).toFixed(1)} m` : formatLength(Math.abs(metres), 'ft', 1);
    return `${length} ${metres < 0 ? 'short' : 'past'}`;
  };
  return `${says(fromM)} to ${says(toM)}`;
}

/** "1 in 4", "9 in 10": a chance as golfers say it. */
export function sayChance(chance: number): string {
  if (chance >= 0.95) return chance >= 0.995 ? 'nearly always' : '19 in 20';
  if (chance >= 0.75) return `${Math.round(chance * 10)} in 10`;
  if (chance >= 0.6) return '2 in 3';
  if (chance >= 0.42) return '1 in 2';
  if (chance >= 0.29) return '1 in 3';
  return chance < 0.01 ? 'hardly ever' : `1 in ${Math.round(1 / chance)}`;
}

/** What is taken for granted of a putt on a slope, a line each. */
export const PUTT_TAKEN_FOR_GRANTED: readonly string[] = [
  'The slope is read right, and even all the way: in play the read adds its own error, so expect to hole fewer.',
  'Grain, spike marks and wind are not in it.',
  'The odds are for how this player starts and paces putts on the level.',
];
