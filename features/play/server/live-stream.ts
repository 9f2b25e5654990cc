import 'server-only';
import { LATE_MS, type OfferedReading } from '@/core/exchange/reading';
import type { Door } from '@/server/door';
import { log } from '@/server/log';
import { watchSession } from '@/server/live';

type Following = {
  door: Door;
  /** Called when the stream is over. */
  close: () => void;
  sessionId: string;
  /** The last event of the session that the follower has. */
  after: number;
  signal: AbortSignal;
  /** Whether the follower may still look; asked again and again, since a link can be revoked. */
  stillOpen: () => Promise<boolean>;
};

/** Something is said at least so often, so that both ends notice a connection that is gone. */
const BEAT_MS = 15_000;

/**
 * What changes in a session, as server-sent events: `facts` with what was said about its balls, `session` when anything
 * else about it is new, `reading` with a distance that is offered.
 */
export function liveStream({ door, close, sessionId, after, signal, stillOpen }: Following): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let last = after;
  let stop = () => {};
  return new ReadableStream({
    start(controller) {
      const say = (text: string) => controller.enqueue(encoder.encode(text));
      const message = (event: string, data: unknown) => say(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
      let work = Promise.resolve();
      let ended = false;
      /** One after another, so that no event is sent twice and none out of order. */
      const then = (job: () => Promise<void>) => {
        work = work.then(async () => {
          if (ended) return;
          await job().catch((error) => {
            log.warn({ err: error }, 'a live stream ends: its data could not be read');
            stop();
          });
        });
      };
      const facts = async () => {
        const events = await door.data.eventsOfSession(sessionId, last);
        if (events.length === 0) return;
        message('facts', events);
        last = events.at(-1)!.seq;
      };
      const reading = async () => {
        const newest = await door.data.newestReading(sessionId, new Date(Date.now() - LATE_MS));
        if (!newest) return;
        const { readingId, distanceM, receivedAt } = newest;
        message('reading', { readingId, distanceM, ageMs: Math.max(0, Date.now() - receivedAt.getTime()) } satisfies OfferedReading);
      };
      const letGo = watchSession(door.academyId, sessionId, (change) =>
        then(async () => {
          if (change === 'stop') return stop();
          if (change === 'doors' && !(await ask())) return;
          if (change === 'facts' || change === 'look again') await facts();
          if (change === 'session' || change === 'look again') message('session', {});
          if (change === 'reading' || change === 'look again') await reading();
        }),
      );
      const ask = async () => {
        if (await stillOpen()) return true;
        stop();
        return false;
      };
      const beat = setInterval(
        () =>
          then(async () => {
            if (!(await ask())) return;
            say(': still here\n\n');
            await facts();
          }),
        BEAT_MS,
      );
      stop = () => {
        if (ended) return;
        ended = true;
        clearInterval(beat);
        letGo();
        close();
        try {
          controller.close();
        } catch {
          // The follower closed it first.
        }
      };
      signal.addEventListener('abort', stop);
      say(': open\n\n');
      then(facts);
      then(reading);
    },
    cancel: () => stop(),
  });
}
