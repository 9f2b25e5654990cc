import { openDB, type DBSchema, type IDBPDatabase, type IDBPObjectStore, type IDBPTransaction } from 'idb';
import { storedBundles, type Bundle } from '@/core/exchange/bundle';
import { homeSchema, type Home } from '@/core/exchange/home';
import { storedStarts, type SessionStart } from '@/core/exchange/session-start';
import { aboutOf, noted, storedNotes, type SessionNote } from '@/core/exchange/session-note';
import { projectShots } from '@/core/shot/project';
import { storedGames } from '@/core/game/stored-games';
import type { Run } from '@/core/hour/run-schema';
import { storedReports, type Report } from '@/core/report/report';
import { DEVICE_DB } from './ahead';
import { EVENT_VERSION, storedEvent } from '@/core/shot/read-event';
import type { Shot, ShotAmend, ShotEvent, ShotRecord, TakenIn } from '@/core/shot/shot';
import { newId, now } from '../../form/ids';

/**
 * What the device keeps: the bundle of each session it opened, every event of its balls, and what else is still to be
 * told to the server. A ball is in here before the next one is asked for; whether the server has it too is a flag.
 */
type StoredBundle = { sessionId: string; bundle: Bundle };
/**
 * `sent`: 0 waits, 1 is with the server, 2 was refused and is set aside, with the reason, 3 came from the server and says what only a newer
 * program understands; 2 and 3 count nowhere.
 */
type StoredEvent = { eventId: string; sessionId: string; order: number; sent: 0 | 1 | 2 | 3; event: ShotEvent; why?: string };
/** What is still to be told about a session; of each thing only the newest is kept. */
export type StoredSessionNote = {
  id: string;
  sessionId: string;
  telling: SessionNote;
  made: number;
  /** Refused, and set aside. */ why?: string;
};
/** With which personal link a session was opened here; without one it is the coach's sign-in. */
type Key = { sessionId: string; token: string };
/**
 * A session that was begun here and of which the server is still to be told: `ready` once somebody means to play it. Whatever else is said of
 * it waits for that. It is kept among the settings, so that a page of an older program goes on with the same store.
 */
type StoredStart = { start: SessionStart; ready: boolean; /** Refused, and set aside. */ why?: string };
/** A planned hour that was opened here, and how it is done: `sent` says whether the server knows that. */
export type StoredHour = {
  home: Home;
  hourId: string;
  /** The personal link with which it was opened; null for a sign-in. */
  token: string | null;
  run: Run | null;
  sent: boolean;
  /** Refused, and set aside. */
  why?: string;
};
type StoredReport = { report: Report };
type Setting = { key: string; value: string | number | StoredStart | StoredHour | StoredReport };
const hourKey = (hourId: string) => `hour ${hourId}`;
const allHours = () => IDBKeyRange.bound('hour ', 'hour!', false, true);
/** A game that was opened and never begun is kept for so long. */
const LEFT_MS = 30 * 24 * 3_600_000;
const startKey = (sessionId: string) => `start ${sessionId}`;
const allStarts = () => IDBKeyRange.bound('start ', 'start!', false, true);
/** The newest distance that a device read for a session, and when, by this device's clock. */
export type Offer = { sessionId: string; readingId: string; distanceM: number; readAt: number };

interface DeviceSchema extends DBSchema {
  bundles: { key: string; value: StoredBundle };
  events: { key: string; value: StoredEvent; indexes: { sent: number; inSession: [string, number] } };
  tellings: { key: string; value: StoredSessionNote };
  keys: { key: string; value: Key };
  homes: { key: string; value: { token: string; home: Home } };
  settings: { key: string; value: Setting };
  offers: { key: string; value: Offer };
}
const STORES = ['bundles', 'events', 'tellings', 'keys', 'homes', 'settings', 'offers'] as const;

let opened: Promise<IDBPDatabase<DeviceSchema>> | undefined;

function store(): Promise<IDBPDatabase<DeviceSchema>> {
  return (opened ??= openDB<DeviceSchema>(DEVICE_DB, 1, {
    upgrade(db) {
      db.createObjectStore('bundles', { keyPath: 'sessionId' });
      const events = db.createObjectStore('events', { keyPath: 'eventId' });
      events.createIndex('sent', 'sent');
      events.createIndex('inSession', ['sessionId', 'order']);
      db.createObjectStore('tellings', { keyPath: 'id' });
      db.createObjectStore('keys', { keyPath: 'sessionId' });
      db.createObjectStore('homes', { keyPath: 'token' });
      db.createObjectStore('settings', { keyPath: 'key' });
      db.createObjectStore('offers', { keyPath: 'sessionId' });
    },
    // The browser may close it under us, after a long sleep for one; the next question opens it again.
    terminated() {
      opened = undefined;
    },
  }));
}

