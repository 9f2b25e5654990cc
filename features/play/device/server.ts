import { z } from 'zod';
import { bundleSchema, type Bundle } from '@/core/game/bundle';
import { linkHomeSchema, type Again, type LinkHome } from '@/core/game/link-home';
import type { Telling } from '@/core/game/telling';
import { shotBatchSchema, type ShotEvent } from '@/core/shot/shot';
import { keyOf } from './store';

/** Every request of play to the server, and what an answer means; a device keeps what is not stored. */
export type Outcome = 'stored' | 'unreachable' | 'signed-out' | 'refused';

/** A request that outlives its page may carry 64 kB in all, by the Fetch standard; less, so that two fit. */
const OUTLIVES_PAGE = 30_000;

/** How a request says who asks: by the personal link with which the session was opened, else by the sign-in's cookie. */
async function headersFor(sessionId: string): Promise<Record<string, string>> {
  const token = await keyOf(sessionId);
  return token ? { authorization: `Bearer ${token}` } : {};
}

function outcomeOf(response: Response | null): Outcome {
  if (!response || response.status >= 500 || response.status === 429) return 'unreachable';
  if (response.ok) return 'stored';
  return response.status === 401 ? 'signed-out' : 'refused';
}

async function send(method: 'POST' | 'PUT', address: string, sessionId: string, payload: unknown): Promise<Outcome> {
  const body = JSON.stringify(payload);
  const headers = { 'content-type': 'application/json', ...(await headersFor(sessionId)) };
  // Whoever leaves right after a ball still sends it.
  const keepalive = body.length < OUTLIVES_PAGE;
  return outcomeOf(await fetch(address, { method, headers, body, keepalive }).catch(() => null));
}

/** Hands in what was said about balls of one session. */
export function postEvents(sessionId: string, events: readonly ShotEvent[]): Promise<Outcome> {
  return send('POST', '/api/v1/shot-events', sessionId, shotBatchSchema.parse({ sessionId, events }));
}

/** Tells what else is said about a session. */
export function putTelling(sessionId: string, telling: Telling): Promise<Outcome> {
  return send('PUT', `/api/v1/sessions/${sessionId}`, sessionId, telling);
}

export type Got<T> = { got: T } | 'missing' | 'signed-out' | 'unreachable';

async function read<T>(address: string, init: RequestInit, schema: z.ZodType<T>): Promise<Got<T>> {
  const response = await fetch(address, init).catch(() => null);
  if (response?.status === 401) return 'signed-out';
  if (response?.status === 404 || response?.status === 400) return 'missing';
  const parsed = response?.ok ? schema.safeParse(await response.json().catch(() => null)) : null;
  return parsed?.success ? { got: parsed.data } : 'unreachable';
}

/** All about a session; of what was said about its balls only what came after so much. */
export async function getBundle(sessionId: string, after: number): Promise<Got<Bundle>> {
  return read(`/api/v1/sessions/${sessionId}/bundle?after=${after}`, { headers: await headersFor(sessionId) }, bundleSchema);
}

/** What a personal link opens. */
export function getHome(token: string): Promise<Got<LinkHome>> {
  return read('/api/v1/link', { headers: { authorization: `Bearer ${token}` } }, linkHomeSchema);
}

/** Starts a game of one's own again, alone, and answers with what the link opens then. */
export function postAgain(token: string, again: Again): Promise<Got<LinkHome>> {
  const headers = { authorization: `Bearer ${token}`, 'content-type': 'application/json' };
  return read('/api/v1/link', { method: 'POST', headers, body: JSON.stringify(again) }, linkHomeSchema);
}

/** Makes the key of a device that reads distances for a session. */
export async function makeReaderKey(sessionId: string): Promise<Got<{ key: string }>> {
  return read(
    `/api/v1/sessions/${sessionId}/reader`,
    { method: 'POST', headers: await headersFor(sessionId) },
    z.object({ key: z.string() }),
  );
}

/** Opens the stream of what changes in a session; null where it can't be opened. */
export async function openLive(sessionId: string, after: number, signal: AbortSignal): Promise<ReadableStream<Uint8Array> | null> {
  const headers = await headersFor(sessionId);
  const response = await fetch(`/api/v1/sessions/${sessionId}/live?after=${after}`, { headers, signal }).catch(() => null);
  return response?.ok ? response.body : null;
}
