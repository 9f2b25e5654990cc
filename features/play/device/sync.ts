import { shotBatchSchema } from '@/core/shot/shot';
import { markSent, nextBatch } from './store';

/** Why balls wait, where they do. */
export type SyncState = 'idle' | 'sending' | 'unreachable' | 'signed-out' | 'refused';

const BATCH = 100;
const RETRY_FIRST_MS = 2_000;
const RETRY_MOST_MS = 60_000;

let state: SyncState = 'idle';
let running: Promise<void> | undefined;
let again = false;
let retryMs = RETRY_FIRST_MS;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

export function subscribeSync(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function syncState(): SyncState {
  return state;
}

function become(next: SyncState) {
  state = next;
  for (const listener of listeners) listener();
}

/**
 * Sends what waits, in batches, until nothing does. Called after every ball and whenever the network may be back; where
 * it fails it tries again by itself, after 2 s, then ever more slowly up to a minute. Sending twice stores once.
 * @returns when everything that waited at the call is sent, or could not be
 */
export function sendWaiting(): Promise<void> {
  again = true;
  return (running ??= send().finally(() => (running = undefined)));
}

async function send(): Promise<void> {
  clearTimeout(timer);
  while (again) {
    again = false;
    for (let batch = await nextBatch(BATCH); batch; batch = await nextBatch(BATCH)) {
      become('sending');
      const outcome = await post(batch);
      if (outcome !== 'stored') {
        become(outcome);
        if (outcome !== 'refused') retryLater();
        return;
      }
      await markSent(batch.events.map((event) => event.eventId));
      retryMs = RETRY_FIRST_MS;
    }
  }
  become('idle');
}

function retryLater() {
  timer = setTimeout(() => void sendWaiting(), retryMs);
  retryMs = Math.min(RETRY_MOST_MS, retryMs * 2);
}

type Batch = NonNullable<Awaited<ReturnType<typeof nextBatch>>>;

/** A request that outlives its page may carry 64 kB in all, by the Fetch standard; less, so that two fit. */
const OUTLIVES_PAGE = 30_000;

async function post(batch: Batch): Promise<'stored' | Exclude<SyncState, 'idle' | 'sending'>> {
  const body = JSON.stringify(shotBatchSchema.parse(batch));
  const response = await fetch('/api/v1/shot-events', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
    // Whoever leaves right after a ball still sends it.
    keepalive: body.length < OUTLIVES_PAGE,
  }).catch(() => null);
  if (!response || response.status >= 500 || response.status === 429) return 'unreachable';
  if (response.ok) return 'stored';
  return response.status === 401 ? 'signed-out' : 'refused';
}

/**
 * Tells the server that a session was ended before its last ball, or that it goes on after all.
 * @returns whether the server knows it now
 */
export async function tellStopped(sessionId: string, stopped: boolean): Promise<boolean> {
  const response = await fetch(`/api/v1/sessions/${sessionId}/stopped`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ stopped }),
  }).catch(() => null);
  return response?.ok ?? false;
}
