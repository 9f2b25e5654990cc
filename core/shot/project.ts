import { type Shot, type ShotEvent, shotOf, shotRecordSchema } from './shot';

/**
 * What a shot is now, from everything that was said about it.
 * @param events the events of one shot, in the order in which the server took them in
 * @returns null if it was never recorded, or was removed: a removal is final
 */
export function projectShot(events: readonly ShotEvent[]): Shot | null {
  let shot: Shot | null = null;
  for (const event of events) {
    if (event.kind === 'void') return null;
    if (event.kind === 'record') shot ??= { ...shotOf(event.payload), shotId: event.shotId };
    else if (shot) shot = applied(shot, event.payload);
  }
  return shot;
}

/** A correction that would leave a contradiction is not applied: the ball stays as it was, and the event stays on record. */
function applied(shot: Shot, change: { [Name in keyof Shot]?: Shot[Name] | undefined }): Shot {
  const { shotId, ...record } = shot;
  const next = shotRecordSchema.safeParse({ ...record, ...change });
  return next.success ? { ...shotOf(next.data), shotId } : shot;
}

/**
 * The shots that a log of events amounts to, in the order in which each was first recorded.
 * @param events any number of shots' events, in the order in which the server took them in
 */
export function projectShots(events: readonly ShotEvent[]): Shot[] {
  const byShot = new Map<string, ShotEvent[]>();
  for (const event of events) {
    const of = byShot.get(event.shotId);
    if (of) of.push(event);
    else byShot.set(event.shotId, [event]);
  }
  return [...byShot.values()].map(projectShot).filter((shot) => shot !== null);
}
