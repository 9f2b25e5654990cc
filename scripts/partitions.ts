import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { sql } from 'drizzle-orm';
import { DEMO_COACH } from '@/core/demo/people';
import type { Member } from '@/db/actor';
import { openDb } from '@/db/client';
import { authMember } from '@/db/schema';
import { makeCalls, ms, p50, p95, timed } from './lib/load';
import { PAGES, placeOf } from './lib/pages';
import { GROWING, partition } from './lib/partition';
import { makeRecorder, together } from './lib/recording';

/**
 * Many small academies in one database: filled by copying the demo's academy, looked at and recorded in through the running program, laid out in partitions
 * by academy, looked at and recorded in again (`npm run try:partitions`, which runs these parts).
 */
const [url, databaseUrl, part, file] = [process.env.BENCH_URL!, process.env.DATABASE_URL!, process.argv[2]!, process.argv[3]!];
const ACADEMIES = Number(process.env.TRY_ACADEMIES ?? 2000);
const PARTS = 64;
/** In so many of them somebody looks and plays. */
const USED = 24;
/** So many balls of each player are copied. */
const EACH = 60;
const { db, pool } = openDb(databaseUrl, { patient: true });
const count = (n: number) => n.toLocaleString('en');
const slugOf = (n: number) => `small-${n}`;

/** The rows of one table for every new academy: as they are, with another academy's name on them. */
async function copied(table: string, where = sql`true`): Promise<void> {
  const { rows } = await db.execute<{ column: string }>(
    sql`select quote_ident(attname) as column from pg_attribute where attrelid = ${table}::regclass and attnum > 0 and not attisdropped
        and attname <> 'academy_id' and attidentity = '' and attgenerated = '' order by attnum`,
  );
  const [columns, values] = ['', 't.'].map((of) => sql.raw(rows.map(({ column }) => of + column).join(', ')));
  const own = sql.identifier(table);
  await db.execute(
    sql`insert into ${own} (academy_id, ${columns}) select o.id, ${values} from ${own} t join auth_organization o on o.slug like 'small-%'
        where t.academy_id = (select id from auth_organization where slug = 'lantern-hollow') and ${where}`,
  );
}

async function fill(): Promise<void> {
  const took = await timed(async () => {
    await db.execute(
      sql`insert into auth_organization (id, name, slug, created_at) select gen_random_uuid()::text, 'Small ' || n, 'small-' || n, now() from generate_series(1, ${ACADEMIES}::int) n`,
    );
    for (const table of ['academy', 'player', 'green', 'green_version', 'game', 'game_version']) await copied(table);
    // The last sessions of each player, until there are as many balls as a small academy has of one.
    await db.execute(sql`create table last_sessions as select session_id from (
      select s.session_id, sum(s.balls) over (partition by p.player_id order by s.started_at desc) - s.balls as before from session s join session_player p using (academy_id, session_id)
      where s.academy_id = (select id from auth_organization where slug = 'lantern-hollow')) as of_player where before < ${EACH}`);
    const last = sql`session_id in (select session_id from last_sessions)`;
    for (const table of ['session', 'session_player', 'shot_event', 'shot']) await copied(table, last);
    await db.execute(sql`drop table last_sessions`);
    await db.execute(sql`update player set (balls, last_at) = (select count(*), max(played_at) from shot where shot.academy_id = player.academy_id and shot.player_id = player.player_id)
      where academy_id in (select id from auth_organization where slug like 'small-%')`);
    const owner = await ownerOf();
    for (let n = 1; n <= Math.min(USED, ACADEMIES); n++) {
      const [{ id }] = (await db.execute<{ id: string }>(sql`select id from auth_organization where slug = ${slugOf(n)}`)).rows as [
        { id: string },
      ];
      await db.insert(authMember).values({ id: randomUUID(), organizationId: id, userId: owner, role: 'owner', createdAt: new Date() });
    }
    await db.execute(sql`vacuum analyze`);
  });
  const { rows } = await db.execute<{ balls: number; players: number; size: string }>(
    sql`select (select count(*)::int from shot) as balls, (select count(*)::int from player) as players, pg_size_pretty(pg_database_size(current_database())) as size`,
  );
  console.log(
    `${count(ACADEMIES)} academies with ${count(rows[0]!.players)} players and ${count(rows[0]!.balls)} balls made in ${(took / 1000).toFixed(0)} s: ${rows[0]!.size}`,
  );
}

