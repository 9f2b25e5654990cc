import { randomUUID } from 'node:crypto';
import { subDays, subYears } from 'date-fns';
import { eq } from 'drizzle-orm';
import { game, left, record } from '@/core/testing/make';
import { device, player, refusedEvent, session } from '../schema';
import { academies, own } from '../testing/academy';
import { tidyUp } from './erase';
import { saveNote } from './notes';
import { forgetOld, saveRetention, whatRetentionTakes } from './retention';
import { startSession, stopSession } from './sessions';
import { takeIn } from './take-in';
import { listRefused, noteDevice, noteRefused, silentDevices, storageOf } from './upkeep';

const { db, pool, academy } = academies('upkeep', 43_000);
afterAll(() => pool.end());

/** A session that was played so many days ago, with a ball and a note. */
async function played(at: Awaited<ReturnType<typeof academy>>, days: number, n: number): Promise<string> {
  const sessionId = randomUUID();
  await startSession(db, at.actor, sessionId, at.gameId, [{ playerId: at.playerId, allowance: 0 }]);
  await takeIn(db, at.actor, sessionId, [own(at, record(game(), 0, left(5), 900 + n), sessionId)]);
  await saveNote(db, at.actor, sessionId, at.playerId, 'own', 'calm');
  await stopSession(db, at.actor, sessionId);
  await db
    .update(session)
    .set({ startedAt: subDays(new Date(), days) })
    .where(eq(session.sessionId, sessionId));
  return sessionId;
}
const sessionsOf = async ({ actor }: { actor: { academyId: string } }) =>
  (await db.select({ id: session.sessionId }).from(session).where(eq(session.academyId, actor.academyId))).map(({ id }) => id).toSorted();

test('sessions go when they are as old as was said, with what would go shown before; all else stays', async () => {
  const at = await academy();
  const [old, older, young] = [await played(at, 366, 1), await played(at, 900, 2), await played(at, 364, 3)];
  const other = await academy();
  const theirs = await played(other, 900, 4);
  expect(await whatRetentionTakes(db, at.actor, 1)).toMatchObject({ sessions: 2, balls: 2, players: 1 });
  expect(await whatRetentionTakes(db, at.actor, 2)).toMatchObject({ sessions: 1, balls: 1, players: 1 });
  expect(await whatRetentionTakes(db, at.actor, 5)).toEqual({ sessions: 0, balls: 0, players: 0, oldest: null });
  const before = (await db.select().from(player).where(eq(player.playerId, at.playerId)))[0]!.evidenceRev;
  await tidyUp(db, new Date());
  expect(await sessionsOf(at)).toEqual([at.sessionId, old, older, young].toSorted());
  await saveRetention(db, at.actor, 1);
  await tidyUp(db, new Date());
  expect(await sessionsOf(at)).toEqual([at.sessionId, young].toSorted());
  expect(await sessionsOf(other)).toContain(theirs);
  // What is believed of the player follows from other balls now.
  const [row] = await db.select().from(player).where(eq(player.playerId, at.playerId));
  expect([row!.evidenceRev, row!.name]).toEqual([before + 1, 'Otto']);
  await saveRetention(db, at.actor, null);
  await forgetOld(db, subYears(new Date(), -50));
  expect(await sessionsOf(at)).toEqual([at.sessionId, young].toSorted());
});

test('what an academy has stored is counted', async () => {
  const at = await academy();
  await played(at, 3, 1);
  const { players, sessions, balls, events, bytes } = await storageOf(db, at.actor);
  expect([players, sessions, balls, events]).toEqual([1, 2, 1, 1]);
  expect(bytes).toBeGreaterThan(100);
});

test('a refused event is kept once, told by session and reason, and forgotten after 90 days', async () => {
  const at = await academy();
  const [one, two] = [randomUUID() as string, randomUUID() as string];
  const refused = (ids: (string | null)[], why: string) =>
    noteRefused(
      db,
      at.actor,
      at.sessionId,
      ids.map((eventId) => ({ eventId, why })),
    );
  await refused([one, two, null, 'no id'], 'Its player is not in this session.');
  await refused([one], 'Its player is not in this session.');
  await noteRefused(db, at.actor, randomUUID(), [{ eventId: randomUUID(), why: 'Another' }]);
  expect((await listRefused(db, at.actor, 9)).map(({ title, who, why, events }) => [title, who, why, events])).toEqual([
    [null, 'Coach', 'Another', 1],
    [game().title, 'Coach', 'Its player is not in this session.', 2],
  ]);
  await db
    .update(refusedEvent)
    .set({ refusedAt: subDays(new Date(), 91) })
    .where(eq(refusedEvent.sessionId, at.sessionId));
  await tidyUp(db, new Date());
  expect((await listRefused(db, at.actor, 9)).map(({ why }) => why)).toEqual(['Another']);
});

test('a device is silent when nothing came from it for days', async () => {
  const at = await academy();
  const [heard, silent] = [randomUUID(), randomUUID()];
  await noteDevice(db, at.actor, heard);
  await noteDevice(db, at.actor, silent);
  const since = subDays(new Date(), 3);
  expect(await silentDevices(db, at.actor, since, 9)).toEqual({ all: 2, silent: [] });
  await db
    .update(device)
    .set({ lastAt: subDays(new Date(), 4) })
    .where(eq(device.deviceId, silent));
  const { all, silent: rows } = await silentDevices(db, at.actor, since, 9);
  expect([all, rows.map(({ deviceId, who }) => [deviceId, who])]).toEqual([2, [[silent, 'Coach']]]);
  await noteDevice(db, at.actor, silent);
  expect((await silentDevices(db, at.actor, since, 9)).silent).toEqual([]);
});
