import type { TokenScope } from '@/core/people/api-token';
import { and, desc, eq, gt, isNull, or } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { apiToken, authUser } from '../schema';
import { memberOf, type At } from './academies';

/** A key as the owner sees it; the key itself is shown once, when it is made, and never again. */
export type TokenLine = {
  tokenId: string;
  name: string;
  scopes: TokenScope[];
  by: string;
  createdAt: Date;
  expiresAt: Date | null;
  lastUsedAt: Date | null;
};

/** Keeps a key of whoever asks, by its hash; whoever has no account has none. */
export async function keepToken(
  db: Db,
  actor: Actor,
  token: { tokenId: string; name: string; scopes: TokenScope[]; tokenHash: Buffer; expiresAt: Date | null },
): Promise<void> {
  if ('userId' in actor) await db.insert(apiToken).values({ academyId: actor.academyId, userId: actor.userId, ...token });
}

const holding = (now: Date) => or(isNull(apiToken.expiresAt), gt(apiToken.expiresAt, now));

/** The keys of the academy that hold at a moment, the newest first. */
export async function listTokens(db: Db, actor: Actor, now: Date): Promise<TokenLine[]> {
  const { tokenId, name, scopes, createdAt, expiresAt, lastUsedAt } = apiToken;
  return db
    .select({ tokenId, name, scopes, by: authUser.name, createdAt, expiresAt, lastUsedAt })
    .from(apiToken)
    .innerJoin(authUser, eq(authUser.id, apiToken.userId))
    .where(and(eq(apiToken.academyId, actor.academyId), holding(now)))
    .orderBy(desc(apiToken.createdAt));
}

/** Ends a key at once: nothing is left of it. */
export async function revokeToken(db: Db, actor: Actor, tokenId: string): Promise<void> {
  await db.delete(apiToken).where(and(eq(apiToken.academyId, actor.academyId), eq(apiToken.tokenId, tokenId)));
}

/**
 * Whose key it is, by its hash, and what for; null where it does not hold at this moment, or whoever made it works in the academy no more.
 * That it was used is noted.
 */
export async function holderOfToken(
  db: Db,
  academyId: string,
  tokenHash: Buffer,
  now: Date,
): Promise<(At & { tokenId: string; scopes: TokenScope[] }) | null> {
  const [row] = await db
    .update(apiToken)
    .set({ lastUsedAt: now })
    .where(and(eq(apiToken.academyId, academyId), eq(apiToken.tokenHash, tokenHash), holding(now)))
    .returning();
  const member = row && (await memberOf(db, row.userId, academyId));
  return member ? { ...member, tokenId: row.tokenId, scopes: row.scopes } : null;
}
