import { bisectRight } from 'd3-array';
import type { ShotType, Surface } from '../golf/words';
import type { Cell } from '../skill/cells';

/** Cells that are one skill for a table of players: all distances of a shot type from a surface. */
export type Kind = { key: string; shotType: ShotType; surface: Surface; cells: number[] };

/** The kinds that the cells fall into, in their order. */
export function kindsOf(cells: readonly Cell[]): Kind[] {
  const kinds = new Map<string, Kind>();
  cells.forEach(({ shotType, surface }, i) => {
    const key = `${shotType}|${surface}`;
    const held = kinds.get(key);
    if (held) held.cells.push(i);
    else kinds.set(key, { key, shotType, surface, cells: [i] });
  });
  return [...kinds.values()];
}

/** Strokes lost in several cells together, draw by draw, each cell by its weight. */
export function together(lost: readonly ArrayLike<number>[], cells: readonly number[], weights: readonly number[]): Float64Array {
  const sum = new Float64Array(lost[0]?.length ?? 0);
  for (const cell of cells) for (let draw = 0; draw < sum.length; draw++) sum[draw]! += lost[cell]![draw]! * weights[cell]!;
  return sum;
}

/** The chance that `a` is less than `b`, of draws that know nothing of each other: every one against every one. */
export function chanceLess(a: Float64Array, b: Float64Array): number {
  const sorted = Float64Array.from(b).sort();
  let less = 0;
  for (const value of a) less += sorted.length - bisectRight(sorted, value);
  return a.length === 0 || b.length === 0 ? 0.5 : less / (a.length * b.length);
}