async function ownerOf(): Promise<string> {
  const { rows } = await db.execute<{ id: string }>(sql`select id from auth_user where email = ${DEMO_COACH.email}`);
  return rows[0]!.id;
}

type Measured = Record<string, number>;

async function look(): Promise<void> {
  const calls = makeCalls(url);
  const cookie = await calls.signIn(DEMO_COACH);
  const places = await Promise.all(Array.from({ length: USED }, (_, n) => placeOf(db, slugOf(n + 1))));
  const found: Measured = {};
  for (const [name, path] of Object.entries(PAGES)) {
    const took: number[] = [];
    // What nobody looked at yet is worked out first.
    for (const warm of [true, false])
      for (const at of places) {
        const one = await timed(async () => {
          const { status } = await calls.call('GET', path(at), cookie);
          if (status !== 200) throw new Error(`${name} was answered ${status}`);
        });
        if (!warm) took.push(one);
      }
    found[name] = p50(took);
  }
  const owner = await ownerOf();
  const sessions = await Promise.all(
    Array.from({ length: USED }, async (_, n) => {
      const { rows } = await db.execute<{ academy: string; player: string }>(
        sql`select academy_id as academy, player_id as player from player join auth_organization o on o.id = academy_id where o.slug = ${slugOf(n + 1)} limit 1`,
      );
      const { academy: academyId, player } = rows[0]!;
      const coach: Member = { kind: 'owner', academyId, userId: owner };
      const recorder = await makeRecorder(db, coach);
      return { recorder, player, sessionId: await recorder.begin([player]) };
    }),
  );
  const wal = async () => Number((await db.execute<{ at: string }>(sql`select (pg_current_wal_lsn() - '0/0')::text as at`)).rows[0]!.at);
  const before = await wal();
  const [first, later]: [number[], number[]] = [[], []];
  await together(
    USED,
    10_000,
    async (who, n) => {
      const { recorder, player, sessionId } = sessions[who]!;
      const body = { sessionId, events: [recorder.ball(sessionId, player, n)] };
      const took = await timed(async () => {
        const { status } = await calls.call('POST', '/api/v1/shot-events', cookie, body);
        if (status !== 200) throw new Error(`a ball was answered ${status}`);
      });
      // What is known of a session is read with its first ball.
      (n === 0 ? first : later).push(took);
    },
    500,
  );
  found['first ball, p50'] = p50(first);
  found['a ball, p50'] = p50(later);
  found['a ball, p95'] = p95(later);
  found['log a ball, kB'] = ((await wal()) - before) / (first.length + later.length) / 1000;
  calls.end();
  writeFileSync(file, JSON.stringify(found));
}

async function split(): Promise<void> {
  const client = await pool.connect();
  const took = await timed(() => partition(client, GROWING, PARTS));
  client.release();
  const { rows } = await db.execute<{ size: string }>(sql`select pg_size_pretty(pg_database_size(current_database())) as size`);
  console.log(`${GROWING.length} tables laid out in ${PARTS} partitions each in ${(took / 1000).toFixed(0)} s: ${rows[0]!.size}`);
}

function compare(): void {
  const [whole, parts] = [file, process.argv[4]!].map((one) => JSON.parse(readFileSync(one, 'utf8')) as Measured) as [Measured, Measured];
  console.log(`\n${'median'.padEnd(22)} ${'one table'.padStart(10)} ${'partitions'.padStart(10)}  ratio`);
  for (const [name, before] of Object.entries(whole)) {
    const said = (value: number) => (name.endsWith('kB') ? `${value.toFixed(1)} kB` : ms(value)).padStart(10);
    console.log(`${name.padEnd(22)} ${said(before)} ${said(parts[name]!)} ${(parts[name]! / before).toFixed(2).padStart(6)}`);
  }
}

const DOES: Readonly<Record<string, () => Promise<void> | void>> = { fill, look, split, compare };
await DOES[part]!();
await pool.end();
