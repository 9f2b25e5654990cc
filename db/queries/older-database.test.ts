import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { and, eq, sql } from 'drizzle-orm';
import { pgTable } from 'drizzle-orm/pg-core';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { documentKind } from '@/core/document';
import type { Entrant } from '@/core/game/entrant';
import { playSession } from '@/core/play/play';
import { game, idOf } from '@/core/testing/make';
import type { Program } from '../actor';
import { openDb } from '../client';
import { newerDocuments } from '../newer-documents';
import { gameVersion } from '../schema';
import { document } from '../schema/columns';
import { settleDue } from '../settle-due';
import { academies } from '../testing/academy';
import { MIGRATIONS, upTo } from '../testing/migrations';
import { hourOf } from '@/core/testing/make-hour';
import { saveHour } from './hours';
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

const games = JSON.parse(readFileSync(join(__dirname, '../../core/testing/golden/games-1.json'), 'utf8')) as Played[];
/** The last migration of the program that wrote those. */
const OF_THEN = '0007_counters';

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
      await db.execute(sql`update session_player set own_note = 'too quick', coach_note = 'good tempo'
        where session_id = ${sessionId} and position = 0`);
      await db.execute(sql`update session set completed_at = now() where session_id = ${sessionId}`);
    }
    await migrate(db, { migrationsFolder: MIGRATIONS });
    expect([await settleDue(db), await settleDue(db)]).toEqual([games.length, 0]);
    for (const [i, { spec, events, scores }] of games.entries()) {
      const actor: Program = { kind: 'program', academyId: `academy-${i}` };
      await rebuildShots(db, actor);
      const found = (await getSession(db, actor, events[0]!.sessionId))!;
      expect(found.notes[0]).toMatchObject({ own: 'too quick', coach: 'good tempo', coaches: [{ by: '', text: 'good tempo' }] });
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

test('a document is brought to the present shape as it is read, and stored with its version', async () => {
  const { db, pool } = openDb(process.env.TEST_DATABASE_URL!);
  const box = pgTable('box', { inside: document(documentKind<{ a: number; read: boolean }>([(older) => ({ ...older, read: true })])) });
  try {
    await db.transaction(async (tx) => {
      await tx.execute(sql`create temp table box (inside jsonb) on commit drop`);
      await tx.insert(box).values({ inside: { a: 1, read: false } });
      await tx.execute(sql`insert into box values ('{"a": 2}'), ('{"a": 3, "version": 2, "read": false}'), ('{"a": 4, "version": 3}')`);
      expect((await tx.select().from(box)).map(({ inside }) => inside)).toEqual([
        { a: 1, read: false, version: 2 },
        { a: 2, read: true, version: 2 },
        { a: 3, read: false, version: 2 },
        { a: 4, version: 3 },
      ]);
    });
  } finally {
    await pool.end();
  }
});

test('a database that a newer program used is known by what only that program can read', async () => {
  const { db, pool, academy } = academies('older', 9000);
  try {
    const { actor, gameId } = await academy();
    await db
      .transaction(async (tx) => {
        expect(await newerDocuments(tx)).toEqual([]);
        await tx
          .update(gameVersion)
          .set({ spec: { ...game(), version: 99 as 3 } })
          .where(and(eq(gameVersion.academyId, actor.academyId), eq(gameVersion.gameId, gameId)));
        expect(await newerDocuments(tx)).toEqual(['games']);
        await saveHour(tx, actor, idOf(9_099_001), { ...hourOf(), version: 99 as 1 }, [], null);
        expect(await newerDocuments(tx)).toEqual(['games', 'plans']);
        tx.rollback();
      })
      .catch((error: Error) => expect(error.message).toBe('Rollback'));
  } finally {
    await pool.end();
  }
});

test('a database that a newer program used is prepared for no older one, and the command says so', async () => {
  const server = openDb(process.env.TEST_DATABASE_URL!, { patient: true });
  const name = `newer_${process.pid}`;
  await server.db.execute(sql.raw(`create database ${name}`));
  const url = new URL(process.env.TEST_DATABASE_URL!);
  url.pathname = `/${name}`;
  const root = join(__dirname, '../..');
  const prepare = () =>
    spawnSync(process.execPath, [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, 'scripts/prepare-database.ts')], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: url.href },
      encoding: 'utf8',
    });
  try {
    expect(prepare()).toMatchObject({ status: 0, stderr: '' });
    const { db, pool } = openDb(url.href);
    await db.execute(sql`insert into auth_organization (id, name, slug, created_at) values ('one', 'One', 'one', now())`);
    await db.execute(sql`insert into session (academy_id, session_id, spec)
      values ('one', ${idOf(1)}, ${JSON.stringify({ ...game(), version: 99 })}::jsonb)`);
    await pool.end();
    expect(prepare()).toMatchObject({
      status: 1,
      stderr: expect.stringContaining('a newer version of the program made sessions in it. Start that version.') as string,
    });
  } finally {
    await server.db.execute(sql.raw(`drop database ${name}`));
    await server.pool.end();
  }
}, 60_000);
