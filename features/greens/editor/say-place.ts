import type { Point } from '@/core/geometry/point';
import { fromMetres, METRES_PER, type UnitSystem } from '@/core/units/length';

/** The steps with the arrow keys: one, with Shift five, with Alt a foot or a tenth of a metre. */
export function stepM(system: UnitSystem, keys: { shiftKey: boolean; altKey: boolean }): number {
  const unit = system === 'metric' ? 1 : METRES_PER.yd;
  if (keys.shiftKey) return 5 * unit;
  return keys.altKey ? (system === 'metric' ? 0.1 : METRES_PER.ft) : unit;
}

/** A place on the plan, on a grid of half a foot or a tenth of a metre: where a finger puts something down. */
export function onGrid([x, y]: Point, system: UnitSystem): Point {
  const grid = system === 'metric' ? 0.1 : METRES_PER.ft / 2;
  const round = (metres: number) => Math.round(metres / grid) * grid;
  return [round(x), round(y)];
}

/** "6 yd right, 10 yd up": a place as it is read out, from the middle of the plan. */
export function sayPlace([x, y]: Point, system: UnitSystem): string {
  const unit = system === 'metric' ? 'm' : 'yd';
  const one = (metres: number, more: string, less: string) => {
    const n = Math.round(fromMetres(metres, unit) * 10) / 10;
    return n === 0 ? '' : `${Math.abs(n)} ${unit} ${n > 0 ? more : less}`;
  };
  return [one(x, 'right', 'left'), one(y, 'up', 'down')].filter(Boolean).join(', ') || 'in the middle';
}

const ARROWS: Readonly<Record<string, Point>> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] };

/** The way an arrow key points on the plan; undefined for another key. */
export function arrowOf(key: string): Point | undefined {
  return ARROWS[key];
}
