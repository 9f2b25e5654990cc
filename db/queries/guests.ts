import { newPlayer } from '@/core/people/player';
import { and, eq } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { academy, groupCoach, groupPlayer, player } from '../schema';

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

/** Makes players of guests; an assistant's guests are in the assistant's groups, who else would see nothing of them. */
export async function addGuests(db: Db, actor: Actor, guests: readonly { playerId: string; name: string }[]): Promise<void> {
  const made = await addByName(db, actor, guests, { away: true });
  if (actor.kind !== 'assistant' || made.length === 0) return;
  const { academyId, userId } = actor;
  const groups = await db
    .select({ groupId: groupCoach.groupId })
    .from(groupCoach)
    .where(and(eq(groupCoach.academyId, academyId), eq(groupCoach.userId, userId)));
  const places = groups.flatMap(({ groupId }) => made.map((playerId) => ({ academyId, groupId, playerId })));
  if (places.length > 0) await db.insert(groupPlayer).values(places).onConflictDoNothing();
}
