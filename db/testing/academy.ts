import { newPlayer } from '@/core/people/player';
import type { ShotEvent } from '@/core/shot/shot';
import { game, idOf } from '@/core/testing/make';
import type { Member } from '../actor';
import { openDb } from '../client';
import { saveAcademy } from '../queries/academies';
import { saveGame } from '../queries/games';
import { savePlayer } from '../queries/players';
import { startSession } from '../queries/sessions';
import { authMember, authOrganization, authUser } from '../schema';

/**
 * Academies for tests of the queries, on the database of the test run.
 * @param name tells those of one file of tests from another's
 * @param from ids of the file's academies begin there; files are a thousand apart
 */
export function academies(name: string, from: number) {
  const { db, pool } = openDb(process.env.TEST_DATABASE_URL!);
  let made = from;

  /** An academy of its own for a test: a coach, a player, a game of two stations, a session just started. */
  async function academy() {
    const n = ++made;
    const actor: Member = { kind: 'owner', academyId: `${name}-${n}`, userId: `${name}-user-${n}` };
    await db.insert(authUser).values({ id: actor.userId, name: 'Coach', email: `${name}-${n}@test.example` });
    await db.insert(authOrganization).values({ id: actor.academyId, name: `Academy ${n}`, slug: `${name}-${n}` });
    await db.insert(authMember).values({ id: `${name}-member-${n}`, organizationId: actor.academyId, userId: actor.userId, role: 'owner' });
    await saveAcademy(db, actor, { units: 'imperial', timeZone: 'UTC' });
    const [playerId, gameId, sessionId] = [idOf(n * 100_000 + 1), idOf(n * 100_000 + 2), idOf(n * 100_000 + 3)];
    await savePlayer(db, actor, playerId, newPlayer('Otto', 'imperial'));
    await saveGame(db, actor, gameId, game());
    await startSession(db, actor, sessionId, gameId, [{ playerId, allowance: 0 }]);
    return { n, actor, playerId, gameId, sessionId };
  }
  return { db, pool, academy };
}

type At = { n: number; playerId: string; sessionId: string };

/** An event of the made game as a device of this academy would send it. */
export function own({ n, playerId, sessionId }: At, event: ShotEvent, inSession = sessionId): ShotEvent {
  const shift = (id: string) => idOf(n * 100_000 + Number.parseInt(id.slice(-12), 16));
  const moved = { ...event, eventId: shift(event.eventId), shotId: shift(event.shotId), sessionId: inSession };
  return moved.kind === 'record' ? { ...moved, payload: { ...moved.payload, playerId, sessionId: inSession } } : moved;
}
