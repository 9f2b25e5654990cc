import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { drizzle } from 'drizzle-orm/node-postgres';
import { getTableColumns, getTableName } from 'drizzle-orm';
import type { PgTable } from 'drizzle-orm/pg-core';
import type { Pool, PoolClient } from 'pg';
import { from } from 'pg-copy-streams';
import type { Db } from './client';
import { columnName } from './queries/rows';
import * as schema from './schema';

/**
 * Many rows into a table by COPY, in the transaction of whoever asks.
 * @param rows all with the same keys, as drizzle has them; they may be made one by one while the database takes in those before
 */
export type Copy = <T extends PgTable>(table: T, rows: Iterable<Partial<T['$inferInsert']>>) => Promise<void>;

/** A transaction that can also copy. What is thrown in it takes it back. */
export async function withCopy<T>(db: Db, run: (tx: Db, copy: Copy, client: PoolClient) => Promise<T>): Promise<T> {
  const client = await (db as Db & { $client: Pool }).$client.connect();
  try {
    return await drizzle(client, { schema, casing: 'snake_case' }).transaction(async (tx) => {
      // How keys are looked up is remembered from when the tables were small: of thousands of rows each would then go through all the others.
      await client.query('discard plans');
      return run(tx, copyBy(client), client);
    });
  } finally {
    client.release();
  }
}

const ROWS_AT_ONCE = 100;

const copyBy =
  (client: PoolClient): Copy =>
  async (table, rows) => {
    const each = rows[Symbol.iterator]();
    const first = each.next();
    if (first.done) return;
    const keys = Object.keys(first.value);
    const columns = getTableColumns(table);
    const names = keys.map((key) => `"${columnName(table, key)}"`).join(', ');
    const cells = keys.map((key) => {
      const column = columns[key]!;
      // Figures, ids and moments have nothing in them that would have to be escaped.
      const plain = column.dataType === 'number' || column.dataType === 'boolean' || column.columnType === 'PgUUID';
      const write = plain
        ? String
        : column.dataType === 'date'
          ? momentText()
          : (value: unknown) => escaped(asText(column.mapToDriverValue(value)));
      return (value: unknown) => (value === null || value === undefined ? '\\N' : write(value));
    });
    const lineOf = (row: object) => cells.map((cell, i) => cell((row as Record<string, unknown>)[keys[i]!])).join('\t');
    function* pieces() {
      let lines = [lineOf(first.value as object)];
      for (let next = each.next(); !next.done; next = each.next()) {
        lines.push(lineOf(next.value));
        if (lines.length < ROWS_AT_ONCE) continue;
        yield `${lines.join('\n')}\n`;
        lines = [];
      }
      if (lines.length > 0) yield `${lines.join('\n')}\n`;
    }
    await pipeline(
      Readable.from(pieces(), { highWaterMark: 1 }),
      client.query(from(`copy "${getTableName(table)}" (${names}) from stdin`)),
    );
  };

/** Moments as text; many rows are of the same one. */
function momentText(): (value: unknown) => string {
  let [last, text]: [unknown, string] = [null, ''];
  return (value) => {
    if (value !== last) [last, text] = [value, asText(value)];
    return text;
  };
}

function asText(value: unknown): string {
  if (value instanceof Date) return value.toISOString();
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}

/** What the text form of COPY would take for an end of a cell or a row. */
const SPECIAL = /[\\\n\r\t]/;
const escaped = (text: string) =>
  !SPECIAL.test(text) ? text : text.replaceAll(/[\\\n\r\t]/g, (sign) => ({ '\\': '\\\\', '\n': '\\n', '\r': '\\r', '\t': '\\t' })[sign]!);
