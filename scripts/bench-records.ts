import { randomUUID } from 'node:crypto';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { sql } from 'drizzle-orm';
import { from, to } from 'pg-copy-streams';
import { ImportFile } from '@/core/imports/import-file';
import { UNMEASURED } from '@/core/measures/read-length';
import { newPlayer } from '@/core/people/player';
import type { Member } from '@/db/actor';
import { openDb } from '@/db/client';
import { keepRows } from '@/db/queries/import-keep';
import { stageRows, startImport } from '@/db/queries/imports';
import { logbookPage } from '@/db/queries/logbook';
import { savePlayer } from '@/db/queries/players';
import type { LogbookPlace } from '@/core/logbook/asked';
import { addAcademy } from './demo-data';

/**
 * What records cost that come in by the thousand, as ratios: a file of balls against a bare COPY of the same rows with their indexes, and a
 * late page of the logbook against its first, among few sessions and among many. It takes a minute or two and wants an idle machine.
 */
const { db, pool } = openDb(process.env.DATABASE_URL!, { patient: true });
const ROWS = Number(process.env.BENCH_ROWS ?? 100_000);
/** One COPY takes half as long again as another: so many are timed. */
const COPIES = 5;

async function timed<T>(run: () => Promise<T>): Promise<{ s: number; value: T }> {
  const start = performance.now();
  const value = await run();
  return { s: (performance.now() - start) / 1000, value };
}
const median = (all: readonly number[]) => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)]!;

async function academyWith(slug: string, players: number): Promise<{ actor: Member; ids: string[] }> {
  const actor = await addAcademy(db, new Date(), { name: slug, slug, email: `${slug}@field.example` });
  const ids = Array.from({ length: players }, () => randomUUID() as string);
  for (const [i, id] of ids.entries()) await savePlayer(db, actor, id, newPlayer(`Player ${i + 1}`, 'imperial'));
  return { actor, ids };
}

/** A notebook of so many balls: twenty a day and player. */
function notebook(rows: number, players: number): string {
  const lines = ['date,player,shot,lie,distance yd,left ft,club,notes'];
  const kinds = ['chip,fringe', 'pitch,light rough', 'bunker,sand', 'putt,green'];
  for (let i = 0; i < rows; i++) {
    const day = new Date(Date.UTC(2024, 0, 1 + (Math.floor(i / (20 * players)) % 700))).toISOString().slice(0, 10);
    lines.push(`${day},Player ${1 + (Math.floor(i / 20) % players)},${kinds[i % 4]},${5 + (i % 9)},${1 + ((i * 7) % 13)},PW,ball ${i}`);
  }
  return lines.join('\n');
}

const GIVEN = { timeZone: 'Europe/Dublin', nowMs: Date.now(), own: UNMEASURED };

async function importing(): Promise<void> {
  const { actor, ids } = await academyWith('import', 25);
  const text = notebook(ROWS, 25);
  const file = new ImportFile(text);
  const mapping = file.guess();
  const importId = randomUUID();
  await startImport(db, actor, { importId, kind: 'balls', fileName: 'notes.csv', columns: [], mapping, players: [] });
  let most = 0;
  const piece = async <T>(run: () => Promise<T>): Promise<T> => {
    const { s, value } = await timed(run);
    most = Math.max(most, s);
    return value;
  };
  const before = process.memoryUsage().rss;
  const looked = await timed(async () => {
    const looking = file.look(mapping, GIVEN, 'imperial');
    for (;;) {
      const next = looking.next();
      if (next.done) return next.value;
      await Promise.resolve();
    }
  });
  if (looked.value.good !== ROWS) throw new Error(`${looked.value.bad} rows are bad`);
  let sentS = 0;
  const written = await timed(async () => {
    for (const batch of file.batches(mapping, GIVEN, (name) => ids[Number(name.split(' ')[1]) - 1]!))
      sentS += (await timed(() => piece(() => stageRows(db, actor, importId, batch)))).s;
  });
  const kept = await timed(async () => {
    for (;;) if ((await piece(() => keepRows(db, actor, importId)))!.left === 0) return;
  });
  const grown = (process.memoryUsage().rss - before) / 1e6;
  await rowsToCopy(actor);
  const copies: number[] = [];
  for (let i = 0; i < COPIES; i++) {
    await emptyBare();
    copies.push((await timed(copyBare)).s);
  }
  const copied = { s: median(copies) };
  console.log(`\na file of ${ROWS.toLocaleString('en')} balls, one core   s   against a bare COPY of the same rows with their indexes`);
  const say = (what: string, s: number) => console.log(`${what.padEnd(34)} ${s.toFixed(1).padStart(6)}   ${(s / copied.s).toFixed(1)}`);
  say('looked through, in the browser', looked.s);
  say('written to be sent, in the browser', written.s - sentS);
  say('read and put aside, on the server', sentS);
  say('kept, on the server', kept.s);
  say('all of the server', sentS + kept.s);
  say(`a bare COPY, median of ${COPIES}`, copied.s);
  console.log(`these took ${copies.map((s) => s.toFixed(1)).join(', ')} s`);
  console.log(`the longest piece: ${(1000 * most).toFixed(0)} ms; memory grew by ${grown.toFixed(0)} MB`);
}

