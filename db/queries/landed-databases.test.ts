import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { text as textOf } from 'node:stream/consumers';
import { gunzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { ARCHIVE_TABLES } from '@/core/archive/tables';
import { readEvents } from '@/core/shot/read-event';
import type { Program } from '../actor';
import { openDb } from '../client';
import { settleDue } from '../settle-due';
import { journal, MIGRATIONS, upTo } from '../testing/migrations';
import { readTables } from './archive';
import { listGames } from './games';
import { listGreens } from './greens';
import { listHours } from './hours';
import { logbookPage } from './logbook';
import { listPlayers } from './players';
import { rebuildShots } from './projection';
import { getSession } from './sessions';
import { takeIn } from './take-in';
import { listWeeks } from './weeks';

/*
 * A small database of every version of the schema that was ever landed, as the program of then filled it (`npm run db:remember`), brought up to the
 * present one: nothing is lost, everything can be read, and a phone that was not brought up to date still hands in its balls.
 */
const LANDED = join(__dirname, '../testing/landed');
const versions = readdirSync(LANDED)
  .filter((file) => file.endsWith('.sql.gz'))
  .map((file) => file.replace('.sql.gz', ''))
  .toSorted();

type Event = Record<string, unknown> & { shot_id: string; session_id: string; payload: Record<string, unknown> };
const KEPT = ['player', 'club', 'game', 'game_version', 'session', 'session_player', 'shot_event', 'shot'];

test('the newest version of the schema is among them', () => {
  expect(versions.at(-1)).toBe(journal().at(-1));
});

test.each(versions)(
  '%s: what it has comes through, and a phone of then still sends',
  async (version) => {
    const server = openDb(process.env.TEST_DATABASE_URL!, { patient: true });
    const name = `landed_${version.slice(0, 4)}_${process.pid}`;
    await server.db.execute(sql.raw(`create database ${name}`));
    const url = new URL(process.env.TEST_DATABASE_URL!);
    url.pathname = `/${name}`;
    // What loads it leaves settings of its own behind: it has a connection to itself.
    const then = openDb(url.href, { patient: true });
    const migrations = upTo(version);
    try {
      await migrate(then.db, { migrationsFolder: migrations });
      // The commands with a backslash are for psql.
      const dump = gunzipSync(readFileSync(join(LANDED, `${version}.sql.gz`)))
        .toString()
        .replaceAll(/^\\.*$/gm, '');
      await then.db.execute(sql.raw(dump));
      await then.pool.end();
      const { db, pool } = openDb(url.href, { patient: true });
      try {
        const count = async (table: string) =>
          (await db.execute(sql`select from information_schema.tables where table_name = ${table}`)).rowCount === 0
            ? null
            : Number((await db.execute<{ n: string }>(sql`select count(*) as n from ${sql.identifier(table)}`)).rows[0]!.n);
        const before = await Promise.all(KEPT.map(count));
        const scored = await scoresIn(db);
        const { rows: sent } = await db.execute<Event>(
          sql`select * from shot_event where kind = 'record' order by server_seq desc limit 1`,
        );
        await migrate(db, { migrationsFolder: MIGRATIONS });
        await settleDue(db);
        expect(await Promise.all(KEPT.map(count))).toEqual(before.map((rows) => rows ?? (expect.any(Number) as number)));

        const { rows } = await db.execute<{ id: string }>(sql`select id from auth_organization`);
        expect(rows).toHaveLength(1);
        const actor: Program = { kind: 'program', academyId: rows[0]!.id };
        await rebuildShots(db, actor);
        expect((await scoresIn(db)).filter(([key]) => scored.some(([one]) => one === key))).toEqual(scored);
        expect((await listPlayers(db, actor)).map(({ player }) => player.name)).toEqual(['Ottilie', 'Zélie']);
        const lists = await Promise.all([listGames(db, actor), listGreens(db, actor), listHours(db, actor), listWeeks(db, actor)]);
        expect(lists[0]!.length).toBeGreaterThan(3);
        const page = await logbookPage(db, actor, {}, { sort: 'newest', after: null, limit: 20 });
        for (const { session } of page.lines) expect((await getSession(db, actor, session.sessionId))!.shots.length).toBeGreaterThan(0);
        // Every row is what a row is held to now.
        await readTables(db, actor, async (table, lines) => {
          for (const line of (await textOf(lines)).split('\n').filter(Boolean)) {
            const read = ARCHIVE_TABLES.find((one) => one.name === table.name)!.row.safeParse(JSON.parse(line));
            expect([table.name, read.error?.issues ?? []]).toEqual([table.name, []]);
          }
        });
        // One more ball as it came from a phone then, which has not been brought up to date.
        const [last] = sent;
        if (last) expect(await takeIn(db, actor, last.session_id, asSentThen(last))).toMatchObject({ stored: 1, refused: [] });
      } finally {
        await pool.end();
      }
    } finally {
      await server.db.execute(sql.raw(`drop database if exists ${name} with (force)`));
      await server.pool.end();
      rmSync(migrations, { recursive: true, force: true });
    }
  },
  60_000,
);

/** What was scored by whom in which session, where that was kept then. */
async function scoresIn(db: ReturnType<typeof openDb>['db']): Promise<[string, number][]> {
  const { rows } = await db.execute<{ row: Record<string, unknown> }>(
    sql`select to_jsonb(p) as row from session_player p order by session_id, player_id`,
  );
  return rows.flatMap(({ row }) =>
    typeof row.score === 'number' ? [[`${row.session_id as string} ${row.player_id as string}`, row.score]] : [],
  );
}

/** A ball like one that is stored, as a phone would send it: of another shot, at the next turn of nobody. */
function asSentThen({ payload, session_id: sessionId, device_id: deviceId, version, kind }: Event) {
  const { events, refused } = readEvents([
    {
      ...(version === undefined ? {} : { version }),
      ...{ eventId: randomUUID(), shotId: randomUUID(), sessionId, kind, deviceId, deviceSeq: 999_999, deviceAt: '2026-05-20T18:30:00Z' },
      payload,
    },
  ]);
  expect(refused).toEqual([]);
  return events;
}
