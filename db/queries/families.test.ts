import { randomUUID } from 'node:crypto';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { eq, sql } from 'drizzle-orm';
import { ARCHIVE_TABLES } from '@/core/archive/tables';
import { newPlayer } from '@/core/people/player';
import { PLAIN_REPORT } from '@/core/testing/make-report';
import { game, left, record, voidOf } from '@/core/testing/make';
import type { Guardian } from '../actor';
import { authUser, report } from '../schema';
import { academies, own } from '../testing/academy';
import { erasePlayer } from './erase';
import { ABOUT_PLAYER, readPlayerTables } from './everything';
import * as families from './families';
import { childrenOf, guardianIn } from './guardians';
import { saveGroup } from './groups';
import { saveHour } from './hours';
import { invitationByToken, listInvitations, takeInvitation } from './invitations';
import { addNote, saveNote } from './notes';
import { getPlayer, savePlayer } from './players';
import { keepReport } from './reports';
import { hourOf } from '@/core/testing/make-hour';
import { placesOf, startSession, stopSession } from './sessions';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('families', 41_000);
afterAll(() => pool.end());

const YEAR = new Date().getUTCFullYear();
const NEXT_WEEK = () => new Date(Date.now() + 7 * 86_400_000);
type At = Awaited<ReturnType<typeof academy>>;
const nameOf = async ({ actor, playerId }: At) => (await getPlayer(db, actor, playerId))!.player.name;
const called = (at: At, name: string) => savePlayer(db, at.actor, at.playerId, newPlayer(name, 'imperial'));

/** An account of somebody. */
async function account(name: string): Promise<{ id: string; email: string }> {
  const id = randomUUID();
  const email = `${name.toLowerCase()}-${id.slice(0, 8)}@test.example`;
  await db.insert(authUser).values({ id, name, email });
  return { id, email };
}

/** A guardian of the player who was invited, and has accepted. */
async function joined(at: At, name = 'Ada'): Promise<{ user: { id: string; email: string }; guardianId: string; home: Guardian }> {
  const user = await account(name);
  const guardianId = randomUUID();
  const { academyId } = at.actor;
  await families.saveGuardian(db, at.actor, at.playerId, guardianId, { name, email: user.email, phone: '' });
  const tokenHash = Buffer.from(guardianId);
  await families.keepGuardianInvitation(db, at.actor, guardianId, { invitationId: randomUUID(), tokenHash, expiresAt: NEXT_WEEK() });
  await takeInvitation(db, academyId, tokenHash, user, new Date());
  return { user, guardianId, home: { kind: 'guardian', academyId, userId: user.id, players: [at.playerId] } };
}

test('of whoever is under age and without consent one word of the name is kept; with consent all of it', async () => {
  const at = await academy();
  expect(await called(at, 'Otto van Reed')).toBe('saved');
  await families.saveBornYear(db, at.actor, at.playerId, YEAR - 12);
  expect(await nameOf(at)).toBe('Otto');
  expect(await called(at, 'Otto van Reed')).toBe('one word');
  expect(await nameOf(at)).toBe('Otto');
  expect(await called(at, 'Ottolino')).toBe('saved');
  expect(await families.giveConsent(db, at.actor, at.playerId, randomUUID(), { by: 'Ada Reed', on: '2026-05-01' })).toBe(true);
  expect(await called(at, 'Otto van Reed')).toBe('saved');
  // A second consent while one holds is none; what was withdrawn stays on record.
  expect(await families.giveConsent(db, at.actor, at.playerId, randomUUID(), { by: 'Ben Reed', on: '2026-05-02' })).toBe(false);
  const held = { reportId: randomUUID() as string, report: PLAIN_REPORT, tokenHash: Buffer.from(`r ${at.n}`), expiresAt: NEXT_WEEK() };
  await keepReport(db, at.actor, at.playerId, held);
  expect(await families.withdrawConsent(db, at.actor, at.playerId)).toBe(true);
  expect(await nameOf(at)).toBe('Otto');
  expect(await db.$count(report, eq(report.reportId, held.reportId))).toBe(0);
  expect(await families.withdrawConsent(db, at.actor, at.playerId)).toBe(false);
  // With a name of one word too.
  await families.giveConsent(db, at.actor, at.playerId, randomUUID(), { by: 'Ada Reed', on: '2026-05-02' });
  await keepReport(db, at.actor, at.playerId, held);
  await families.withdrawConsent(db, at.actor, at.playerId);
  expect([await nameOf(at), await db.$count(report, eq(report.reportId, held.reportId))]).toEqual(['Otto', 0]);
  await families.giveConsent(db, at.actor, at.playerId, randomUUID(), { by: 'Ben Reed', on: '2026-05-03' });
  const { consents, underAge } = (await families.familyOf(db, at.actor, at.playerId))!;
  expect([underAge, consents.map(({ by, way, withdrawnAt }) => [by, way, withdrawnAt !== null])]).toEqual([
    true,
    [
      ['Ben Reed', 'coach', false],
      ['Ada Reed', 'coach', true],
      ['Ada Reed', 'coach', true],
    ],
  ]);
});

