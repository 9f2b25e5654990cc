import { capital, counted, formatLength } from '../units/format';
import type { Bias } from './play-as';
import type { LengthUnit } from '../units/length';
import type { Ladder, LookedUp, SwingCell } from './swing-chart';

/** "54° to hip". */
export const saySwing = ({ club, mark }: Pick<SwingCell, 'club' | 'mark'>): string => `${club} to ${mark}`;

/** How a looked-up swing fits: "on the number", "hit it 2 yd harder", "take 3 yd off it". */
export function sayFit({ offM }: LookedUp, unit: LengthUnit): string {
  const off = formatLength(Math.abs(offM), unit, 0);
  if (off.startsWith('0 ')) return 'on the number';
  return offM > 0 ? `${off} more than it carries` : `take ${off} off it`;
}

/** Gaps and overlaps, a sentence each. */
export function sayLadder({ gaps, overlaps }: Ladder, unit: LengthUnit): string[] {
  const says = (metres: number) => formatLength(metres, unit, 0);
  return [
    ...gaps.map(({ fromM, toM }) => `Nothing between ${says(fromM)} and ${says(toM)}.`),
    ...overlaps.map(
      ({ one, other }) => `${capital(saySwing(one))} and ${saySwing(other)} carry the same, ${says((one.carryM + other.carryM) / 2)}.`,
    ),
  ];
}

/** "Played for 50, balls carry 48 on average (50 balls)." */
export function sayBias({ share, balls }: Bias): string {
  return Math.abs(share - 1) < 0.015
    ? `Balls carry the distance they’re played for (${counted(balls, 'ball')}).`
    : `Played for 50, balls carry ${Math.round(50 * share)} (${counted(balls, 'ball')}).`;
}
