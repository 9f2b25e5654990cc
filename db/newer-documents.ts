import { storedGames } from '@/core/game/stored-games';
import { storedPlans } from '@/core/green/stored-plans';
import { storedHours, storedRuns } from '@/core/hour/stored-hours';
import { storedWeeks } from '@/core/weeks/stored-weeks';
import { sql, type SQL } from 'drizzle-orm';
import type { PgColumn } from 'drizzle-orm/pg-core';
import type { Db } from './client';
import { gameVersion, greenVersion, hour, hourRun, session, weeks } from './schema';

/**
 * What a database holds that only a newer program can read: it was used by one, and somebody has gone back since.
 * @returns the kinds, in words; none where this program can read everything
 */
export async function newerDocuments(db: Db): Promise<string[]> {
  const newer = (document: PgColumn, version: number): SQL =>
    sql`exists (select from ${document.table} where coalesce((${document} ->> 'version')::integer, 1) > ${version})`;
  const { rows } = await db.execute<Record<'games' | 'sessions' | 'greens' | 'plans' | 'runs' | 'weeks', boolean>>(
    sql`select ${newer(gameVersion.spec, storedGames.version)} as games, ${newer(session.spec, storedGames.version)} as sessions,
      ${newer(greenVersion.plan, storedPlans.version)} as greens, ${newer(hour.hour, storedHours.version)} as plans,
      ${newer(hourRun.run, storedRuns.version)} as runs, ${newer(weeks.weeks, storedWeeks.version)} as weeks`,
  );
  return Object.entries(rows[0]!).flatMap(([kind, is]) => (is ? [kind] : []));
}
