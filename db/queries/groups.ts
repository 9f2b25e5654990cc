import type { GroupForm } from '@/core/people/group';
import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { authMember, groupCoach, groupPlayer, player, playerGroup } from '../schema';
import { workHere } from './members';

/** A group with those of its players who are here, and who looks after it. */
export type GroupRow = { groupId: string } & GroupForm;

/** The groups of the academy by name; an assistant's own only. */
export async function listGroups(db: Db, actor: Actor): Promise<GroupRow[]> {
  const { academyId } = actor;
  const groups = await db
    .select({ groupId: playerGroup.groupId, name: playerGroup.name })
    .from(playerGroup)
    .where(eq(playerGroup.academyId, academyId))
    .orderBy(asc(playerGroup.name), asc(playerGroup.groupId));
  const players = await db
    .select({ groupId: groupPlayer.groupId, playerId: groupPlayer.playerId })
    .from(groupPlayer)
    .innerJoin(player, and(eq(player.academyId, groupPlayer.academyId), eq(player.playerId, groupPlayer.playerId)))
    .where(and(eq(groupPlayer.academyId, academyId), isNull(player.archivedAt), isNull(player.erasedAt)))
    .orderBy(asc(player.name));
  const coaches = await db
    .select({ groupId: groupCoach.groupId, userId: groupCoach.userId })
    .from(groupCoach)
    .where(eq(groupCoach.academyId, academyId));
  const rows = groups.map((one) => ({
    ...one,
    playerIds: players.filter(({ groupId }) => groupId === one.groupId).map(({ playerId }) => playerId),
    userIds: coaches.filter(({ groupId }) => groupId === one.groupId).map(({ userId }) => userId),
  }));
  return actor.kind === 'assistant' ? rows.filter(({ userIds }) => userIds.includes(actor.userId)) : rows;
}

/** Saves a group under an id; players and accounts that the academy does not have are passed over. Who was put away stays in it. */
export async function saveGroup(db: Db, actor: Actor, groupId: string, { name, playerIds, userIds }: GroupForm): Promise<void> {
  const { academyId } = actor;
  await db.transaction(async (tx) => {
    await tx
      .insert(playerGroup)
      .values({ academyId, groupId, name })
      .onConflictDoUpdate({ target: [playerGroup.academyId, playerGroup.groupId], set: { name } });
    const away = tx
      .select({ id: player.playerId })
      .from(player)
      .where(and(eq(player.academyId, academyId), sql`${player.archivedAt} is not null`));
    await tx
      .delete(groupPlayer)
      .where(and(eq(groupPlayer.academyId, academyId), eq(groupPlayer.groupId, groupId), sql`${groupPlayer.playerId} not in ${away}`));
    const there = await tx
      .select({ playerId: player.playerId })
      .from(player)
      .where(and(eq(player.academyId, academyId), inArray(player.playerId, [...playerIds]), isNull(player.erasedAt)));
    if (there.length > 0)
      await tx
        .insert(groupPlayer)
        .values(there.map(({ playerId }) => ({ academyId, groupId, playerId })))
        .onConflictDoNothing();
    await tx.delete(groupCoach).where(and(eq(groupCoach.academyId, academyId), eq(groupCoach.groupId, groupId)));
    const working = await tx
      .select({ userId: authMember.userId })
      .from(authMember)
      .where(and(workHere(actor), inArray(authMember.userId, [...userIds])));
    if (working.length > 0) await tx.insert(groupCoach).values(working.map(({ userId }) => ({ academyId, groupId, userId })));
  });
}

/** Ends a group; its players stay. */
export async function removeGroup(db: Db, actor: Actor, groupId: string): Promise<void> {
  await db.delete(playerGroup).where(and(eq(playerGroup.academyId, actor.academyId), eq(playerGroup.groupId, groupId)));
}
