import type { Entrant } from '@/core/game/entrant';
import { shotEventSchema, type Shot, type ShotEvent } from '@/core/shot/shot';
import { getTableColumns, getTableName, sql, type SQL } from 'drizzle-orm';
import { toSnakeCase } from 'drizzle-orm/casing';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { sessionPlayer, shot, shotEvent } from '../schema';

/** An event as it is stored, without what only a query of its own needs. */
export type EventRow = Pick<
  typeof shotEvent.$inferSelect,
  | 'eventId'
  | 'shotId'
  | 'sessionId'
  | 'kind'
  | 'payload'
  | 'deviceId'
  | 'deviceSeq'
  | 'deviceAt'
  | 'clockBehindMs'
  | 'serverSeq'
  | 'receivedAt'
>;

/** A row as the core has it. */
export function asEvent({
  eventId,
  shotId,
  sessionId,
  kind,
  payload,
  deviceId,
  deviceSeq,
  deviceAt,
}: Omit<EventRow, 'serverSeq'>): ShotEvent {
  return shotEventSchema.parse({ eventId, shotId, sessionId, kind, payload, deviceId, deviceSeq, deviceAt: deviceAt.toISOString() });
}

/** A player as the session took them in. */
export function asEntrant({ playerId, level, unitM, scale, allowance }: typeof sessionPlayer.$inferSelect): Entrant {
  return { playerId, level, unitM, scale, allowance };
}

/** A row as the core has it. */
export function asShot(row: typeof shot.$inferSelect): Shot {
  const { academyId: _academy, serverSeq: _seq, ...facts } = row;
  return { ...facts, playedAt: row.playedAt.toISOString() };
}

/**
 * `select` of any number of rows for a table, to be inserted: they go to the database as one value, so that the statement is as short for
 * a thousand as for one. Columns that no row names get what the table says.
 * @param rows all with the same keys
 */
export function rowsOf<T extends PgTable>(table: T, rows: readonly Partial<T['$inferInsert']>[]): { columns: SQL; select: SQL } {
  const named = Object.keys(rows[0] ?? {});
  const columns = sql.raw(named.map((key) => `"${columnName(table, key)}"`).join(', '));
  const json = JSON.stringify(
    rows.map((row) => Object.fromEntries(named.map((key) => [columnName(table, key), (row as Record<string, unknown>)[key]]))),
  );
  return { columns, select: sql`select ${columns} from jsonb_populate_recordset(null::${sql.raw(getTableName(table))}, ${json}::jsonb)` };
}

function columnName(table: PgTable, key: string): string {
  const column = getTableColumns(table)[key];
  if (!column) throw new Error(`${getTableName(table)} has no column for ${key}`);
  return column.keyAsName ? toSnakeCase(key) : column.name;
}