test('grown up, or of no known age, somebody is called as they like', async () => {
  const at = await academy();
  await families.saveBornYear(db, at.actor, at.playerId, YEAR - 19);
  expect(await called(at, 'Otto van Reed')).toBe('saved');
  await families.saveBornYear(db, at.actor, at.playerId, YEAR - 18);
  expect(await nameOf(at)).toBe('Otto');
  await families.saveBornYear(db, at.actor, at.playerId, null);
  expect(await called(at, 'Otto van Reed')).toBe('saved');
});

test('a guardian is invited once, for their own address, and reads about their players until they are removed', async () => {
  const at = await academy();
  const [user, stranger] = [await account('Ada'), await account('Mallory')];
  const guardianId = randomUUID();
  const { academyId } = at.actor;
  const invite = async (token: string) =>
    families.keepGuardianInvitation(db, at.actor, guardianId, {
      ...{ invitationId: randomUUID(), tokenHash: Buffer.from(token), expiresAt: NEXT_WEEK() },
    });
  await families.saveGuardian(db, at.actor, at.playerId, guardianId, { name: 'Ada', email: '', phone: '020 555 0142' });
  expect(await invite(`none ${guardianId}`)).toBeNull();
  await families.saveGuardian(db, at.actor, at.playerId, guardianId, { name: 'Ada', email: user.email, phone: '' });
  const [first, second] = [`1 ${guardianId}`, `2 ${guardianId}`];
  expect(await invite(first)).toEqual({ email: user.email, player: 'Otto' });
  await invite(second);
  const now = new Date();
  expect(await invitationByToken(db, academyId, Buffer.from(first), now)).toBeNull();
  expect(await invitationByToken(db, academyId, Buffer.from(second), now)).toMatchObject({ role: 'guardian', player: 'Otto' });
  // It is nothing of those who work here.
  expect(await listInvitations(db, at.actor, now)).toEqual([]);
  expect(await takeInvitation(db, academyId, Buffer.from(second), stranger, now)).toBeNull();
  expect(await childrenOf(db, user.id)).toEqual([]);
  const taken = await takeInvitation(db, academyId, Buffer.from(second), user, now);
  expect(taken?.role).toBe('guardian');
  expect((await childrenOf(db, user.id)).map(({ name, playerId }) => [name, playerId])).toEqual([['Otto', at.playerId]]);
  const slug = taken!.slug;
  expect((await guardianIn(db, user.id, slug))!.actor.players).toEqual([at.playerId]);
  expect(await guardianIn(db, stranger.id, slug)).toBeNull();
  expect(await invite(`3 ${guardianId}`)).toBeNull();
  // Another player's guardian of the same id is not written over.
  const mia = randomUUID();
  await savePlayer(db, at.actor, mia, newPlayer('Mia', 'metric'));
  expect(await families.saveGuardian(db, at.actor, mia, guardianId, { name: 'X', email: '', phone: '1234' })).toBe(false);
  await families.removeGuardian(db, at.actor, guardianId);
  expect([await childrenOf(db, user.id), await guardianIn(db, user.id, slug)]).toEqual([[], null]);
});

test('a guardian sees no other guardian of the same player; a consent of theirs is with their own account', async () => {
  const at = await academy();
  const [ada] = [await joined(at), await joined(at, 'Ben')];
  await families.giveConsent(db, ada.home, at.playerId, randomUUID(), { by: 'Ada', on: '2026-05-01' });
  const seen = (await families.familyOf(db, ada.home, at.playerId))!;
  expect(seen.guardians.map(({ name, joined: there }) => [name, there])).toEqual([['Ada', true]]);
  expect(seen.consents).toMatchObject([{ by: 'Ada', way: 'account' }]);
  expect((await families.familyOf(db, at.actor, at.playerId))!.guardians.map(({ name }) => name)).toEqual(['Ada', 'Ben']);
});

test('an erasure is asked for, declined with a reason, asked for again, and goes with the player', async () => {
  const at = await academy();
  const { home } = await joined(at);
  await families.askErasure(db, home, at.playerId, 'We are moving');
  expect((await families.erasuresAsked(db, at.actor)).map(({ name }) => name)).toEqual(['Otto']);
  expect(await families.erasureOf(db, at.actor, at.playerId)).toMatchObject({
    who: 'Ada',
    byPlayer: false,
    words: 'We are moving',
    declinedAt: null,
  });
  await families.declineErasure(db, at.actor, at.playerId, 'The season is not over');
  expect(await families.erasuresAsked(db, at.actor)).toEqual([]);
  expect((await families.erasureOf(db, home, at.playerId))!.why).toBe('The season is not over');
  await families.askErasure(db, home, at.playerId, '');
  expect(await families.erasureOf(db, home, at.playerId)).toMatchObject({ declinedAt: null, why: '' });
  await families.cancelErasure(db, home, at.playerId);
  expect(await families.erasureOf(db, home, at.playerId)).toBeNull();
  await families.askErasure(db, home, at.playerId, '');
  await erasePlayer(db, at.actor, at.playerId);
  for (const table of ['guardian', 'consent', 'erasure_request', 'invitation'])
    expect((await db.execute(sql`select from ${sql.identifier(table)} where academy_id = ${at.actor.academyId}`)).rowCount).toBe(0);
});

