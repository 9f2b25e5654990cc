import { desc, isNull } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { backup } from '../schema';

/**
 * When the last backup of everything was made, and the last try, which may have failed; null: there was none. It is the same
 * for each academy of the installation.
 */
export async function lastBackups(db: Db, _actor: Actor) {
  const newest = () => db.select().from(backup).orderBy(desc(backup.begunAt)).limit(1);
  const [[good], [tried]] = await Promise.all([newest().where(isNull(backup.failure)), newest()]);
  return { good: good ?? null, tried: tried ?? null };
}
