import type { Shot } from './shot';

/** The balls of one player in one session: in the order of their turns, and those recorded for a turn already taken. */
export type Ordered = { shots: Shot[]; doubled: Shot[] };

/**
 * Puts the balls of one player in one session in order: by turn, then as they were taken in; never by a device's clock.
 * Two records of the same turn both stay: the first plays, the second is set aside until somebody settles it.
 * @param shots the projection, in the order in which the server took the records in
 */
export function inOrder(shots: readonly Shot[]): Ordered {
  const taken = new Set<number>();
  const ordered: Ordered = { shots: [], doubled: [] };
  for (const shot of shots.toSorted((a, b) => a.turnNo - b.turnNo)) {
    (taken.has(shot.turnNo) ? ordered.doubled : ordered.shots).push(shot);
    taken.add(shot.turnNo);
  }
  return ordered;
}