/** Where a player stands and what is not in their file: it opens something, is worked out from the rest, or is not kept yet. */
const NOT_IN_IT = ['brief', 'erasure_request', 'import_row', 'player_link', 'posterior', 'report', 'shot'];

test('everything of a player is theirs, all of it, and nothing of anybody else', async () => {
  const at = await academy();
  const { actor, playerId } = at;
  const [mia, both, alone, shared] = Array.from({ length: 4 }, () => randomUUID() as string) as [string, string, string, string];
  await savePlayer(db, actor, mia, newPlayer('Mia', 'metric'));
  await startSession(
    db,
    actor,
    both,
    at.gameId,
    [playerId, mia].map((id) => ({ playerId: id, allowance: 0 })),
  );
  const ofOtto = [0, 1].map((turn) => own(at, record(game(), turn, left(5), 10 + turn), both));
  await takeIn(db, actor, both, [
    ...ofOtto,
    own(at, voidOf(record(game(), 1, left(5), 11), 12), both),
    ...[0, 1].map((turn) => own({ n: at.n, playerId: mia, sessionId: both }, record(game(), turn, left(2), 20 + turn))),
  ]);
  await stopSession(db, actor, both);
  await saveNote(db, actor, both, playerId, 'own', 'Otto: calm');
  await saveNote(db, actor, both, mia, 'own', 'Mia: quick');
  await addNote(db, actor, playerId, randomUUID(), 'Otto in general');
  await addNote(db, actor, mia, randomUUID(), 'Mia in general');
  await saveGroup(db, actor, randomUUID(), { name: 'Juniors', playerIds: [playerId, mia], userIds: [] });
  await saveHour(db, actor, alone, hourOf({ title: 'For Otto' }), [playerId], null);
  await saveHour(db, actor, shared, hourOf({ title: 'For Otto and Mia' }), [playerId, mia], null);
  await joined(at);
  await families.giveConsent(db, actor, playerId, randomUUID(), { by: 'Ada', on: '2026-05-01' });

  const tables: Record<string, Record<string, unknown>[]> = {};
  await readPlayerTables(db, actor, playerId, async (table, lines) => {
    let text = '';
    await pipeline(
      lines,
      new Writable({
        write(piece: Buffer, _, done) {
          text += piece.toString();
          done();
        },
      }),
    );
    tables[table.name] = text
      .split('\n')
      .filter(Boolean)
      .map((line) => JSON.parse(line) as Record<string, unknown>);
  });
  expect(JSON.stringify(tables)).not.toMatch(new RegExp(`Mia|${mia}`));
  expect(Object.entries(tables).map(([name, rows]) => [name, rows.length])).toEqual(
    Object.entries({
      ...{ player: 1, club: 0, player_group: 1, group_player: 1, guardian: 1, consent: 1 },
      // The one that the academy of the test begins with, and the shared one.
      ...{ session: 2, session_player: 2, session_station: 0, note: 2, hour: 1, hour_player: 2, hour_run: 0 },
      ...{ weeks: 0, weeks_player: 0, shot_event: 3 },
    }),
  );
  // Of each table in which players stand something is said here.
  const { rows } = await db.execute<{ name: string }>(
    sql`select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'player_id' order by 1`,
  );
  const there = Object.keys(ABOUT_PLAYER);
  expect(rows.map(({ name }) => name).filter((name) => !there.includes(name))).toEqual(NOT_IN_IT);
  expect(there.filter((name) => !ARCHIVE_TABLES.some((table) => table.name === name))).toEqual([]);
  // What stands in the database of each is what came out.
  for (const name of ['note', 'session_player', 'group_player', 'hour_player', 'consent', 'guardian']) {
    const { rowCount } = await db.execute(
      sql`select from ${sql.identifier(name)} where academy_id = ${actor.academyId} and player_id = ${playerId}`,
    );
    expect([name, tables[name]!.length]).toEqual([name, rowCount]);
  }
  expect((await placesOf(db, actor, playerId, 9)).map(({ balls }) => balls)).toEqual([1]);
});

test('who has no id is read nowhere', async () => {
  const { actor } = await academy();
  expect(() => readPlayerTables(db, actor, `x' or true --`, () => Promise.resolve())).toThrow('That is no id.');
});
