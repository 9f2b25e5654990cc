import { newPlayer } from '@/core/people/player';
import { eq } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { academy, player } from '../schema';

/**
 * Makes players of whom only the name is known; one who is there already stays as they are.
 * @param away put away from the start, so that they stand on no list
 * @returns the ids of those who are new
 */
export async function addByName(
  db: Db,
  actor: Actor,
  people: readonly { playerId: string; name: string }[],
  { away }: { away: boolean },
): Promise<string[]> {
  if (people.length === 0) return [];
  const { academyId } = actor;
  const [coach] = await db.select({ units: academy.units }).from(academy).where(eq(academy.academyId, academyId));
  const rows = people.map(({ playerId, name }) => {
    const { clubs: _none, ...fields } = newPlayer(name, coach!.units);
    return { academyId, playerId, ...fields, archivedAt: away ? new Date() : null };
  });
  const made = await db.insert(player).values(rows).onConflictDoNothing().returning({ id: player.playerId });
  return made.map(({ id }) => id);
}

/** Makes players of guests. */
export async function addGuests(db: Db, actor: Actor, guests: readonly { playerId: string; name: string }[]): Promise<void> {
  await addByName(db, actor, guests, { away: true });
}
