import { pipeline } from 'node:stream/promises';
import { Readable } from 'node:stream';
import { ARCHIVE_TABLES, type ArchiveTable } from '@/core/archive/tables';
import { withNewIds } from '@/core/archive/new-ids';
import { BrokenArchive } from '@/core/archive/row';
import { and, eq, isNotNull, sql } from 'drizzle-orm';
import type { Pool, PoolClient } from 'pg';
import { from, to } from 'pg-copy-streams';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { withCopy } from '../copy';
import { idFrom } from '../ids';
import { lookAfter } from '../statistics';
import { game, player, session, shotEvent } from '../schema';
import { noteActivity } from './activity';
import { erasePlayer } from './erase';
import { holdSession, projectAgain } from './projection';

/*
 * All of an academy, out of the database and into it, by COPY: table by table, row by row, however much it is. It is read as it stands at one
 * moment, and comes in as a whole or not at all.
 */

/** A line of JSON has neither of these as they are: lines go by COPY as they stand. */
const RAW = `with (format csv, delimiter E'\\x02', quote E'\\x01')`;
/** What goes out other than it stands: a file that has not been kept to its end is kept as far as it came. */
const OUT: Readonly<Record<string, string>> = {
  'import_file.state': `case when state = 'undone' then 'undone' else 'kept' end as state`,
  'import_file.rows': 'kept + known + refused as rows',
};
/** What takes so long may. */
const PATIENTLY = `set local statement_timeout = 0; set local idle_in_transaction_session_timeout = '120s'`;

/** How many events an archive will hold: nearly all of its size. */
export function countEvents(db: Db, { academyId }: Actor): Promise<number> {
  return db.$count(shotEvent, eq(shotEvent.academyId, academyId));
}

/**
 * Reads all tables of the academy at one moment.
 * @param take is given the rows of a table, one a line as JSON, and has to read them before the next come
 */
export async function readTables(db: Db, actor: Actor, take: (table: ArchiveTable, lines: Readable) => Promise<void>): Promise<void> {
  // Of somebody who is being erased nothing goes anywhere: what was begun is brought to its end.
  const half = await db
    .select({ playerId: player.playerId })
    .from(player)
    .where(and(eq(player.academyId, actor.academyId), isNotNull(player.erasedAt)));
  for (const { playerId } of half) await erasePlayer(db, actor, playerId);
  await readAtOnce(
    db,
    actor,
    ARCHIVE_TABLES.map((table) => ({ table })),
    take,
  );
}

/** Rows of tables, as they stand at one moment. @param tables each with which of its rows; without that all of the academy's */
export async function readAtOnce(
  db: Db,
  actor: Actor,
  tables: readonly { table: ArchiveTable; which?: string }[],
  take: (table: ArchiveTable, lines: Readable) => Promise<void>,
): Promise<void> {
  const client = await (db as Db & { $client: Pool }).$client.connect();
  let wrong: Error | undefined;
  try {
    await client.query(`begin isolation level repeatable read read only; ${PATIENTLY}`);
    for (const { table, which } of tables)
      await take(
        table,
        client.query(to(selectOf(table, `academy_id = ${client.escapeLiteral(actor.academyId)}${which ? ` and ${which}` : ''}`))),
      );
    await client.query('commit');
  } catch (error) {
    wrong = error as Error;
    throw error;
  } finally {
    // Whoever stopped reading half way leaves a connection that nobody else can use.
    client.release(wrong);
  }
}

function selectOf({ name, columns, key, order }: ArchiveTable, which: string): string {
  const listed = columns.map((column) => OUT[`${name}.${column}`] ?? `"${column}"`).join(', ');
  const by = order ?? key.join(', ');
  return `copy (select row_to_json(r) from (select ${listed} from "${name}" as me where ${which}${by && ` order by ${by}`}) r) to stdout ${RAW}`;
}

/** What became of the rows of a table: so many are new here, and so many were here already. */
export type Added = { table: string; added: number; known: number };
type Row = Record<string, unknown>;

/**
 * Keeps all tables of an archive, in one transaction. Ids are made anew from the archive's, so that the same archive twice changes nothing: what is
 * here already, with all that belongs to a session, stays as it is.
 * @param origin the academy from which it is: into that one it goes only where that is empty, else all of it would be there twice
 * @param tables in the order of `ARCHIVE_TABLES`
 * @param told hears of each table as it is through, and how many sessions have been counted anew of how many
 * @throws {BrokenArchive} with a sentence; nothing is kept then
 */
