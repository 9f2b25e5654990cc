import Dexie, { type EntityTable } from 'dexie';
import type { Bundle } from '@/core/game/bundle';
import { projectShots } from '@/core/shot/project';
import type { Shot, ShotEvent, ShotRecord } from '@/core/shot/shot';
import { newId, now } from './ids';

/**
 * What the device keeps: the bundle of each session it opened, and every event of its balls. A ball is in here before
 * the next one is asked for; whether the server has it too is a flag.
 */
type StoredBundle = { sessionId: string; bundle: Bundle };
type StoredEvent = { eventId: string; sessionId: string; order: number; sent: 0 | 1; event: ShotEvent };
type Setting = { key: string; value: string | number };

class DeviceStore extends Dexie {
  bundles!: EntityTable<StoredBundle, 'sessionId'>;
  events!: EntityTable<StoredEvent, 'eventId'>;
  settings!: EntityTable<Setting, 'key'>;

  constructor() {
    super('inch-game');
    this.version(1).stores({ bundles: 'sessionId', events: 'eventId, sent, [sessionId+order]', settings: 'key' });
  }
}

let opened: DeviceStore | undefined;
function store(): DeviceStore {
  return (opened ??= new DeviceStore());
}

/** Own events come after all that the server had when the session was opened. */
const OWN_FROM = 1_000_000;

/**
 * Keeps what the server sent of a session. Facts are only ever added: a ball that was sent while the server was
 * answering is not in its answer, and stays.
 */
export async function keepBundle(bundle: Bundle): Promise<void> {
  const db = store();
  await db.transaction('rw', db.bundles, db.events, async () => {
    await db.bundles.put({ sessionId: bundle.sessionId, bundle: { ...bundle, events: [] } });
    await db.events.bulkPut(
      bundle.events.map((event, order) => ({ eventId: event.eventId, sessionId: event.sessionId, order, sent: 1 as const, event })),
    );
  });
}

const inSession = (sessionId: string) =>
  store().events.where('[sessionId+order]').between([sessionId, Dexie.minKey], [sessionId, Dexie.maxKey]);

/** A session as this device knows it: undefined if it was never opened here. */
export async function readSession(sessionId: string): Promise<{ bundle: Bundle; shots: Shot[] } | undefined> {
  const held = await store().bundles.get(sessionId);
  if (!held) return undefined;
  const events = await inSession(sessionId).sortBy('order');
  return { bundle: held.bundle, shots: projectShots(events.map((entry) => entry.event)) };
}

/** How many events of all sessions are still to be sent. */
export async function countWaiting(): Promise<number> {
  return store().events.where('sent').equals(0).count();
}

type Saying = { kind: 'record'; payload: ShotRecord } | { kind: 'void'; shotId: string };

/**
 * Decides and stores in one go, so that a double press or a second tab can't record the same turn twice.
 * @param decide sees the balls as they are at that moment; null stores nothing
 * @returns whether anything was stored
 */
export async function sayAboutShot(sessionId: string, decide: (shots: Shot[]) => Saying | null): Promise<boolean> {
  const db = store();
  return db.transaction('rw', db.events, db.settings, async () => {
    const events = await inSession(sessionId).sortBy('order');
    const saying = decide(projectShots(events.map((entry) => entry.event)));
    if (!saying) return false;
    const deviceId = ((await db.settings.get('deviceId'))?.value as string | undefined) ?? newId();
    const deviceSeq = (((await db.settings.get('deviceSeq'))?.value as number | undefined) ?? -1) + 1;
    await db.settings.bulkPut([
      { key: 'deviceId', value: deviceId },
      { key: 'deviceSeq', value: deviceSeq },
    ]);
    const base = { eventId: newId(), sessionId, deviceId, deviceSeq, deviceAt: new Date(now()).toISOString() };
    const event: ShotEvent =
      saying.kind === 'record'
        ? { ...base, shotId: newId(), kind: 'record', payload: saying.payload }
        : { ...base, shotId: saying.shotId, kind: 'void', payload: {} };
    await db.events.add({ eventId: event.eventId, sessionId, order: OWN_FROM + deviceSeq, sent: 0, event });
    return true;
  });
}

/** Up to so many unsent events of one session, oldest first; undefined when everything is sent. */
export async function nextBatch(most: number): Promise<{ sessionId: string; events: ShotEvent[] } | undefined> {
  const waiting = (await store().events.where('sent').equals(0).toArray()).sort((a, b) => a.order - b.order);
  const first = waiting[0];
  if (!first) return undefined;
  const events = waiting.filter((entry) => entry.sessionId === first.sessionId).slice(0, most);
  return { sessionId: first.sessionId, events: events.map((entry) => entry.event) };
}

export async function markSent(eventIds: readonly string[]): Promise<void> {
  await store()
    .events.where('eventId')
    .anyOf([...eventIds])
    .modify({ sent: 1 });
}

/** Forgets what the server has anyway; balls that are not sent stay, with the sessions they belong to. */
export async function forgetSent(): Promise<void> {
  const db = store();
  await db.transaction('rw', db.bundles, db.events, async () => {
    const waiting = await db.events.where('sent').equals(0).toArray();
    const kept = new Set(waiting.map((entry) => entry.sessionId));
    await db.bundles.filter((entry) => !kept.has(entry.sessionId)).delete();
    await db.events.filter((entry) => !kept.has(entry.sessionId)).delete();
  });
}
