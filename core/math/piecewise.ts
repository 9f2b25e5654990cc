/** Points of a curve, ascending: where, and how high. */
export type Curve = readonly (readonly [x: number, y: number])[];

/** A curve read between its points, linearly, and on along its end segments beyond them; at least two points. */
export function along(points: Curve, x: number): number {
  let i = 1;
  while (i < points.length - 1 && x > points[i]![0]) i++;
  const [[x0, y0], [x1, y1]] = [points[i - 1]!, points[i]!];
  return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
}
