import 'server-only';
import { createHash } from 'node:crypto';
import type { Pool } from 'pg';
import { RateLimiterPostgres, RateLimiterRes, type RateLimiterAbstract } from 'rate-limiter-flexible';
import { pool } from './db';

/** Makes what counts under a name: so many points for each in so many seconds. */
export type MakeLimiter = (name: string, points: number, seconds: number) => RateLimiterAbstract;

/** The library gives its statements names, which stay with a connection: behind a pooler the next transaction has another. */
const unnamed = (own: Pool) => ({ query: ({ text, values }: { text: string; values: unknown[] }) => own.query(text, values) });

/** Counts that stand in a database, so that all instances of the program share them; what is over is deleted by itself. */
export const countingIn =
  (storeClient: () => Pool): MakeLimiter =>
  (keyPrefix, points, duration) =>
    new RateLimiterPostgres({
      storeClient: unnamed(storeClient()),
      storeType: 'pool',
      tableName: 'rate_limit',
      tableCreated: true,
      keyPrefix,
      points,
      duration,
    });
/** Counts in the program's own database. */
export const inDatabase = countingIn(pool);

/** One that is made when first asked: while the program is built there is no database. */
export function lazily(make: () => RateLimiterAbstract): () => RateLimiterAbstract {
  let made: RateLimiterAbstract | undefined;
  return () => (made ??= make());
}

/** What stands for somebody in the table: no address and no token is read out of it. */
export const keyOf = (who: string) => createHash('sha256').update(who).digest('base64url');

/** Takes points of somebody's; false, and nothing is taken, where they have not so many left. */
export async function takes(limiter: RateLimiterAbstract, who: string, count: number): Promise<boolean> {
  const key = keyOf(who);
  try {
    await limiter.consume(key, count);
    return true;
  } catch (refused) {
    if (!(refused instanceof RateLimiterRes)) throw refused;
    await limiter.reward(key, count);
    return false;
  }
}
