import type { SessionNote } from '@/core/exchange/session-note';
import type { Run } from '@/core/hour/run-schema';
import { postEvents, postStart, putRun, putSessionNote, type Outcome } from './server';
import {
  keepRun,
  keepSessionNote,
  markRunSent,
  markNoted,
  markSent,
  markStarted,
  meanStart,
  nextBatch,
  nextRun,
  nextSessionNote,
  nextStart,
  setAside,
  setSessionNoteAside,
} from './store';

/** Why balls wait, where they do. */
export type SyncState = 'idle' | 'sending' | Exclude<Outcome, 'stored'>;
/** Of the sessions that could not be sent, the trouble that is said; first what somebody can do something about. */
const SAID_FIRST = ['signed-out', 'refused', 'failing'] as const;

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
 * it fails it tries again by itself, after 2 s, then ever more slowly up to a minute. Sending twice stores once. What is refused for
 * good is set aside; a session that fails, or whose key holds no longer, keeps none of the others waiting.
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
    const failed = new Map<string, SyncState>();
    const outcome = (await sendStarts(failed)) ?? (await sendBalls(failed)) ?? (await sendNotes(failed)) ?? (await sendRuns(failed));
    if (outcome === 'unreachable') {
      become(outcome);
      retryLater();
      return;
    }
    const troubles = new Set(failed.values());
    const worst = SAID_FIRST.find((one) => troubles.has(one));
    if (worst && !again) {
      become(worst);
      if (troubles.has('signed-out') || troubles.has('failing')) retryLater();
      return;
    }
  }
  become('idle');
}

/** Sessions that were begun here come first: until the server has one, nothing else of it is sent. */
async function sendStarts(failed: Map<string, SyncState>): Promise<'unreachable' | null> {
  const startLeft = () => nextStart(new Set(failed.keys()));
  for (let one = await startLeft(); one; one = await startLeft()) {
    become('sending');
    const { outcome, why } = await postStart(one);
    if (outcome === 'unreachable') return outcome;
    if (outcome === 'stored') await markStarted(one.sessionId);
    else if (outcome === 'refused') await markStarted(one.sessionId, why);
    else failed.set(one.sessionId, outcome);
  }
  return null;
}

async function sendBalls(failed: Map<string, SyncState>): Promise<'unreachable' | null> {
  const batchLeft = () => nextBatch(BATCH, new Set(failed.keys()));
  for (let batch = await batchLeft(); batch; batch = await batchLeft()) {
    become('sending');
    const { outcome, refused } = await postEvents(batch.sessionId, batch.events);
    if (outcome === 'unreachable') return outcome;
    if (outcome !== 'stored') failed.set(batch.sessionId, outcome);
    else {
      if (refused.size > 0) await setAside(refused);
      await markSent(batch.events.flatMap(({ eventId }) => (refused.has(eventId) ? [] : [eventId])));
      retryMs = RETRY_FIRST_MS;
    }
  }
  return null;
}

async function sendNotes(failed: Map<string, SyncState>): Promise<'unreachable' | null> {
  const noteLeft = () => nextSessionNote(new Set(failed.keys()));
  for (let one = await noteLeft(); one; one = await noteLeft()) {
    become('sending');
    const { outcome, why } = await putSessionNote(one.sessionId, one.telling);
    if (outcome === 'unreachable') return outcome;
    if (outcome === 'stored') await markNoted(one);
    else if (outcome === 'refused') await setSessionNoteAside(one, why);
    else failed.set(one.sessionId, outcome);
  }
  return null;
}

async function sendRuns(failed: Map<string, SyncState>): Promise<'unreachable' | null> {
  const runLeft = () => nextRun(new Set(failed.keys()));
  for (let one = await runLeft(); one; one = await runLeft()) {
    become('sending');
    const { outcome, why } = await putRun(one);
    if (outcome === 'unreachable') return outcome;
    if (outcome === 'stored') await markRunSent(one);
    else if (outcome === 'refused') await markRunSent(one, why);
    else failed.set(one.hourId, outcome);
  }
  return null;
}

function retryLater() {
  timer = setTimeout(() => void sendWaiting(), retryMs);
  retryMs = Math.min(RETRY_MOST_MS, retryMs * 2);
}

/** Says that a session is meant to be played: one that was begun here is told of now. */
export async function meanToPlay(sessionId: string): Promise<void> {
  if (await meanStart(sessionId)) void sendWaiting();
}

/** Says how a planned hour is done: this device goes by it at once, the server hears of it when it can. */
export async function tellRun(hourId: string, run: Run): Promise<void> {
  await keepRun(hourId, run);
  void sendWaiting();
}

/** Says something about a session: this device goes by it at once, the server hears of it when it can. */
export async function noteSession(sessionId: string, note: SessionNote): Promise<void> {
  await keepSessionNote(sessionId, note);
  void sendWaiting();
}
