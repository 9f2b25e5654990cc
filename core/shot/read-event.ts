import * as z from 'zod';
import { lifted, versionOf, type Step } from '../document';
import { sayIssue } from '../stored';
import { shotEventSchema, type RefusedEvent, type ShotEvent } from './shot';

/**
 * How events are read where their shape changed in these steps. The version of what this program makes is one more than there are.
 */
export function eventReader(steps: readonly Step[]) {
  const version = steps.length + 1;
  return {
    version,

    /** Reads the events of a batch one by one: one that can't be stored keeps none of the others waiting. */
    readEvents(events: readonly unknown[]): { events: ShotEvent[]; refused: RefusedEvent[] } {
      const read: { events: ShotEvent[]; refused: RefusedEvent[] } = { events: [], refused: [] };
      for (const one of events) {
        const event = shotEventSchema.safeParse(lifted(one, steps));
        if (event.success) read.events.push(event.data);
        else read.refused.push({ eventId: idOf(one), why: sayIssue(event.error) });
      }
      return read;
    },

    /**
     * An event that was stored: it was read when it came in, so that one of the present version is taken as it is.
     * @returns null for one of a newer program that says what this one can't understand
     */
    storedEvent(event: unknown): ShotEvent | null {
      const present = lifted(event, steps);
      if (versionOf(present) <= version) return present as ShotEvent;
      const read = shotEventSchema.safeParse(present);
      return read.success ? read.data : null;
    },
  };
}

function idOf(event: unknown): string | null {
  const id = z.object({ eventId: z.uuid() }).safeParse(event);
  return id.success ? id.data.eventId : null;
}

/** How the shape of events changed, step by step. A new field of a ball is a step that says what its absence meant. */
export const EVENT_STEPS: readonly Step[] = [
  // 2: a ball keeps what was called before it, whether it was said to lie nearer than the others', and on which side it landed. The very first
  // program did not know the name of a club and how a ball was struck either.
  (event) =>
    event.kind === 'record'
      ? {
          ...event,
          payload: {
            clubLabel: null,
            executed: null,
            called: null,
            nearer: null,
            landedSide: null,
            ...(event.payload as object | undefined),
          },
        }
      : event,
  // 3: a ball keeps the par that it was played against.
  (event) => (event.kind === 'record' ? { ...event, payload: { par: null, ...(event.payload as object | undefined) } } : event),
  // 4: a ball that a coach hit to show how is marked as such.
  (event) => event,
];
export const { version: EVENT_VERSION, readEvents, storedEvent } = eventReader(EVENT_STEPS);
