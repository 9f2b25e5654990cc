import { isPutt } from '../golf/shot-types';
import type { Surface } from '../golf/words';
import type { Cell } from '../skill/cells';

/** Home grounds: by how much more often shots come up from each surface than on an ordinary course. Judgements, to be changed cell by cell. */
export const GROUNDS = {
  firm: { label: 'Firm and bare', more: { fairway: 1.3, bare: 2.5, light_rough: 0.8, heavy_rough: 0.4, fringe: 1.1, sand: 0.9, green: 1 } },
  soft: {
    label: 'Soft and thick',
    more: { fairway: 0.7, bare: 0.2, light_rough: 1.2, heavy_rough: 1.8, fringe: 0.9, sand: 1.1, green: 1 },
  },
} as const satisfies Record<string, { label: string; more: Record<Surface, number> }>;
export type CourseGround = keyof typeof GROUNDS;

/** A round mix on a home ground: as many shots from off the green as before, from other surfaces. */
export function onGround(cells: readonly Cell[], mix: Readonly<Record<string, number>>, ground: CourseGround): Record<string, number> {
  const off = cells.filter(({ shotType }) => !isPutt(shotType));
  const { more } = GROUNDS[ground];
  const total = (of: (cell: Cell) => number) => off.reduce((sum, cell) => sum + of(cell), 0);
  const plain = (cell: Cell) => mix[cell.key] ?? 0;
  const weighed = (cell: Cell) => plain(cell) * more[cell.surface];
  const share = total(weighed) === 0 ? 1 : total(plain) / total(weighed);
  return { ...mix, ...Object.fromEntries(off.map((cell) => [cell.key, weighed(cell) * share])) };
}
