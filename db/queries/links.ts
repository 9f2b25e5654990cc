import { and, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import type { Actor, PlayerByLink } from '../actor';
import type { Db } from '../client';
import { authOrganization, player, playerLink, readerKey, sessionPlayer } from '../schema';

/** A personal link as the coach sees it; its token is shown once, when it is made, and never again. */
export type LinkLine = { linkId: string; createdAt: Date; expiresAt: Date; lastUsedAt: Date | null };

const holding = (now: Date) => and(isNull(playerLink.revokedAt), gt(playerLink.expiresAt, now));

/** Keeps a personal link of a player by the hash of its token; false if the academy has no such player. */
export async function keepLink(
  db: Db,
  actor: Actor,
  playerId: string,
  link: { linkId: string; tokenHash: Buffer; expiresAt: Date },
): Promise<boolean> {
  const { academyId } = actor;
  const known = await db.$count(player, and(eq(player.academyId, academyId), eq(player.playerId, playerId)));
  if (known === 0) return false;
  await db.insert(playerLink).values({ academyId, playerId, ...link });
  return true;
}

/** The links of a player that hold at a moment, the newest first. */
export async function linksOf(db: Db, actor: Actor, playerId: string, now: Date): Promise<LinkLine[]> {
  const { linkId, createdAt, expiresAt, lastUsedAt } = playerLink;
  return db
    .select({ linkId, createdAt, expiresAt, lastUsedAt })
    .from(playerLink)
    .where(and(eq(playerLink.academyId, actor.academyId), eq(playerLink.playerId, playerId), holding(now)))
    .orderBy(desc(playerLink.createdAt));
}

/** Ends a link at once. What it recorded stays. */
export async function revokeLink(db: Db, actor: Actor, linkId: string): Promise<void> {
  await db
    .update(playerLink)
    .set({ revokedAt: sql`coalesce(${playerLink.revokedAt}, now())` })
    .where(and(eq(playerLink.academyId, actor.academyId), eq(playerLink.linkId, linkId)));
}

export type LinkHolder = { actor: PlayerByLink; academy: { slug: string; name: string }; expiresAt: Date };

/** Whose link a token is, by its hash; null where none holds at this moment, or its player was put away. That it was used is noted. */
export async function holderOfLink(db: Db, academyId: string, tokenHash: Buffer, now: Date): Promise<LinkHolder | null> {
  const [row] = await db
    .update(playerLink)
    .set({ lastUsedAt: now })
    .from(authOrganization)
    .innerJoin(player, and(eq(player.academyId, authOrganization.id), isNull(player.archivedAt)))
    .where(
      and(
        eq(playerLink.academyId, academyId),
        eq(playerLink.tokenHash, tokenHash),
        holding(now),
        eq(authOrganization.id, playerLink.academyId),
        eq(player.playerId, playerLink.playerId),
      ),
    )
    .returning({
      playerId: playerLink.playerId,
      linkId: playerLink.linkId,
      expiresAt: playerLink.expiresAt,
      slug: authOrganization.slug,
      name: authOrganization.name,
    });
  if (!row) return null;
  const { playerId, linkId, expiresAt, slug, name } = row;
  return { actor: { kind: 'player', academyId, playerId, linkId }, academy: { slug, name }, expiresAt };
}

/** Whether a player is one of those in a session. */
export async function playsIn(db: Db, actor: Actor, sessionId: string, playerId: string): Promise<boolean> {
  const one = and(
    eq(sessionPlayer.academyId, actor.academyId),
    eq(sessionPlayer.sessionId, sessionId),
    eq(sessionPlayer.playerId, playerId),
  );
  return (await db.$count(sessionPlayer, one)) > 0;
}

/** Keeps the key of a device that reads distances for a session, in place of any it had. */
export async function keepReaderKey(
  db: Db,
  actor: Actor,
  sessionId: string,
  key: { keyId: string; tokenHash: Buffer; expiresAt: Date },
): Promise<void> {
  const { academyId } = actor;
  await db.transaction(async (tx) => {
    await tx
      .update(readerKey)
      .set({ revokedAt: sql`now()` })
      .where(and(eq(readerKey.academyId, academyId), eq(readerKey.sessionId, sessionId), isNull(readerKey.revokedAt)));
    await tx.insert(readerKey).values({ academyId, sessionId, ...key });
  });
}

/** The session for which a device may read, by the hash of its key; null where the key does not hold at this moment. */
export async function sessionOfReader(
  db: Db,
  academyId: string,
  tokenHash: Buffer,
  now: Date,
): Promise<{ keyId: string; sessionId: string } | null> {
  const [row] = await db
    .select({ keyId: readerKey.keyId, sessionId: readerKey.sessionId })
    .from(readerKey)
    .where(
      and(
        eq(readerKey.academyId, academyId),
        eq(readerKey.tokenHash, tokenHash),
        isNull(readerKey.revokedAt),
        gt(readerKey.expiresAt, now),
      ),
    );
  return row ?? null;
}
