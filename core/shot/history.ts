import { projectShot } from './project';
import type { Shot, ShotEvent } from './shot';

/** A change of a ball that was recorded before: what it was, and what it is then; null once it is removed. */
export type ShotChange = { event: ShotEvent; before: Shot; after: Shot | null };

/**
 * The corrections and removals in a log, in its order. Those of balls that were removed already say nothing.
 * @param events in the order in which the server took them in
 */
export function changesOf(events: readonly ShotEvent[]): ShotChange[] {
  const said = new Map<string, ShotEvent[]>();
  return events.flatMap((event) => {
    const earlier = said.get(event.shotId) ?? [];
    const before = projectShot(earlier);
    const after = projectShot([...earlier, event]);
    said.set(event.shotId, [...earlier, event]);
    return before && event.kind !== 'record' ? [{ event, before, after }] : [];
  });
}
