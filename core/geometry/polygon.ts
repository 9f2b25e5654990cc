import { polygonArea, polygonContains, polygonHull } from 'd3-polygon';
import * as z from 'zod';
import { distance, dot, nearestOn, pointSchema, unit, type Point } from './point';

/** A closed outline by its corners, in either direction; the last is joined to the first. */
export type Outline = readonly Point[];

export const MOST_POINTS = 500;
/** Places nearer than this are the same. */
const SAME_M = 1e-6;

export const outlineSchema = z
  .array(pointSchema)
  .max(MOST_POINTS, `An outline has at most ${MOST_POINTS} points.`)
  .superRefine((outline, ctx) => {
    const fault = faultOf(outline);
    if (fault) ctx.addIssue({ code: 'custom', message: fault });
  })
  .transform((outline): Outline => outline);

const NEARLY_NOTHING = 'This outline is smaller than half a square metre.';

/** Pairs of following corners, the closing one included. */
function edges(outline: Outline): [Point, Point][] {
  return outline.map((a, i) => [a, outline[(i + 1) % outline.length]!]);
}

/** What is wrong with an outline, in a sentence; null where it is a simple shape with an area. */
export function faultOf(outline: Outline): string | null {
  if (outline.length < 3) return 'An outline needs at least three points.';
  if (edges(outline).some(([a, b]) => distance(a, b) < SAME_M)) return 'Two neighbouring points are in the same place.';
  // By its hull: of a shape that crosses itself, parts of the area cancel out.
  const hull = polygonHull(outline as [number, number][]);
  if (!hull || areaOf(hull) < 0.5) return NEARLY_NOTHING;
  if (crossesItself(outline)) return 'This outline crosses itself: move or remove a point.';
  return areaOf(outline) < 0.5 ? NEARLY_NOTHING : null;
}

/** Square metres inside an outline. */
export function areaOf(outline: Outline): number {
  return Math.abs(polygonArea(outline as [number, number][]));
}

/** Twice the area of a triangle, positive where c lies to the left of a → b. */
const side = (a: Point, b: Point, c: Point) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Whether two stretches touch or cross. */
function meet(a: Point, b: Point, c: Point, d: Point): boolean {
  if (Math.max(a[0], b[0]) < Math.min(c[0], d[0]) || Math.max(c[0], d[0]) < Math.min(a[0], b[0])) return false;
  if (Math.max(a[1], b[1]) < Math.min(c[1], d[1]) || Math.max(c[1], d[1]) < Math.min(a[1], b[1])) return false;
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0;
}

function crossesItself(outline: Outline): boolean {
  const all = edges(outline);
  const last = all.length - 1;
  for (let i = 0; i <= last; i++) {
    const [a, b] = all[i]!;
    // The next edge may only touch at the corner: it must not fold back.
    const [, next] = all[(i + 1) % all.length]!;
    if (side(a, b, next) === 0 && dot(unit(a, b), unit(b, next)) < 0) return true;
    for (let j = i + 2; j <= last; j++) {
      if (i === 0 && j === last) continue;
      if (meet(a, b, ...all[j]!)) return true;
    }
  }
  return false;
}

/** Whether a place is inside an outline; its edge belongs to it. */
export function contains(outline: Outline, p: Point): boolean {
  return polygonContains(outline as [number, number][], p as [number, number]) || toEdge(outline, p) < SAME_M;
}

/** Metres from a place to the nearest of an outline's edges, from the inside as from the outside. */
export function toEdge(outline: Outline, p: Point): number {
  // The square of the distance to each edge; written out, because a plan asks for it at every step of a finger.
  let least = Infinity;
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    const a = outline[j]!;
    const dx = outline[i]![0] - a[0];
    const dy = outline[i]![1] - a[1];
    const square = dx * dx + dy * dy;
    const t = square === 0 ? 0 : Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / square));
    const x = a[0] + t * dx - p[0];
    const y = a[1] + t * dy - p[1];
    least = Math.min(least, x * x + y * y);
  }
  return Math.sqrt(least);
}

/** A part of a line, in metres from its beginning. */
export type Stretch = { from: number; to: number };

/**
 * Where a straight line runs inside an outline.
 * @param start where the line begins
 * @param direction of length 1
 * @param lengthM how far it is followed; it may be endless
 * @returns stretches in order, none of them touching the next
 */
export function stretchesInside(outline: Outline, start: Point, direction: Point, lengthM: number): Stretch[] {
  // Of each corner: how far along the line, and how far to the left of it.
  const ahead = outline.map((p) => (p[0] - start[0]) * direction[0] + (p[1] - start[1]) * direction[1]);
  const aside = outline.map((p) => (p[1] - start[1]) * direction[0] - (p[0] - start[0]) * direction[1]);
  const cuts: number[] = [0];
  for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
    if (Math.abs(aside[j]!) < SAME_M) cuts.push(ahead[j]!);
    if (aside[j]! * aside[i]! < 0) cuts.push((ahead[j]! * aside[i]! - ahead[i]! * aside[j]!) / (aside[i]! - aside[j]!));
  }
  const end = Math.min(lengthM, Math.max(...cuts) + 1);
  const stops = [...cuts.filter((t) => t >= 0 && t < end), end].sort((a, b) => a - b);
  const found: Stretch[] = [];
  for (let i = 1; i < stops.length; i++) {
    const [from, to] = [stops[i - 1]!, stops[i]!];
    if (to - from < SAME_M) continue;
    const middle = (from + to) / 2;
    if (!contains(outline, [start[0] + direction[0] * middle, start[1] + direction[1] * middle])) continue;
    const last = found.at(-1);
    if (last && from - last.to < SAME_M) last.to = to;
    else found.push({ from, to });
  }
  return found;
}

/**
 * Whether any of a shape lies in a fan: the places within a reach of its tip whose direction is at most so far to
 * either side.
 * @param halfDeg less than 90
 */
export function fanTouches(outline: Outline, tip: Point, direction: Point, halfDeg: number, reachM: number): boolean {
  if (contains(outline, tip)) return true;
  if (toEdge(outline, tip) > reachM) return false;
  const half = (halfDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(half), Math.sin(half)];
  const within = (p: Point) => {
    const d = distance(tip, p);
    return d <= reachM && (p[0] - tip[0]) * direction[0] + (p[1] - tip[1]) * direction[1] >= d * (cos - 1e-12);
  };
  const end = (sine: number): Point => [
    tip[0] + (direction[0] * cos - direction[1] * sine) * reachM,
    tip[1] + (direction[0] * sine + direction[1] * cos) * reachM,
  ];
  const [left, right] = [end(sin), end(-sin)];
  return outline.some((b, i) => {
    const a = outline[i === 0 ? outline.length - 1 : i - 1]!;
    return within(b) || within(nearestOn(a, b, tip)) || meet(a, b, tip, left) || meet(a, b, tip, right);
  });
}

/** The corners of the smallest upright box round some places. */
export function boxOf(points: readonly Point[]): { min: Point; max: Point } {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return { min: [Math.min(...xs), Math.min(...ys)], max: [Math.max(...xs), Math.max(...ys)] };
}
