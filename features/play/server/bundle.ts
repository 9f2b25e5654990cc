import 'server-only';
import type { Bundle } from '@/core/game/bundle';
import type { Actor } from '@/db/actor';
import type { Academy } from '@/db/queries/academies';
import { bestBefore, getSession } from '@/db/queries/sessions';
import { eventsOfSession } from '@/db/queries/shots';
import { database } from '@/server/db';

/** The bundle of a session; null if the academy has none of this id. */
export async function bundleFor(actor: Actor, academy: Academy, sessionId: string): Promise<Bundle | null> {
  const db = database();
  const found = await getSession(db, actor, sessionId);
  if (!found) return null;
  const { session, players } = found;
  return {
    academy: { slug: academy.slug, name: academy.name },
    sessionId,
    gameId: session.gameId,
    startedAt: session.startedAt.toISOString(),
    spec: session.spec,
    players: await Promise.all(
      players.map(async ({ playerId, name, handed, units }) => ({
        playerId,
        name,
        handed,
        units,
        best: await bestBefore(db, actor, session, playerId),
      })),
    ),
    events: await eventsOfSession(db, actor, sessionId),
  };
}
