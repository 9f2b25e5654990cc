import { signed } from './format';

/** How strokes against a level are shown: as lost, where a minus gains, or as gained, where a plus gains. */
export const STROKES_AS = ['lost', 'gained'] as const;
export type StrokesAs = (typeof STROKES_AS)[number];

/** Strokes lost, to two decimals and in the chosen sign: "0.28" lost is "−0.28" gained, "−0.07" lost is "+0.07" gained. */
export function sayStrokes(lost: number, as: StrokesAs): string {
  if (as === 'lost') return signed(lost);
  const figure = signed(-lost);
  return lost < 0 && figure !== '0.00' ? `+${figure}` : figure;
}

/** Between what strokes lost lie, the smaller figure first: "0.10 to 0.40" lost is "−0.40 to −0.10" gained. */
export function sayBetween([low, high]: readonly [number, number], as: StrokesAs): string {
  const ends = as === 'lost' ? [low, high] : [high, low];
  return ends.map((end) => sayStrokes(end, as)).join(' to ');
}