/** Reads the rows of the academy's sessions, events and balls, and makes empty tables with the same columns, keys and indexes. */
async function rowsToCopy({ academyId }: Member): Promise<void> {
  const client = await pool.connect();
  try {
    for (const table of ['session', 'session_player', 'shot_event', 'shot']) {
      await client.query(`create table bare_${table} (like ${table} including all)`);
      const chunks: Buffer[] = [];
      const columns = (
        await client.query<{ name: string }>(
          `select column_name as name from information_schema.columns where table_name = $1 and table_schema = 'public' and is_generated = 'NEVER'`,
          [table],
        )
      ).rows
        .map(({ name }) => `"${name}"`)
        .join(', ');
      await pipeline(
        client.query(to(`copy (select ${columns} from ${table} where academy_id = '${academyId}') to stdout`)),
        async (source) => {
          for await (const chunk of source) chunks.push(chunk as Buffer);
        },
      );
      held.push({ table, columns, chunks });
    }
  } finally {
    client.release();
  }
}
const held: { table: string; columns: string; chunks: Buffer[] }[] = [];
/** Empties those tables for the next time. */
async function emptyBare(): Promise<void> {
  await pool.query(`truncate ${held.map(({ table }) => `bare_${table}`).join(', ')}`);
}

/** The same rows once more, by COPY alone. */
async function copyBare(): Promise<void> {
  const client = await pool.connect();
  try {
    for (const { table, columns, chunks } of held)
      await pipeline(Readable.from(chunks), client.query(from(`copy bare_${table} (${columns}) from stdin`)));
  } finally {
    client.release();
  }
}

/** Sessions of one ball each, made by the database itself: as many rows as it takes. */
async function logbookOf(sessions: number): Promise<void> {
  const { actor, ids } = await academyWith(`logbook-${sessions}`, 20);
  const text = notebook(20, 1);
  const file = new ImportFile(text);
  const importId = randomUUID();
  await startImport(db, actor, { importId, kind: 'balls', fileName: 'x', columns: [], mapping: file.guess(), players: [] });
  for (const batch of file.batches(file.guess(), GIVEN, () => ids[0]!)) await stageRows(db, actor, importId, batch);
  await keepRows(db, actor, importId);
  const { academyId } = actor;
  await db.execute(sql`insert into session (academy_id, session_id, spec, conditions, started_at, stopped_at, balls, over_from)
    select academy_id, gen_random_uuid(), spec, conditions, started_at - n * interval '37 minutes', stopped_at - n * interval '37 minutes', 0, 0
    from session, generate_series(1, ${sessions - 1}) n where academy_id = ${academyId}`);
  await db.execute(sql`insert into session_player (academy_id, session_id, player_id, position, level)
    select s.academy_id, s.session_id, p.player_id, 0, 10 from session s join player p on p.academy_id = s.academy_id
      and p.name = 'Player ' || (1 + abs(hashtext(s.session_id::text)) % 20)
    where s.academy_id = ${academyId} on conflict do nothing`);
  await db.execute(sql`analyze session`);
  await db.execute(sql`analyze session_player`);
  const page = async (after: LogbookPlace | null) => logbookPage(db, actor, {}, { sort: 'newest', after, limit: 50 });
  const late = await lateIn(academyId, Math.floor(0.97 * sessions));
  const times = async (after: LogbookPlace | null) => {
    for (let i = 0; i < 5; i++) await page(after);
    const took: number[] = [];
    for (let i = 0; i < 30; i++) took.push((await timed(() => page(after))).s);
    return 1000 * median(took);
  };
  const [firstMs, lateMs] = [await times(null), await times(late)];
  const searched = await timed(() => logbookPage(db, actor, { find: 'Player 7' }, { sort: 'newest', after: null, limit: 50 }));
  console.log(
    `${sessions.toLocaleString('en').padStart(9)} sessions   first page ${firstMs.toFixed(1)} ms   late page ${lateMs.toFixed(1)} ms   ${(lateMs / firstMs).toFixed(2)} x   searched by a name ${(1000 * searched.s).toFixed(0)} ms`,
  );
  pages.push(firstMs, lateMs);
}
const pages: number[] = [];

async function lateIn(academyId: string, at: number): Promise<LogbookPlace> {
  const { rows } = await db.execute<{ by: string; id: string }>(sql`
    select to_char(started_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as by, session_id as id from session
    where academy_id = ${academyId} order by started_at desc, session_id desc offset ${at} limit 1`);
  return { by: rows[0]!.by, sessionId: rows[0]!.id };
}

await importing();
console.log('\nthe logbook, pages of 50, medians of 30');
for (const sessions of [1000, 10_000, 100_000]) await logbookOf(sessions);
console.log(`the slowest page against the fastest: ${(Math.max(...pages) / Math.min(...pages)).toFixed(2)} x`);
await pool.end();
