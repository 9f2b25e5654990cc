import * as z from 'zod';
import { bundleSchema, type Bundle } from '@/core/exchange/bundle';
import { erasureSchema, type Erasure } from '@/core/exchange/erasure';
import { homeSchema, type Home } from '@/core/exchange/home';
import type { SessionStart } from '@/core/exchange/session-start';
import { sentReportSchema, type Report } from '@/core/report/report';
import { now } from '../../form/ids';
import type { SessionNote } from '@/core/exchange/session-note';
import { takenSchema, type ShotEvent } from '@/core/shot/shot';
import { bundleAddress, dropAhead, LINK_ADDRESS, takeAhead } from './ahead';
import { DESK, keyOf, type StoredHour } from './store';

/**
 * Every request of play to the server, and what an answer means; a device keeps what is not stored. Without a network nothing can be
 * sent; where an answer fails or does not come, what was asked may be the trouble, and something else may still be taken.
 */
export type Outcome = 'stored' | 'unreachable' | 'failing' | 'signed-out' | 'refused';

/** So long a device waits for an answer. */
const PATIENCE_MS = 20_000;

/** A request that outlives its page may carry 64 kB in all, by the Fetch standard; less, so that two fit. */
const OUTLIVES_PAGE = 30_000;

/** How a request says who asks: by the personal link with which the session was opened, else by the sign-in's cookie. */
async function headersFor(sessionId: string): Promise<Record<string, string>> {
  return bearer(await keyOf(sessionId));
}

const bearer = (token: string | null | undefined): Record<string, string> => (token ? { authorization: `Bearer ${token}` } : {});

function outcomeOf(response: Response | 'late' | null): Outcome {
  if (!response) return 'unreachable';
  if (response === 'late' || response.status >= 500 || response.status === 429) return 'failing';
  if (response.ok) return 'stored';
  return response.status === 401 ? 'signed-out' : 'refused';
}

/** An answer; null where there is no network, and late where none came in time. */
async function asked(address: string, init: RequestInit): Promise<Response | 'late' | null> {
  const signal = AbortSignal.timeout(PATIENCE_MS);
  return fetch(address, { ...init, signal }).catch(() => (signal.aborted ? 'late' : null));
}

/** @param token of the personal link; without one it is the sign-in's cookie */
async function send(method: 'POST' | 'PUT', address: string, token: string | null | undefined, payload: unknown) {
  const body = JSON.stringify(payload);
  const headers = { 'content-type': 'application/json', ...bearer(token) };
  // Whoever leaves right after a ball still sends it.
  const keepalive = body.length < OUTLIVES_PAGE;
  dropAhead();
  const response = await asked(address, { method, headers, body, keepalive });
  const outcome = outcomeOf(response);
  return { outcome, said: outcome === 'refused' ? await (response as Response).json().catch(() => null) : null };
}

/**
 * Hands in what was said about balls of one session.
 * @returns which events were refused for good, and why; the others of a batch that was stored are with the server
 */
export async function postEvents(
  sessionId: string,
  events: readonly ShotEvent[],
): Promise<{ outcome: Outcome; refused: ReadonlyMap<string, string> }> {
  const { outcome, said } = await send('POST', '/api/v1/shot-events', await keyOf(sessionId), {
    sessionId,
    sentAt: new Date().toISOString(),
    events,
  });
  const taken = takenSchema.safeParse(said);
  if (!taken.success) return { outcome, refused: new Map() };
  const own = new Set(events.map(({ eventId }) => eventId));
  const named = taken.data.refused.flatMap(({ eventId, why }) => (eventId !== null && own.has(eventId) ? [[eventId, why] as const] : []));
  return named.length > 0 ? { outcome: 'stored', refused: new Map(named) } : { outcome, refused: new Map() };
}

const refusalSchema = z.object({ error: z.string() });
const whyOf = (said: unknown): string => refusalSchema.safeParse(said).data?.error ?? 'The server refused it.';

