import { and, eq } from 'drizzle-orm';
import { newPlayer } from '@/core/people/player';
import { game, idOf, left, record, voidOf } from '@/core/testing/make';
import { hourOf } from '@/core/testing/make-hour';
import { weeksOf } from '@/core/testing/make-weeks';
import { academy as academyTable, authOrganization, player, posterior, session, sessionPlayer, shot, shotEvent } from '../schema';
import { game as gameTable, gameVersion, hour, weeks } from '../schema';
import { academies, own } from '../testing/academy';
import { deleteAcademyAt, erasePlayer, tidyUp, whatErasingTakes } from './erase';
import { listGames, saveGame } from './games';
import { listHours, saveHour } from './hours';
import { holderOfLink, keepLink } from './links';
import { listWeeks, saveWeeks } from './weeks';
import { archivePlayer, getPlayer, listPlayers, savePlayer } from './players';
import { rebuildShots } from './projection';
import { saveNote } from './notes';
import { finishedSessions, getSession, startSession, unfinishedSessions } from './sessions';
import { takeIn } from './take-in';

const { db, pool, academy } = academies('erase', 6000);
afterAll(() => pool.end());

const NEXT_YEAR = new Date(Date.now() + 365 * 86_400_000);

/** Otto alone in a session, and with Mia in another that both played to its end. */
async function two() {
  const at = await academy();
  const [mia, both, linkId] = [idOf(at.n * 100_000 + 11), idOf(at.n * 100_000 + 12), idOf(at.n * 100_000 + 13)];
  await savePlayer(db, at.actor, mia, newPlayer('Mia', 'metric'));
  const seats = [at.playerId, mia];
  await startSession(
    db,
    at.actor,
    both,
    at.gameId,
    seats.map((playerId) => ({ playerId, allowance: 0 })),
  );
  const alone = Array.from({ length: 3 }, (_, turn) => own(at, record(game(), turn, left(5))));
  await takeIn(db, at.actor, at.sessionId, alone);
  const shared = seats.flatMap((playerId, seat) =>
    Array.from({ length: 6 }, (_, turn) =>
      own({ n: at.n, playerId, sessionId: both }, record(game(), turn, left(2), 20 + 10 * seat + turn)),
    ),
  );
  await takeIn(db, at.actor, both, shared);
  // A ball of Otto's that was corrected: what was said about it afterwards names nobody, and goes too.
  const first = record(game(), 0, left(2), 20);
  await takeIn(db, at.actor, both, [{ ...own(at, voidOf(first, 20), both), kind: 'amend', payload: { note: 'Otto was too quick' } }]);
  await saveNote(db, at.actor, both, at.playerId, 'coach', 'Otto rushed');
  await saveNote(db, at.actor, both, mia, 'own', 'calm');
  const tokenHash = Buffer.from(`otto-${at.n}`.padEnd(32, '.'));
  await keepLink(db, at.actor, at.playerId, { linkId, tokenHash, expiresAt: NEXT_YEAR });
  await db.insert(posterior).values({
    academyId: at.actor.academyId,
    playerId: at.playerId,
    evidenceRev: 1,
    level: 18,
    asOf: new Date(),
    draws: Buffer.alloc(4),
  });
  // Planned for Otto alone, and for both; games that were made for them.
  const hourId = (i: number) => idOf(at.n * 100_000 + 20 + i);
  const made = { gameId: hourId(8), spec: game({ title: 'Otto: points from 3 places' }) };
  await saveHour(db, at.actor, hourId(1), hourOf({ title: '50 minutes for Otto' }, made), [at.playerId], null);
  await saveHour(db, at.actor, hourId(2), hourOf({ title: '50 minutes for Otto and Mia' }), [at.playerId, mia], null);
  await saveWeeks(db, at.actor, hourId(3), weeksOf(), [at.playerId], null);
  await saveWeeks(db, at.actor, hourId(4), weeksOf({ title: 'Four weeks for Mia and Otto' }), [mia, at.playerId], null);
  await saveGame(db, at.actor, hourId(5), game({ title: 'Otto: hole out from 2 places' }));
  const holds = () => holderOfLink(db, at.actor.academyId, tokenHash, new Date());
  return { ...at, mia, both, shared, holds };
}

/** Every text of an academy's rows that mentions somebody. */
async function mentions(academyId: string, what: string): Promise<number> {
  const tables = [shotEvent, shot, session, sessionPlayer, player, posterior, hour, weeks, gameTable, gameVersion];
  const rows = await Promise.all(tables.map((table) => db.select().from(table).where(eq(table.academyId, academyId))));
  return rows.flat().filter((row) => JSON.stringify(row).includes(what)).length;
}

test('who is put away leaves the lists and comes back with everything', async () => {
  const at = await two();
  const names = async (away = false) => (await listPlayers(db, at.actor, away)).map(({ player: one }) => one.name);
  await archivePlayer(db, at.actor, at.playerId, true);
  expect([await names(), await names(true)]).toEqual([['Mia'], ['Otto']]);
  expect(await at.holds()).toBeNull();
  expect((await getPlayer(db, at.actor, at.playerId))!.player.archivedAt).not.toBeNull();
  expect((await listPlayers(db, at.actor, true))[0]!.balls).toBe(9);
  await archivePlayer(db, at.actor, at.playerId, false);
  expect([await names(), await names(true)]).toEqual([['Mia', 'Otto'], []]);
  expect(await at.holds()).not.toBeNull();
});

