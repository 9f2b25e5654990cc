import * as z from 'zod';
import { snap } from '../units/length';

/** A place on a plan: metres to the right and metres up, from the plan's own origin. */
export type Point = readonly [x: number, y: number];

/** Farther than this from its origin no plan reaches. */
export const FARTHEST_M = 500;

/** On the storage grid of 0.0001 m, and never the zero with a minus. */
function onGrid(metres: number): number {
  return snap(metres) + 0;
}

const coordinate = z
  .number({ error: 'A place is two numbers, in metres.' })
  .min(-FARTHEST_M, `A plan reaches ${FARTHEST_M} m from its middle.`)
  .max(FARTHEST_M, `A plan reaches ${FARTHEST_M} m from its middle.`)
  .transform(onGrid);
/** Not `readonly()`, which freezes: frozen arrays are read many times slower. */
export const pointSchema = z.tuple([coordinate, coordinate], { error: 'A place is two numbers, in metres.' }).transform((at): Point => at);

/** Metres between two places. */
export function distance(a: Point, b: Point): number {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  // Not Math.hypot, which guards against overflows that no plan has and takes many times as long.
  return Math.sqrt(dx * dx + dy * dy);
}

/** The direction from one place to another, of length 1; straight up where they are the same. */
export function unit(a: Point, b: Point): Point {
  const d = distance(a, b);
  return d === 0 ? [0, 1] : [(b[0] - a[0]) / d, (b[1] - a[1]) / d];
}

/** The direction a quarter turn to the left. */
export function leftOf([x, y]: Point): Point {
  return [-y, x];
}

export function dot(a: Point, b: Point): number {
  return a[0] * b[0] + a[1] * b[1];
}

/** The place so many metres from another in a direction. */
export function along(from: Point, direction: Point, metres: number): Point {
  return [from[0] + direction[0] * metres, from[1] + direction[1] * metres];
}

/** The direction of a compass bearing: 0° is up the plan, 90° to the right. */
export function ofBearing(deg: number): Point {
  const a = (deg * Math.PI) / 180;
  return [Math.sin(a), Math.cos(a)];
}

/** The compass bearing from one place to another, from 0 up to but without 360 degrees. */
export function bearing(a: Point, b: Point): number {
  const deg = (Math.atan2(b[0] - a[0], b[1] - a[1]) * 180) / Math.PI;
  return (deg + 360) % 360;
}

/** By how much a direction turns from another, clockwise, from −180 up to 180 degrees. */
export function turn(fromDeg: number, toDeg: number): number {
  return ((((toDeg - fromDeg + 180) % 360) + 360) % 360) - 180;
}

/** The place on the storage grid of 0.0001 m. */
export function snapPoint([x, y]: Point): Point {
  return [onGrid(x), onGrid(y)];
}

/** The nearest place of a stretch to another place. */
export function nearestOn(a: Point, b: Point, p: Point): Point {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const square = dx * dx + dy * dy;
  if (square === 0) return a;
  const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / square));
  return [a[0] + t * dx, a[1] + t * dy];
}
