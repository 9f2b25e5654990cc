import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { pgTable } from 'drizzle-orm/pg-core';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type { Entrant } from '@/core/game/entrant';
import { playSession } from '@/core/play/play';
import type { Program } from '../actor';
import { openDb } from '../client';
import { document } from '../schema/columns';
import { rebuildShots } from './projection';
import { getSession } from './sessions';

/*
 * A database of an older program, with data, brought up to the present one: what was played has the score that it had.
 */
type Event = { eventId: string; shotId: string; sessionId: string; kind: string; payload: object } & Record<
  'deviceId' | 'deviceAt',
  string
> & {
    deviceSeq: number;
  };
type Played = { spec: { scoring: { scheme: string } }; people: Entrant[]; events: Event[]; scores: number[] };

const MIGRATIONS = join(__dirname, '../migrations');
const games = JSON.parse(readFileSync(join(__dirname, '../../core/testing/golden/games-1.json'), 'utf8')) as Played[];
/** The last migration of the program that wrote those. */
const OF_THEN = '0007_counters';

/** The migrations up to one of them, in a folder of their own. */
function upTo(last: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'inch-migrations-'));
  cpSync(MIGRATIONS, folder, { recursive: true });
  const path = join(folder, 'meta/_journal.json');
  const journal = JSON.parse(readFileSync(path, 'utf8')) as { entries: { tag: string }[] };
  const end = journal.entries.findIndex(({ tag }) => tag === last);
  writeFileSync(path, JSON.stringify({ ...journal, entries: journal.entries.slice(0, end + 1) }));
  return folder;
}

test('a database of the first stored shapes migrates, and every session has the score that it had', async () => {
  const server = openDb(process.env.TEST_DATABASE_URL!, { patient: true });
  const name = `older_${process.pid}`;
  await server.db.execute(sql.raw(`create database ${name}`));
  const url = new URL(process.env.TEST_DATABASE_URL!);
  url.pathname = `/${name}`;
  const { db, pool } = openDb(url.href, { patient: true });
  const then = upTo(OF_THEN);
  try {
    await migrate(db, { migrationsFolder: then });
    for (const [i, { spec, people, events }] of games.entries()) {
      const academyId = `academy-${i}`;
      const { sessionId } = events[0]!;
      await db.execute(
        sql`insert into auth_organization (id, name, slug, created_at) values (${academyId}, ${academyId}, ${academyId}, now())`,
      );
      await db.execute(sql`insert into session (academy_id, session_id, spec, started_at)
        values (${academyId}, ${sessionId}, ${JSON.stringify(spec)}::jsonb, '2026-05-01T17:00:00Z')`);
      for (const [position, one] of people.entries()) {
        await db.execute(sql`insert into player (academy_id, player_id, name, level, handed, units)
          values (${academyId}, ${one.playerId}, 'Player', ${one.level}, 'right', 'imperial')`);
        await db.execute(sql`insert into session_player (academy_id, session_id, player_id, position, level, unit_m, scale, allowance)
          values (${academyId}, ${sessionId}, ${one.playerId}, ${position}, ${one.level}, ${one.unitM}, ${one.scale}, ${one.allowance})`);
      }
      for (const one of events)
        await db.execute(sql`insert into shot_event (academy_id, event_id, shot_id, session_id, kind, payload, actor, device_id, device_seq, device_at)
          values (${academyId}, ${one.eventId}, ${one.shotId}, ${sessionId}, ${one.kind}, ${JSON.stringify(one.payload)}::jsonb, 'program',
            ${one.deviceId}, ${one.deviceSeq}, ${one.deviceAt})`);
    }
    await migrate(db, { migrationsFolder: MIGRATIONS });
    for (const [i, { spec, events, scores }] of games.entries()) {
      const actor: Program = { kind: 'program', academyId: `academy-${i}` };
      await rebuildShots(db, actor);
      const found = (await getSession(db, actor, events[0]!.sessionId))!;
      const table = playSession(found.session.spec, found.entrants, found.shots);
      expect([spec.scoring.scheme, table.standings.map(({ score }) => Number(score.toFixed(9)))]).toEqual([
        spec.scoring.scheme,
        scores.map((score) => Number(score.toFixed(9))),
      ]);
    }
  } finally {
    await pool.end();
    await server.db.execute(sql.raw(`drop database ${name}`));
    await server.pool.end();
    rmSync(then, { recursive: true, force: true });
  }
}, 120_000);

test('a document is brought to the present shape as it is read, and stored as it is given', async () => {
  const { db, pool } = openDb(process.env.TEST_DATABASE_URL!);
  const box = pgTable('box', { inside: document((stored) => ({ ...(stored as { a: number }), read: true })) });
  try {
    await db.transaction(async (tx) => {
      await tx.execute(sql`create temp table box (inside jsonb) on commit drop`);
      await tx.insert(box).values({ inside: { a: 1, read: false } });
      expect((await tx.execute(sql`select inside from box`)).rows).toEqual([{ inside: { a: 1, read: false } }]);
      expect(await tx.select().from(box)).toEqual([{ inside: { a: 1, read: true } }]);
    });
  } finally {
    await pool.end();
  }
});
