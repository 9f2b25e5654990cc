import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Guardian } from '../actor';
import type { Db } from '../client';
import { authOrganization, guardian, player } from '../schema';
import { academyOf, type Academy } from './academies';

/** A player about whom an account reads as their guardian. */
export type Child = { slug: string; academy: string; playerId: string; name: string };

/** The players about whom an account reads, in every academy. */
export async function childrenOf(db: Db, userId: string): Promise<Child[]> {
  return db
    .select({ slug: authOrganization.slug, academy: authOrganization.name, playerId: player.playerId, name: player.name })
    .from(guardian)
    .innerJoin(authOrganization, eq(authOrganization.id, guardian.academyId))
    .innerJoin(player, and(eq(player.academyId, guardian.academyId), eq(player.playerId, guardian.playerId), isNull(player.erasedAt)))
    .where(eq(guardian.userId, userId))
    .orderBy(asc(player.name), asc(authOrganization.name));
}

/** Whoever is a guardian in the academy of this address, as an actor there; null: of nobody. */
export async function guardianIn(db: Db, userId: string, slug: string): Promise<{ actor: Guardian; academy: Academy } | null> {
  const theirs = await db
    .select({ academyId: guardian.academyId, playerId: guardian.playerId })
    .from(guardian)
    .innerJoin(authOrganization, eq(authOrganization.id, guardian.academyId))
    .where(and(eq(guardian.userId, userId), eq(authOrganization.slug, slug)));
  const [first] = theirs;
  if (!first) return null;
  const actor: Guardian = {
    kind: 'guardian',
    academyId: first.academyId,
    userId,
    players: theirs.map(({ playerId }) => playerId),
  };
  const academy = await academyOf(db, actor);
  return academy && { actor, academy };
}
