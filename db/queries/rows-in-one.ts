import { sql, type SQL } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Db } from '../client';

type Columns = Readonly<Record<string, PgColumn>>;
type Row<C extends Columns> = {
  [Name in keyof C]: C[Name]['_']['notNull'] extends true ? C[Name]['_']['data'] : C[Name]['_']['data'] | null;
};

/**
 * Rows of one table, asked for as one value: of hundreds of rows with a dozen fields each field would otherwise be read on its own.
 * @param columns by the name that each has in a row
 */
export async function rowsInOne<C extends Columns>(
  db: Db,
  from: PgTable,
  columns: C,
  where: SQL | undefined,
  orderBy: SQL,
): Promise<Row<C>[]> {
  const fields = Object.entries(columns);
  const listed = sql.join(
    fields.map(([, column]) => column),
    sql`, `,
  );
  const [all] = await db
    .select({ rows: sql<unknown[][]>`coalesce(json_agg(json_build_array(${listed}) order by ${orderBy}), '[]')` })
    .from(from)
    .where(where);
  return all!.rows.map((values) => {
    const row: Record<string, unknown> = {};
    for (const [i, [name, column]] of fields.entries()) row[name] = values[i] === null ? null : column.mapFromDriverValue(values[i]);
    return row as Row<C>;
  });
}
