import 'server-only';
import { sql } from 'drizzle-orm';
import { openDb, type Db } from '@/db/client';
import { makeCaughtUp, positionOf } from './caught-up';
import { database } from './db';
import { env } from './env';
import { log } from './log';
import { countRead, gauge } from './metrics';

/**
 * A streaming replica, from which is read where REPLICA_URL names one. A question goes there only when the replica has all that was committed when
 * it was asked, by whichever instance, for whomever: an answer from there is one that the primary could have given. Where the replica is behind or
 * away, the primary is asked.
 */
type Replica = { db: Db; caughtUp: () => Promise<boolean>; awayUntil: number };
const held = globalThis as { inchGameReplica?: Replica | null };

/** One that did not answer is left alone for so long. */
const AWAY_MS = 5_000;

function replica(): Replica | null {
  if (held.inchGameReplica !== undefined) return held.inchGameReplica;
  const url = env().REPLICA_URL;
  if (!url) return (held.inchGameReplica = null);
  const { db, pool } = openDb(url);
  gauge('replica_connections_busy', () => pool.totalCount - pool.idleCount);
  const at = async (from: Db, position: string) => {
    const { rows } = await from.execute<{ lsn: string | null }>(sql.raw(`select ${position} as lsn`));
    // One that was promoted, or never was a replica, replays nothing.
    return rows[0]!.lsn === null ? -1n : positionOf(rows[0]!.lsn);
  };
  const caughtUp = makeCaughtUp({
    // Where the next entry goes, not how far they are on the disk: what is asked for holds however commits are set to wait.
    written: () => at(database(), 'pg_current_wal_insert_lsn()'),
    replayed: () => at(db, 'pg_last_wal_replay_lsn()'),
  });
  return (held.inchGameReplica = { db, caughtUp, awayUntil: 0 });
}

/** Asks what only reads: of the replica where it has everything, else of the primary. */
export async function reading<T>(ask: (db: Db) => Promise<T>): Promise<T> {
  const other = replica();
  if (!other || other.awayUntil > Date.now()) return ask(database());
  try {
    if (await other.caughtUp()) {
      const answer = await ask(other.db);
      countRead('replica');
      return answer;
    }
  } catch (error) {
    if (!isAway(error)) throw error;
    other.awayUntil = Date.now() + AWAY_MS;
    log.warn({ err: error }, 'the replica did not answer; it is left alone for a moment');
  }
  countRead('primary');
  return ask(database());
}

/** Whether a question failed for a reason of the replica's own: it is cut off, starting or full, or what it replays was in the way. */
function isAway(error: unknown): boolean {
  if (!(error instanceof Error && error.cause instanceof Error)) return false;
  const code = 'code' in error.cause ? String(error.cause.code) : '';
  return !/^[0-9A-Z]{5}$/.test(code) || /^(08|53|57P|25006|40001)/.test(code);
}