test('before it is done it is said what goes', async () => {
  const at = await two();
  expect(await whatErasingTakes(db, at.actor, at.playerId)).toEqual({ balls: 9, alone: 1, withOthers: 1, notes: 1, links: 1, plans: 2 });
  const other = await academy();
  expect(await whatErasingTakes(db, other.actor, at.playerId)).toBeNull();
});

test('of an erased player nothing is left, and the others keep what is theirs', async () => {
  const at = await two();
  const { academyId } = at.actor;
  expect(await erasePlayer(db, at.actor, at.playerId)).toEqual([at.both]);
  expect(await mentions(academyId, 'Otto')).toBe(0);
  expect(await db.$count(shotEvent, eq(shotEvent.academyId, academyId))).toBe(6);
  expect(await db.$count(posterior, eq(posterior.academyId, academyId))).toBe(0);
  expect(await getPlayer(db, at.actor, at.playerId)).toBeNull();
  expect(await getSession(db, at.actor, at.sessionId)).toBeNull();
  expect([...(await listPlayers(db, at.actor)), ...(await listPlayers(db, at.actor, true))].map((one) => one.player.name)).toEqual(['Mia']);
  expect(await at.holds()).toBeNull();
  const shared = (await getSession(db, at.actor, at.both))!;
  expect(shared.players.map((one) => one.name)).toEqual(['Mia']);
  expect(shared.shots.map((one) => one.playerId)).toEqual(Array.from({ length: 6 }, () => at.mia));
  expect(shared.notes).toEqual([{ own: 'calm', coach: '', coaches: [] }]);
  expect((await listHours(db, at.actor)).map((row) => [row.hour.title, row.players.map(({ name }) => name)])).toEqual([
    ['An hour', ['Mia']],
  ]);
  expect((await listWeeks(db, at.actor)).map((row) => [row.weeks.title, row.players.length])).toEqual([['Weeks', 1]]);
  expect((await listGames(db, at.actor)).map(({ spec }) => spec.title)).toContain('hole out from 2 places');
  // It was over, and is no game to go on with now.
  expect([(await unfinishedSessions(db, at.actor, 9)).length, (await finishedSessions(db, at.actor, 9)).length]).toEqual([0, 1]);
});

test('erased stays erased: after a rebuild, and when a phone sends the balls again', async () => {
  const at = await two();
  const { academyId } = at.actor;
  await erasePlayer(db, at.actor, at.playerId);
  await rebuildShots(db, at.actor);
  const again = await takeIn(db, at.actor, at.both, at.shared);
  expect(again).toMatchObject({ stored: 0, known: 6 });
  expect(again.refused.map(({ why }) => why)).toEqual(Array.from({ length: 6 }, () => 'Its player is not in this session.'));
  expect(await db.$count(shot, and(eq(shot.academyId, academyId), eq(shot.playerId, at.playerId)))).toBe(0);
  expect(await db.$count(shot, eq(shot.academyId, academyId))).toBe(6);
});

test('when the last of a session is erased it goes', async () => {
  const at = await two();
  await erasePlayer(db, at.actor, at.playerId);
  await erasePlayer(db, at.actor, at.mia);
  expect(await getSession(db, at.actor, at.both)).toBeNull();
  expect(await db.$count(player, eq(player.academyId, at.actor.academyId))).toBe(0);
});

test('an erasure that was interrupted is gone on with', async () => {
  const at = await two();
  await db
    .update(player)
    .set({ erasedAt: new Date() })
    .where(and(eq(player.academyId, at.actor.academyId), eq(player.playerId, at.playerId)));
  await tidyUp(db, new Date());
  expect(await getSession(db, at.actor, at.sessionId)).toBeNull();
  expect(await mentions(at.actor.academyId, 'Otto')).toBe(0);
});

test('nobody is erased from another academy', async () => {
  const [at, other] = [await two(), await academy()];
  expect(await erasePlayer(db, other.actor, at.playerId)).toBeNull();
  expect(await getPlayer(db, at.actor, at.playerId)).not.toBeNull();
});

test('an academy is deleted when its week is over, and not if it was taken back', async () => {
  const [gone, kept, other] = [await two(), await two(), await two()];
  const [now, week] = [new Date(), new Date(Date.now() + 7 * 86_400_000)];
  for (const { actor } of [gone, kept]) await deleteAcademyAt(db, actor, week);
  await deleteAcademyAt(db, kept.actor, null);
  const there = async ({ actor }: typeof gone) => db.$count(authOrganization, eq(authOrganization.id, actor.academyId));
  await tidyUp(db, now);
  expect(await there(gone)).toBe(1);
  await tidyUp(db, new Date(week.getTime() + 1));
  expect([await there(gone), await there(kept), await there(other)]).toEqual([0, 1, 1]);
  for (const table of [shotEvent, shot, session, player, academyTable])
    expect(await db.$count(table, eq(table.academyId, gone.actor.academyId))).toBe(0);
});