export async function keepTables(
  db: Db,
  actor: Actor,
  origin: string,
  tables: AsyncIterable<{ table: ArchiveTable; rows: AsyncIterable<Row> }>,
  told: (step: Added | { counted: number; of: number }) => void = () => undefined,
): Promise<Added[]> {
  const { academyId } = actor;
  const sums = await withCopy(db, async (tx, _, client) => {
    await client.query(PATIENTLY);
    await client.query(`create temp table archive_row (n bigint, row jsonb) on commit drop;
      create temp table fresh_session (session_id uuid primary key, given text) on commit drop`);
    const empty = await isEmpty(tx, actor);
    if (origin === academyId && !empty) throw new BrokenArchive('This archive is from this academy: what is in it is here already.');
    const idOf = (id: string) => idFrom('archive', academyId, id);
    const kept: Added[] = [];
    for await (const { table, rows } of tables) {
      const { all, added } = await together(table.name, async () => {
        const staged = await stage(client, rows, idOf);
        // What holds for the whole academy is taken where nothing is here yet.
        return { all: staged, added: table.key.length > 0 || empty ? await insertStaged(client, academyId, table, staged) : 0 };
      });
      const sum = { table: table.name, added, known: all - added };
      kept.push(sum);
      told(sum);
    }
    const { rows: fresh } = await client.query<{ session_id: string }>(
      'select session_id from fresh_session where given is null order by session_id',
    );
    for (const [i, { session_id: id }] of fresh.entries()) {
      await projectAgain(tx, actor, (await holdSession(tx, actor, id))!);
      if (i % 50 === 49) told({ counted: i + 1, of: fresh.length });
    }
    if (kept.some(({ added }) => added > 0)) await noteActivity(tx, actor, 'keepTables', { about: null });
    return kept;
  });
  await lookAfter(
    db,
    sums.reduce((sum, { added }) => sum + added, 0),
  );
  return sums;
}

async function isEmpty(tx: Db, { academyId }: Actor): Promise<boolean> {
  const of = await Promise.all(
    [player, game, session].map(async (table) =>
      tx
        .select({ one: sql`1` })
        .from(table)
        .where(eq(table.academyId, academyId))
        .limit(1),
    ),
  );
  return of.every((found) => found.length === 0);
}

/** Puts rows aside, with their new ids. @returns how many there are */
async function stage(client: PoolClient, rows: AsyncIterable<Row>, idOf: (id: string) => string): Promise<number> {
  let n = 0;
  async function* lines() {
    for await (const row of rows) yield `${n++}\x02${JSON.stringify(withNewIds(row, idOf))}\n`;
  }
  await client.query('truncate archive_row');
  await pipeline(Readable.from(lines()), client.query(from(`copy archive_row from stdin ${RAW}`)));
  return n;
}

/** @returns how many rows are new */
async function insertStaged(client: PoolClient, academyId: string, table: ArchiveTable, all: number): Promise<number> {
  const { name, columns, key } = table;
  const told = key.map((column) => `row ->> '${column}'`).join(', ');
  const { rows } = await client.query<{ n: string }>(`select count(*) as n from (select distinct ${told || '1'} from archive_row) one`);
  if (Number(rows[0]!.n) < all) throw new BrokenArchive(`The same row of ${name} is in this archive twice.`);
  const ofFresh = columns.includes('session_id') && name !== 'session';
  if (ofFresh) await none(client, `The table ${name} speaks of a session that isn’t in this archive.`, academyId, IN_NO_SESSION);
  if (name === 'shot_event') await none(client, 'A ball is of somebody who doesn’t play in its session.', academyId, BY_NOBODY);
  const listed = columns.map((column) => `"${column}"`).join(', ');
  const insert = `insert into "${name}" (academy_id, ${listed})
    select $1, ${columns.map((column) => `r."${column}"`).join(', ')} from archive_row a, jsonb_populate_record(null::"${name}", a.row) r
    ${ofFresh ? 'where r.session_id is null or r.session_id in (select session_id from fresh_session)' : ''}
    order by a.n on conflict ${key.length > 0 ? 'do nothing' : replacing(columns)}`;
  const kept = `with kept as (${insert} returning session_id, given) insert into fresh_session select session_id, given from kept`;
  return (await client.query(name === 'session' ? kept : insert, [academyId])).rowCount!;
}

/** What the database refuses of a table, as a sentence. */
async function together<T>(name: string, run: () => Promise<T>): Promise<T> {
  try {
    return await run();
  } catch (error) {
    // Of the classes of data that can't be, and of rules that are broken.
    if (!/^(22|23)/.test((error as { code?: string }).code ?? '')) throw error;
    throw new BrokenArchive(`The tables of this archive don’t belong together: ${name} can’t be kept.`);
  }
}

const replacing = (columns: readonly string[]) =>
  `(academy_id) do update set ${columns.map((column) => `"${column}" = excluded."${column}"`).join(', ')}`;

/** Rows that speak of what is not there; those of the tables that are known to the database it sees itself. */
const IN_NO_SESSION = `row ->> 'session_id' is not null and not exists (select from session s where s.academy_id = $1
  and s.session_id = (a.row ->> 'session_id')::uuid)`;
const BY_NOBODY = `row ->> 'kind' = 'record' and not exists (select from session_player s where s.academy_id = $1
  and s.session_id = (a.row ->> 'session_id')::uuid and s.player_id = (a.row -> 'payload' ->> 'playerId')::uuid)`;

async function none(client: PoolClient, sentence: string, academyId: string, which: string): Promise<void> {
  if ((await client.query(`select from archive_row a where ${which} limit 1`, [academyId])).rowCount! > 0)
    throw new BrokenArchive(sentence);
}