/** Tells of a session that was begun here. @returns with what is refused why */
export async function postStart(start: SessionStart): Promise<{ outcome: Outcome; why: string }> {
  const sent = { start, sentAt: new Date(now()).toISOString() };
  const { outcome, said } = await send('POST', '/api/v1/sessions', await keyOf(start.sessionId), sent);
  return { outcome, why: whyOf(said) };
}

/** Tells what else is said about a session. @returns with what is refused why */
export async function putSessionNote(sessionId: string, note: SessionNote): Promise<{ outcome: Outcome; why: string }> {
  const { outcome, said } = await send('PUT', `/api/v1/sessions/${sessionId}`, await keyOf(sessionId), note);
  return { outcome, why: whyOf(said) };
}

/** Tells how a planned hour is done. @returns with what is refused why */
export async function putRun({ home, hourId, token, run }: StoredHour): Promise<{ outcome: Outcome; why: string }> {
  const { outcome, said } = await send('PUT', `/api/v1/hours/${hourId}/run`, token, { academy: home.academy.slug, run });
  return { outcome, why: whyOf(said) };
}

/** `outdated`: the answer takes a newer program to read. */
export type Got<T> = { got: T } | 'missing' | 'signed-out' | 'outdated' | 'unreachable';

type Read = { method?: 'POST'; headers?: Record<string, string> };

async function read<T>(address: string, init: Read, schema: z.ZodType<T>): Promise<Got<T>> {
  const answer = (await takeAhead(address, init.headers?.authorization)) ?? (await asked(address, init));
  const response = answer === 'late' ? null : answer;
  if (response?.status === 401) return 'signed-out';
  if (response?.status === 404 || response?.status === 400) return 'missing';
  const said: unknown = response?.ok ? await response.json().catch(() => undefined) : undefined;
  if (said === undefined) return 'unreachable';
  const parsed = schema.safeParse(said);
  return parsed.success ? { got: parsed.data } : 'outdated';
}

/** All about a session; of what was said about its balls only what came after so much. */
export async function getBundle(sessionId: string, after: number): Promise<Got<Bundle>> {
  return read(bundleAddress(sessionId, after), { headers: await headersFor(sessionId) }, bundleSchema);
}

/**
 * What a personal link opens, or the sign-in of whoever coaches.
 * @param academy of several, which; null: the first
 * @param withKit whether what it takes to start a game comes with it: in a large academy that is much
 */
export function getHome(token: string, academy: string | null = null, withKit = true): Promise<Got<Home>> {
  if (token !== DESK) return read(LINK_ADDRESS, { headers: { authorization: `Bearer ${token}` } }, homeSchema);
  const asked = new URLSearchParams({ ...(academy === null ? {} : { academy }), ...(withKit ? {} : { kit: 'no' }) });
  return read(`/api/v1/home?${asked.toString()}`, {}, homeSchema);
}

/** The own report of the player who holds a personal link. */
export async function getReport(token: string): Promise<Got<{ report: Report }>> {
  return read('/api/v1/link/report', { headers: bearer(token) }, z.object({ report: sentReportSchema }));
}

/** What the player of a personal link asked for: that everything about them is erased; null: nothing. */
export async function getErasure(token: string): Promise<Got<Erasure>> {
  return read('/api/v1/link/erasure', { headers: bearer(token) }, erasureSchema);
}

/** Asks for it, or no longer. */
export async function sayErasure(token: string, asks: boolean): Promise<Outcome> {
  return (await send('PUT', '/api/v1/link/erasure', token, { asks, words: '' })).outcome;
}

/** Everything about the player of a personal link, as a file; null where it did not come. However long it takes. */
export async function getEverything(token: string): Promise<Blob | null> {
  const response = await fetch('/api/v1/link/everything', { headers: bearer(token) }).catch(() => null);
  return response?.ok ? response.blob().catch(() => null) : null;
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
