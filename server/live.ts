import 'server-only';
import { Client } from 'pg';
import { z } from 'zod';
import { LIVE_CHANNEL, type Told } from '@/db/queries/live';
import { env } from './env';
import { log } from './log';

/**
 * What changes in a session, from whichever instance of the program it comes: PostgreSQL tells all of them. One
 * connection listens for the whole instance; while it is down nobody is told, and when it is back all look again.
 */
type Watcher = (change: Told['change'] | 'look again') => void;
type Listening = { watchers: Map<string, Set<Watcher>>; client: Promise<void> | null };

const held = globalThis as { inchGameLive?: Listening };
const listening = (held.inchGameLive ??= { watchers: new Map(), client: null });
const AGAIN_MS = 500;

const toldSchema = z.object({ academyId: z.string(), sessionId: z.string(), change: z.enum(['facts', 'session', 'reading']) });

/**
 * Tells a watcher of every change of a session until it is let go.
 * @returns how to let go
 */
export function watchSession(academyId: string, sessionId: string, watcher: Watcher): () => void {
  const key = `${academyId}/${sessionId}`;
  const watchers = listening.watchers.get(key) ?? new Set();
  listening.watchers.set(key, watchers.add(watcher));
  listening.client ??= listen();
  return () => {
    watchers.delete(watcher);
    if (watchers.size === 0) listening.watchers.delete(key);
  };
}

async function listen(): Promise<void> {
  const client = new Client({ connectionString: env().DATABASE_URL, keepAlive: true });
  let ended = false;
  const again = (error?: unknown) => {
    if (ended) return;
    ended = true;
    if (error) log.warn({ err: error }, 'the live channel was cut; it is opened again');
    void client.end().catch(() => undefined);
    setTimeout(() => (listening.client = listen()), AGAIN_MS);
  };
  client.on('error', again);
  client.on('end', () => again());
  client.on('notification', ({ payload }) => {
    const told = toldSchema.safeParse(payload ? JSON.parse(payload) : null);
    if (!told.success) return;
    const { academyId, sessionId, change } = told.data;
    for (const watcher of listening.watchers.get(`${academyId}/${sessionId}`) ?? []) watcher(change);
  });
  try {
    await client.connect();
    await client.query(`listen ${LIVE_CHANNEL}`);
    for (const watchers of listening.watchers.values()) for (const watcher of watchers) watcher('look again');
  } catch (error) {
    again(error);
  }
}
