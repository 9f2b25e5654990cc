import type { Entrant } from '@/core/game/entrant';
import { storedEvent } from '@/core/shot/read-event';
import type { Shot, ShotEvent } from '@/core/shot/shot';
import { and, eq, getTableColumns, getTableName, sql, type SQL, type SQLWrapper } from 'drizzle-orm';
import { toSnakeCase } from 'drizzle-orm/casing';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { session, shot, type sessionPlayer, type shotEvent } from '../schema';

/** An event as it is stored, without what only a query of its own needs. */
export type EventRow = Pick<
  typeof shotEvent.$inferSelect,
  | 'eventId'
  | 'shotId'
  | 'sessionId'
  | 'version'
  | 'kind'
  | 'payload'
  | 'deviceId'
  | 'deviceSeq'
  | 'deviceAt'
  | 'clockBehindMs'
  | 'more'
  | 'serverSeq'
  | 'receivedAt'
>;

/** What of an event has a column of its own; all else is kept in `more`. */
const OWN = ['version', 'eventId', 'shotId', 'sessionId', 'kind', 'payload', 'deviceId', 'deviceSeq', 'deviceAt'] as const;

/** Written out: it is done for every ball that is read or stored. */
function ownOf<T extends Record<(typeof OWN)[number], unknown>>(from: T): Pick<T, (typeof OWN)[number]> {
  const { version, eventId, shotId, sessionId, kind, payload, deviceId, deviceSeq, deviceAt } = from;
  return { version, eventId, shotId, sessionId, kind, payload, deviceId, deviceSeq, deviceAt };
}

/** An event as it came in, whatever program said it. */
export function asSaid(row: Omit<EventRow, 'serverSeq'>): Record<string, unknown> {
  return { ...row.more, ...ownOf(row), deviceAt: row.deviceAt.toISOString() };
}

/** An event as this program reads it; null for one of a newer program that it can't understand. */
export function asEvent(row: Omit<EventRow, 'serverSeq'>): ShotEvent | null {
  return storedEvent(asSaid(row));
}

/** The columns of an event, of which `asSaid` makes it again. */
export function columnsOf(event: ShotEvent) {
  const more = Object.entries(event).filter(([name]) => !OWN.some((own) => own === name));
  return { ...ownOf(event), deviceAt: new Date(event.deviceAt), more: more.length > 0 ? Object.fromEntries<unknown>(more) : null };
}

/** A player as the session took them in. */
export function asEntrant({ playerId, level, unitM, scale, allowance }: typeof sessionPlayer.$inferSelect): Entrant {
  return { playerId, level, unitM, scale, allowance };
}

/** Columns and sums under the names that they have here, for a query whose rows are read as one value. */
export function named(fields: Record<string, SQLWrapper>): Record<string, SQL.Aliased> {
  return Object.fromEntries(Object.entries(fields).map(([name, of]) => [name, sql`${of}`.as(name)]));
}

const ORDERS = {
  /** As they were to be played, and of one turn as their records came in. */
  turns: sql`ball."turnNo", ball."serverSeq"`,
  played: sql`ball."playedAt", ball."serverSeq"`,
};

/**
 * The balls of an academy for which something holds, in an order. They are read as one value: thousands of rows with forty columns each are read many
 * times as fast.
 * @param where of the ball, and of its session
 */
export async function shotsWhere(db: Db, actor: Actor, where: SQL | undefined, order: keyof typeof ORDERS): Promise<Shot[]> {
  const { academyId: _academy, ...facts } = getTableColumns(shot);
  const ball = db
    .select(named(facts))
    .from(shot)
    .innerJoin(session, and(eq(session.academyId, shot.academyId), eq(session.sessionId, shot.sessionId)))
    .where(and(eq(shot.academyId, actor.academyId), where))
    .as('ball');
  type Row = Shot & { serverSeq: number };
  const [all] = await db.select({ rows: sql<Row[]>`coalesce(json_agg(ball order by ${ORDERS[order]}), '[]')` }).from(ball);
  return all!.rows.map(({ serverSeq: _seq, playedAt, ...row }) => ({ ...row, playedAt: new Date(playedAt).toISOString() }));
}

/**
 * Rows for a table as one value with the names of the columns, so that a statement is as short for a thousand as for one.
 * @param rows all with the same keys
 */
export function asJson<T extends PgTable>(table: T, rows: readonly Partial<T['$inferInsert']>[]): string {
  const named = Object.keys(rows[0] ?? {}).map((key) => [key, columnName(table, key)] as const);
  return JSON.stringify(rows.map((row) => Object.fromEntries(named.map(([key, name]) => [name, (row as Record<string, unknown>)[key]]))));
}

/** `select` of any number of rows for a table, to be inserted. Columns that no row names get what the table says. */
export function rowsOf<T extends PgTable>(table: T, rows: readonly Partial<T['$inferInsert']>[]): { columns: SQL; select: SQL } {
  const columns = sql.raw(
    Object.keys(rows[0] ?? {})
      .map((key) => `"${columnName(table, key)}"`)
      .join(', '),
  );
  const from = sql.raw(getTableName(table));
  return { columns, select: sql`select ${columns} from jsonb_populate_recordset(null::${from}, ${asJson(table, rows)}::jsonb)` };
}

/** The name that a column has in the database. */
export function columnName(table: PgTable, key: string): string {
  const column = getTableColumns(table)[key];
  if (!column) throw new Error(`${getTableName(table)} has no column for ${key}`);
  return column.keyAsName ? toSnakeCase(key) : column.name;
}
