import { offeredReadingSchema } from '@/core/exchange/reading';
import { takenInSchema } from '@/core/shot/shot';
import { createParser } from 'eventsource-parser';
import { getBundle, openLive } from './server';
import { now } from '../../form/ids';
import { keepBundle, keepEvents, keepOffer, lastSeq } from './store';

/** What the server says on a session's stream. */
type Message = { event?: string | undefined; data: string };

const AGAIN_FIRST_MS = 1_000;
const AGAIN_MOST_MS = 30_000;
/** The server says something at least every 15 s; a stream that is silent for longer is dead. */
const SILENT_MS = 40_000;

/**
 * Keeps a session on this device as others change it, as long as it is followed; a stream that breaks is opened again,
 * and goes on where it was. Of several pages of one session only one follows: a browser opens but a few connections,
 * and what one page keeps the others see.
 * @returns how to stop
 */
export function followSession(sessionId: string): () => void {
  const stopped = new AbortController();
  const { signal } = stopped;
  if ('locks' in navigator)
    void navigator.locks.request(`inch-live-${sessionId}`, { signal }, follow).catch(() => {
      // Stopped while another page was following.
    });
  else void follow();
  return () => stopped.abort();

  async function follow() {
    let againMs = AGAIN_FIRST_MS;
    while (!stopped.signal.aborted) {
      const cut = new AbortController();
      const stop = () => cut.abort();
      stopped.signal.addEventListener('abort', stop);
      const stream = await openLive(sessionId, await lastSeq(sessionId), cut.signal);
      if (stream) {
        againMs = AGAIN_FIRST_MS;
        await hear(stream, cut, take).catch(() => undefined);
      }
      cut.abort();
      stopped.signal.removeEventListener('abort', stop);
      if (stopped.signal.aborted) return;
      await new Promise((resolve) => setTimeout(resolve, againMs));
      againMs = Math.min(AGAIN_MOST_MS, againMs * 2);
    }
  }

  async function take({ event, data }: Message) {
    if (event === 'facts') {
      const facts = takenInSchema.array().safeParse(JSON.parse(data));
      if (facts.success) await keepEvents(sessionId, facts.data);
    } else if (event === 'session') {
      const bundle = await getBundle(sessionId, await lastSeq(sessionId));
      if (typeof bundle === 'object') await keepBundle(bundle.got);
    } else if (event === 'reading') {
      const reading = offeredReadingSchema.safeParse(JSON.parse(data));
      if (!reading.success) return;
      const { ageMs, ...read } = reading.data;
      await keepOffer({ ...read, sessionId, readAt: now() - ageMs });
    }
  }
}

/** Reads a stream of server-sent events to its end, one message after another; one that is silent for too long is cut. */
export async function hear(
  stream: ReadableStream<Uint8Array>,
  cut: AbortController,
  take: (message: Message) => Promise<void>,
): Promise<void> {
  const reader = stream.pipeThrough(new TextDecoderStream() as unknown as TransformStream<Uint8Array, string>).getReader();
  const messages: Message[] = [];
  const parser = createParser({ onEvent: (message) => void messages.push(message) });
  for (;;) {
    const silence = setTimeout(() => cut.abort(), SILENT_MS);
    const { done, value } = await reader.read();
    clearTimeout(silence);
    if (done) return;
    parser.feed(value);
    for (let message = messages.shift(); message; message = messages.shift()) await take(message);
  }
}
