import { newPlayer } from '@/core/people/player';
import { eq } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { academy, player } from '../schema';

/** Makes players of guests: put away from the start, so that they stand on no list. One who is there already stays as they are. */
export async function addGuests(db: Db, actor: Actor, guests: readonly { playerId: string; name: string }[]): Promise<void> {
  if (guests.length === 0) return;
  const { academyId } = actor;
  const [coach] = await db.select({ units: academy.units }).from(academy).where(eq(academy.academyId, academyId));
  const rows = guests.map(({ playerId, name }) => {
    const { clubs: _none, ...fields } = newPlayer(name, coach!.units);
    return { academyId, playerId, ...fields, archivedAt: new Date() };
  });
  await db.insert(player).values(rows).onConflictDoNothing();
}
