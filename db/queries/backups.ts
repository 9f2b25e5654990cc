import { desc, isNull } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { backup } from '../schema';

/** When the last backup of everything was made, and the last try, which may have failed; null: there was none. */
export async function lastBackups(db: Db, _actor: Actor) {
  const newest = db.select().from(backup).orderBy(desc(backup.begunAt)).limit(1);
  const [[good], [tried]] = await Promise.all([
    db.select().from(backup).where(isNull(backup.failure)).orderBy(desc(backup.begunAt)).limit(1),
    newest,
  ]);
  return { good: good ?? null, tried: tried ?? null };
}
