import { isShortName, isUnderAge } from '@/core/people/family';
import { and, eq, isNull } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { consent, player } from '../schema';

/** The present year; at its turn a few hours are another's. */
export const thisYear = () => new Date().getUTCFullYear();

/** Whether a player may have this name: of the under-age without consent, one word. */
export async function mayBeNamed(db: Db, actor: Actor, playerId: string, name: string): Promise<boolean> {
  if (isShortName(name)) return true;
  const { academyId } = actor;
  const [one] = await db
    .select({ bornYear: player.bornYear })
    .from(player)
    .where(and(eq(player.academyId, academyId), eq(player.playerId, playerId)));
  if (!one || !isUnderAge(one.bornYear, thisYear())) return true;
  const held = and(eq(consent.academyId, academyId), eq(consent.playerId, playerId), isNull(consent.withdrawnAt));
  return (await db.$count(consent, held)) > 0;
}