/** Tells this page and all others of this device that something in the store changed. */
const listeners = new Set<() => void>();
let others: BroadcastChannel | undefined;

export function subscribeStore(listener: () => void): () => void {
  if (!others && typeof BroadcastChannel !== 'undefined') {
    others = new BroadcastChannel('inch-device');
    others.addEventListener('message', () => listeners.forEach((one) => one()));
  }
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function changed(): void {
  listeners.forEach((listener) => listener());
  others?.postMessage(null);
}

/** Events that the server does not number yet come after all that it has. */
const OWN_FROM = 1e12;

/**
 * Keeps what the server sent of a session. Facts are only ever added: a ball that was sent while the server was
 * answering is not in its answer, and stays; so does what is still to be told.
 */
export async function keepBundle(bundle: Bundle): Promise<void> {
  const tx = (await store()).transaction(['bundles', 'events', 'tellings'], 'readwrite');
  const waiting = (await tx.objectStore('tellings').getAll()).filter((one) => one.sessionId === bundle.sessionId);
  const current = waiting.reduce<Bundle>((held, one) => noted(held, storedNotes.read(one.telling)), { ...bundle, events: [] });
  void tx.objectStore('bundles').put({ sessionId: bundle.sessionId, bundle: current });
  for (const one of bundle.events) void tx.objectStore('events').put(asKnown(one, bundle.sessionId));
  await readAgain(tx.objectStore('events'), bundle.sessionId);
  await forgetErased(tx.objectStore('events'), bundle);
  await tx.done;
  changed();
}

/** Of a player who is no more in the session, because they were erased, nothing stays on the device: what was not sent yet neither. */
async function forgetErased(
  events: IDBPObjectStore<DeviceSchema, ('bundles' | 'events' | 'tellings')[], 'events', 'readwrite'>,
  { sessionId, players }: Bundle,
): Promise<void> {
  const here = new Set(players.map((player) => player.playerId));
  const all = await events.index('inSession').getAll(IDBKeyRange.bound([sessionId, 0], [sessionId, Infinity]));
  const balls = new Set(all.flatMap(({ event }) => (event.kind === 'record' && !here.has(event.payload?.playerId) ? [event.shotId] : [])));
  for (const { eventId, event } of all) if (balls.has(event.shotId)) void events.delete(eventId);
}

/** Keeps events of a session that the server took in, whoever's they are. */
export async function keepEvents(sessionId: string, events: readonly TakenIn[]): Promise<void> {
  if (events.length === 0) return;
  const tx = (await store()).transaction('events', 'readwrite');
  for (const one of events) void tx.store.put(asKnown(one, sessionId));
  await tx.done;
  changed();
}

/** What this program can't understand is kept as it came, for the one that replaces it. */
function asKnown({ seq, event }: TakenIn, sessionId: string): StoredEvent {
  const read = storedEvent(event);
  const eventId = read?.eventId ?? String((event as { eventId?: unknown } | null)?.eventId ?? `${sessionId} ${seq}`);
  return { eventId, sessionId, order: seq, sent: read ? 1 : 3, event: read ?? (event as ShotEvent) };
}

/** Reads what an older program could not understand. */
async function readAgain(
  events: IDBPObjectStore<DeviceSchema, ('bundles' | 'events' | 'tellings')[], 'events', 'readwrite'>,
  sessionId: string,
): Promise<void> {
  const unread = (await events.index('sent').getAll(3)).filter((one) => one.sessionId === sessionId);
  for (const { order, event } of unread) void events.put(asKnown({ seq: order, event }, sessionId));
}

type Any = IDBPTransaction<DeviceSchema, ('events' | 'bundles' | 'settings' | 'tellings')[], 'readonly' | 'readwrite'>;

/** Everything that was said about the balls of a session, in order. */
async function eventsOf(tx: Pick<Any, 'objectStore'>, sessionId: string): Promise<ShotEvent[]> {
  const range = IDBKeyRange.bound([sessionId, 0], [sessionId, Infinity]);
  return (await tx.objectStore('events').index('inSession').getAll(range)).flatMap(({ sent, event }) => {
    // What an older program left here is brought to the present version.
    const read = sent === 2 || sent === 3 ? null : storedEvent(event);
    return read ? [read] : [];
  });
}

type Held = {
  bundle: Bundle;
  shots: Shot[];
  events: ShotEvent[];
  /** Of the personal link that opened it. */ token: string | undefined;
  /** Whether the desk's start page is kept here. */ desk: boolean;
  offer: Offer | null;
  /** It was begun here, and the server has not heard of it yet. */ waits: boolean;
  /** The planned hour in which it is played. */ hourId: string | null;
};

/** A session as this device knows it: undefined if it was never opened here. What is still to be told counts already. */
export async function readSession(sessionId: string): Promise<Held | undefined> {
  const tx = (await store()).transaction(['bundles', 'events', 'keys', 'offers', 'homes', 'settings']);
  const [held, events, key, offer, desk, start, hours] = await Promise.all([
    tx.objectStore('bundles').get(sessionId),
    eventsOf(tx as unknown as Any, sessionId),
    tx.objectStore('keys').get(sessionId),
    tx.objectStore('offers').get(sessionId),
    tx.objectStore('homes').count(DESK),
    tx.objectStore('settings').count(startKey(sessionId)),
    hoursOf(tx),
  ]);
  // What an older program left here is brought to the present version.
  const bundle = held && storedBundles.read(held.bundle);
  return (
    bundle && {
      bundle: { ...bundle, spec: storedGames.read(bundle.spec) },
      shots: projectShots(events),
      events,
      token: key?.token,
      desk: desk > 0,
      offer: offer ?? null,
      waits: start > 0,
      hourId: hours.find(({ run }) => run?.parts.some((part) => part.sessionId === sessionId))?.hourId ?? null,
    }
  );
}

/** Whether this device knows what a session is made of. */
export async function isHere(sessionId: string): Promise<boolean> {
  return (await (await store()).count('bundles', sessionId)) > 0;
}

/** The highest number that the server gave to an event of a session that is here; 0 before the first. */
export async function lastSeq(sessionId: string): Promise<number> {
  const range = IDBKeyRange.bound([sessionId, 0], [sessionId, OWN_FROM], false, true);
  const cursor = await (await store()).transaction('events').store.index('inSession').openCursor(range, 'prev');
  return cursor?.value.order ?? 0;
}

/** Sessions of which the server was not told yet, by their ids. */
async function startsOf(tx: { objectStore(name: 'settings'): { getAll(range: IDBKeyRange): Promise<Setting[]> } }) {
  const found = (await tx.objectStore('settings').getAll(allStarts())).map(({ value }) => value as StoredStart);
  return new Map(found.map((one) => [one.start.sessionId, { ...one, start: storedStarts.read(one.start) }]));
}

/** How much of all sessions is still to be sent: their starts, events, and what else is to be told. */
export async function countWaiting(): Promise<number> {
  const tx = (await store()).transaction(['events', 'tellings', 'settings']);
  const [starts, tellings, events] = await Promise.all([
    startsOf(tx),
    tx.objectStore('tellings').getAll(),
    tx.objectStore('events').index('sent').getAll(0),
  ]);
  // What hangs on a start that was refused waits for nothing but a decision.
  const goes = ({ sessionId }: { sessionId: string }) => starts.get(sessionId)?.why === undefined;
  const begun = [...starts.values()].filter(({ ready, why }) => ready && why === undefined);
  const runs = (await hoursOf(tx)).filter(isRunWaiting);
  return begun.length + runs.length + [...events, ...tellings.filter(isWaiting)].filter(goes).length;
}

/** Planned hours that are kept here. */
async function hoursOf(tx: { objectStore(name: 'settings'): { getAll(range: IDBKeyRange): Promise<Setting[]> } }): Promise<StoredHour[]> {
  return (await tx.objectStore('settings').getAll(allHours())).map(({ value }) => value as StoredHour);
}

const isRunWaiting = ({ run, sent, why }: StoredHour) => run !== null && !sent && why === undefined;

/** Planned hours kept here, with their start pages as this program reads them. */
export async function hoursHere(): Promise<StoredHour[]> {
  const kept = await hoursOf((await store()).transaction('settings'));
  return kept.flatMap((one) => {
    const home = homeSchema.safeParse(one.home);
    return home.success ? [{ ...one, home: home.data }] : [];
  });
}

/** Keeps a planned hour as the server has it. A run that is under way here stays; else the server's is known too. */
export async function keepHour(hour: Pick<StoredHour, 'home' | 'hourId' | 'token'>): Promise<void> {
  const tx = (await store()).transaction('settings', 'readwrite');
  const held = (await tx.store.get(hourKey(hour.hourId)))?.value as StoredHour | undefined;
  const [planned] = hour.home.hours;
  const theirs = planned?.run ?? null;
  const own = held?.run && (!held.sent || theirs === null || held.run.change >= theirs.change) ? held : null;
  void tx.store.put({ key: hourKey(hour.hourId), value: { ...hour, run: own?.run ?? theirs, sent: own?.sent ?? true } });
  await tx.done;
  changed();
}

/** Keeps how a planned hour is done; the server is told when it can be. */
export async function keepRun(hourId: string, run: Run): Promise<void> {
  const tx = (await store()).transaction('settings', 'readwrite');
  const held = await tx.store.get(hourKey(hourId));
  if (held) {
    const { why: _why, ...kept } = held.value as StoredHour;
    void tx.store.put({ key: held.key, value: { ...kept, run, sent: false } });
  }
  await tx.done;
  changed();
}

/** A run that the server does not have yet, of an hour that is not among these. */
export async function nextRun(without: ReadonlySet<string> = new Set()): Promise<StoredHour | undefined> {
  const kept = await hoursOf((await store()).transaction('settings'));
  return kept.find((one) => isRunWaiting(one) && !without.has(one.hourId));
}

/** A run that the server has, or refuses for good; what was done since is still to be told. */
export async function markRunSent({ hourId, run }: StoredHour, why?: string): Promise<void> {
  const tx = (await store()).transaction('settings', 'readwrite');
  const held = await tx.store.get(hourKey(hourId));
  const kept = held?.value as StoredHour | undefined;
  if (held && kept?.run?.runId === run?.runId && kept?.run?.change === run?.change)
    void tx.store.put({ key: held.key, value: { ...kept!, ...(why === undefined ? { sent: true } : { why }) } });
  await tx.done;
  changed();
}

/** Keeps a session that is begun here, as the server would send it; the server hears of it once somebody means to play it. */
export async function keepStart(bundle: Bundle, start: SessionStart, token: string | null): Promise<void> {
  const { sessionId } = bundle;
  const tx = (await store()).transaction(['events', 'tellings', 'settings', 'bundles', 'keys'], 'readwrite');
  // What was opened and left long ago, nobody comes back to.
  for (const [opened, { start: of, ready }] of await startsOf(tx))
    if (!ready && Date.parse(of.startedAt) < now() - LEFT_MS) await forgetSession(tx, opened);
  void tx.objectStore('bundles').put({ sessionId, bundle });
  void tx.objectStore('settings').put({ key: startKey(sessionId), value: { start, ready: false } });
  if (token !== null) void tx.objectStore('keys').put({ sessionId, token });
  await tx.done;
  changed();
}

/** Says that a session that was begun here is meant to be played. @returns whether the server is still to be told */
export async function meanStart(sessionId: string): Promise<boolean> {
  const tx = (await store()).transaction('settings', 'readwrite');
  const held = await tx.store.get(startKey(sessionId));
  if (held) void tx.store.put({ ...held, value: { ...(held.value as StoredStart), ready: true } });
  await tx.done;
  if (held) changed();
  return held !== undefined;
}

/** The first start that is to be told, of a session that is not among these. */
export async function nextStart(without: ReadonlySet<string> = new Set()): Promise<SessionStart | undefined> {
  const starts = await startsOf((await store()).transaction('settings'));
  return [...starts.values()].find(({ start, ready, why }) => ready && why === undefined && !without.has(start.sessionId))?.start;
}

/** A start that the server has, or refuses for good. */
export async function markStarted(sessionId: string, why?: string): Promise<void> {
  const tx = (await store()).transaction('settings', 'readwrite');
  const held = await tx.store.get(startKey(sessionId));
  if (held && why === undefined) void tx.store.delete(held.key);
  else if (held) void tx.store.put({ ...held, value: { ...(held.value as StoredStart), why: why! } });
  await tx.done;
  changed();
}

/** How much was said of all sessions that only a newer program understands. */
export async function countUnread(): Promise<number> {
  return (await store()).countFromIndex('events', 'sent', 3);
}

const isWaiting = ({ why }: StoredSessionNote) => why === undefined;

/** What the server will never take, of a session or of all: it is kept, and counts nowhere, until somebody decides. */
export type SetAside = { id: string; sessionId: string; why: string; said: ShotEvent | SessionNote | { say: 'start' } };

export async function readAside(sessionId?: string): Promise<SetAside[]> {
  const tx = (await store()).transaction(['events', 'tellings', 'settings']);
  const [starts, events, tellings] = await Promise.all([
    startsOf(tx),
    tx.objectStore('events').index('sent').getAll(2),
    tx.objectStore('tellings').getAll(),
  ]);
  return [
    ...[...starts].flatMap(([of, { why }]) =>
      why === undefined ? [] : [{ id: startKey(of), sessionId: of, why, said: { say: 'start' as const } }],
    ),
    ...events.map(({ eventId, sessionId: of, why, event }) => ({ id: eventId, sessionId: of, why: why ?? '', said: event })),
    ...tellings.flatMap(({ id, sessionId: of, why, telling }) =>
      why === undefined ? [] : [{ id, sessionId: of, why, said: storedNotes.read(telling) }],
    ),
  ].filter((one) => sessionId === undefined || one.sessionId === sessionId);
}

/** Sets events aside that the server refuses. */
export async function setAside(refused: ReadonlyMap<string, string>): Promise<void> {
  const tx = (await store()).transaction('events', 'readwrite');
  for (const [eventId, why] of refused) {
    const entry = await tx.store.get(eventId);
    if (entry?.sent === 0) void tx.store.put({ ...entry, sent: 2, why });
  }
  await tx.done;
  changed();
}

/** Sets a telling aside that the server refuses, unless it was said anew meanwhile. */
export async function setSessionNoteAside(one: StoredSessionNote, why: string): Promise<void> {
  const tx = (await store()).transaction('tellings', 'readwrite');
  const held = await tx.store.get(one.id);
  if (held && JSON.stringify(held) === JSON.stringify(one)) void tx.store.put({ ...one, why });
  await tx.done;
  changed();
}

/** Lets what was set aside wait to be sent again, or forgets it. */
export async function settleAside(id: string, decision: 'again' | 'discard'): Promise<void> {
  const tx = (await store()).transaction(['events', 'tellings', 'settings', 'bundles', 'keys'], 'readwrite');
  const started = (await tx.objectStore('settings').get(id))?.value as StoredStart | undefined;
  if (started && decision === 'again') void tx.objectStore('settings').put({ key: id, value: { start: started.start, ready: true } });
  else if (started) await forgetSession(tx, started.start.sessionId);
  for (const name of ['events', 'tellings'] as const) {
    const of = tx.objectStore(name);
    const held = await of.get(id);
    if (held?.why === undefined) continue;
    if (decision === 'discard') void of.delete(id);
    else {
      const { why: _why, ...entry } = held;
      void of.put(('sent' in entry ? { ...entry, sent: 0 } : entry) as never);
    }
  }
  await tx.done;
  changed();
}

/** Forgets a session that never was more than here. */
async function forgetSession(
  tx: IDBPTransaction<DeviceSchema, ('events' | 'tellings' | 'settings' | 'bundles' | 'keys')[], 'readwrite'>,
  sessionId: string,
): Promise<void> {
  void tx.objectStore('settings').delete(startKey(sessionId));
  void tx.objectStore('bundles').delete(sessionId);
  void tx.objectStore('keys').delete(sessionId);
  for (const name of ['events', 'tellings'] as const)
    for (const entry of await tx.objectStore(name).getAll())
      if (entry.sessionId === sessionId) void tx.objectStore(name).delete('eventId' in entry ? entry.eventId : entry.id);
}

export type Saying =
  { kind: 'record'; payload: ShotRecord } | { kind: 'amend'; shotId: string; payload: ShotAmend } | { kind: 'void'; shotId: string };

/**
 * Decides and stores in one go, so that a double press or a second tab can't record the same turn twice: all that is said, or nothing.
 * @param decide sees the balls as they are at that moment; an empty list stores nothing
 * @returns whether anything was stored
 */
export async function sayAboutShots(sessionId: string, decide: (shots: Shot[]) => readonly Saying[]): Promise<boolean> {
  const tx = (await store()).transaction(['events', 'settings'], 'readwrite');
  const settings = tx.objectStore('settings');
  const said = decide(projectShots(await eventsOf(tx as unknown as Any, sessionId)));
  if (said.length === 0) return false;
  const deviceId = ((await settings.get('deviceId'))?.value as string | undefined) ?? newId();
  const firstSeq = (((await settings.get('deviceSeq'))?.value as number | undefined) ?? -1) + 1;
  void settings.put({ key: 'deviceId', value: deviceId });
  void settings.put({ key: 'deviceSeq', value: firstSeq + said.length - 1 });
  const deviceAt = new Date(now()).toISOString();
  for (const [i, saying] of said.entries()) {
    const deviceSeq = firstSeq + i;
    const base = { version: EVENT_VERSION, eventId: newId(), sessionId, deviceId, deviceSeq, deviceAt };
    const event: ShotEvent =
      saying.kind === 'record'
        ? { ...base, shotId: newId(), kind: 'record', payload: saying.payload }
        : saying.kind === 'amend'
          ? { ...base, shotId: saying.shotId, kind: 'amend', payload: saying.payload }
          : { ...base, shotId: saying.shotId, kind: 'void', payload: {} };
    void tx.objectStore('events').add({ eventId: event.eventId, sessionId, order: OWN_FROM + deviceSeq, sent: 0, event });
  }
  await tx.done;
  changed();
  return true;
}

/** Up to so many unsent events of one session, oldest first; undefined when everything is sent. */
export async function nextBatch(
  most: number,
  without: ReadonlySet<string> = new Set(),
): Promise<{ sessionId: string; events: ShotEvent[] } | undefined> {
  const tx = (await store()).transaction(['events', 'settings']);
  const [starts, unsent] = await Promise.all([startsOf(tx), tx.objectStore('events').index('sent').getAll(0)]);
  const waiting = unsent.filter((entry) => !without.has(entry.sessionId) && !starts.has(entry.sessionId)).sort((a, b) => a.order - b.order);
  const first = waiting[0];
  if (!first) return undefined;
  const events = waiting.filter((entry) => entry.sessionId === first.sessionId).slice(0, most);
  return { sessionId: first.sessionId, events: events.map((entry) => entry.event) };
}

export async function markSent(eventIds: readonly string[]): Promise<void> {
  const tx = (await store()).transaction('events', 'readwrite');
  for (const eventId of eventIds) {
    const entry = await tx.store.get(eventId);
    if (entry) void tx.store.put({ ...entry, sent: 1 });
  }
  await tx.done;
  changed();
}

/** Keeps what is to be told about a session until the server has it; this device goes by it at once. */
export async function keepSessionNote(sessionId: string, note: SessionNote): Promise<void> {
  await meanStart(sessionId);
  const tx = (await store()).transaction(['tellings', 'bundles'], 'readwrite');
  const held = await tx.objectStore('bundles').get(sessionId);
  void tx
    .objectStore('tellings')
    .put({ id: `${sessionId} ${aboutOf(note)}`, sessionId, telling: { ...note, version: storedNotes.version }, made: now() });
  if (held) void tx.objectStore('bundles').put({ sessionId, bundle: noted(held.bundle, note) });
  await tx.done;
  changed();
}

/** The oldest of what is to be told about a session that is not among these; undefined when all is told. */
export async function nextSessionNote(without: ReadonlySet<string> = new Set()): Promise<StoredSessionNote | undefined> {
  const tx = (await store()).transaction(['tellings', 'settings']);
  const [starts, tellings] = await Promise.all([startsOf(tx), tx.objectStore('tellings').getAll()]);
  const waiting = tellings.filter((one) => isWaiting(one) && !without.has(one.sessionId) && !starts.has(one.sessionId));
  return waiting.sort((a, b) => a.made - b.made)[0];
}

/** Forgets a telling that the server has, unless it was said anew meanwhile. */
export async function markNoted(one: StoredSessionNote): Promise<void> {
  const tx = (await store()).transaction('tellings', 'readwrite');
  const held = await tx.store.get(one.id);
  if (held && JSON.stringify(held) === JSON.stringify(one)) void tx.store.delete(one.id);
  await tx.done;
  changed();
}

/** Keeps what a device read, for every page of this session. */
export async function keepOffer(offer: Offer): Promise<void> {
  await (await store()).put('offers', offer);
  changed();
}

/** The personal link with which a session is opened here; undefined where it is the coach's sign-in. */
export async function keyOf(sessionId: string): Promise<string | undefined> {
  return (await (await store()).get('keys', sessionId))?.token;
}

/** In place of a link's token: the start page of whoever coaches. */
export const DESK = 'desk';

/** Keeps a start page for when there is no network; a link is the key of the sessions on it. */
export async function keepHome(token: string, home: Home): Promise<void> {
  const tx = (await store()).transaction(['keys', 'homes'], 'readwrite');
  if (token !== DESK) for (const { sessionId } of home.sessions) void tx.objectStore('keys').put({ sessionId, token });
  void tx.objectStore('homes').put({ token, home });
  await tx.done;
  changed();
}

/** Keeps a newer start page in place of one that is kept; where it was forgotten meanwhile, nothing. */
export async function renewHome(token: string, home: Home): Promise<void> {
  const tx = (await store()).transaction('homes', 'readwrite');
  if ((await tx.store.count(token)) > 0) void tx.store.put({ token, home });
  await tx.done;
  changed();
}

/** The start page of a personal link, or of the desk, as it was last; undefined where an older program kept it in a shape that is no more. */
export async function readHome(token: string): Promise<Home | undefined> {
  return homeSchema.safeParse((await (await store()).get('homes', token))?.home).data;
}

const reportKey = (token: string) => `report ${token}`;

/** Keeps the report of a link's player for when there is no network. */
export async function keepReport(token: string, report: Report): Promise<void> {
  await (await store()).put('settings', { key: reportKey(token), value: { report } });
  changed();
}

/** The report of a link's player as it was opened last; null where there is none, or a newer program kept it. */
export async function readReport(token: string): Promise<Report | null> {
  const kept = (await (await store()).get('settings', reportKey(token)))?.value as StoredReport | undefined;
  return kept && storedReports.understands(kept.report) ? storedReports.read(kept.report) : null;
}

/** Whose start pages are kept here: tokens of links, and the desk. */
export async function homesHere(): Promise<string[]> {
  return (await store()).getAllKeys('homes');
}

/** The sessions that are kept here and that somebody means to play, with their balls. */
export async function sessionsHere(): Promise<Held[]> {
  const db = await store();
  const starts = await startsOf(db.transaction('settings'));
  const meant = (await db.getAllKeys('bundles')).filter((sessionId) => starts.get(sessionId)?.ready !== false);
  const held = await Promise.all(meant.map(readSession));
  return held.flatMap((one) => one ?? []);
}

/** Forgets a link that holds no longer, and the page it opened; balls that were not sent stay. */
export async function forgetHome(token: string): Promise<void> {
  const tx = (await store()).transaction(['homes', 'settings'], 'readwrite');
  void tx.objectStore('homes').delete(token);
  void tx.objectStore('settings').delete(reportKey(token));
  await tx.done;
  changed();
}

/** Forgets what the server has anyway; balls that are not sent or were refused stay, with the sessions they belong to. */
export async function forgetSent(): Promise<void> {
  const tx = (await store()).transaction(STORES, 'readwrite');
  const waiting = (await tx.objectStore('events').getAll()).filter(({ sent }) => sent === 0 || sent === 2);
  const notes = await tx.objectStore('tellings').getAll();
  const starts = await startsOf(tx);
  const begun = [...starts].flatMap(([sessionId, { ready }]) => (ready ? [{ sessionId }] : []));
  const kept = new Set([...waiting, ...notes, ...begun].map((entry) => entry.sessionId));
  for (const sessionId of starts.keys()) if (!kept.has(sessionId)) void tx.objectStore('settings').delete(startKey(sessionId));
  for (const one of await hoursOf(tx)) if (!isRunWaiting(one)) void tx.objectStore('settings').delete(hourKey(one.hourId));
  for (const name of ['bundles', 'events', 'keys'] as const)
    for (const entry of await tx.objectStore(name).getAll())
      if (!kept.has(entry.sessionId)) void tx.objectStore(name).delete('eventId' in entry ? entry.eventId : entry.sessionId);
  for (const token of await tx.objectStore('homes').getAllKeys()) void tx.objectStore('settings').delete(reportKey(token));
  void tx.objectStore('homes').clear();
  void tx.objectStore('offers').clear();
  await tx.done;
  changed();
}
