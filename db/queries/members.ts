import { and, asc, eq, inArray, ne } from 'drizzle-orm';
import { MEMBER_ROLES, type Actor, type MemberRole } from '../actor';
import type { Db } from '../client';
import { apiToken, authMember, authUser, groupCoach } from '../schema';

/** Somebody who works in the academy. */
export type MemberLine = { userId: string; name: string; email: string; role: MemberRole; since: Date };

/** Whoever works in the academy of an actor, of the table of members. */
export const workHere = ({ academyId }: Actor) =>
  and(eq(authMember.organizationId, academyId), inArray(authMember.role, [...MEMBER_ROLES]));

/** Who works in the academy, whoever came first is first. */
export async function listMembers(db: Db, actor: Actor): Promise<MemberLine[]> {
  const rows = await db
    .select({ userId: authUser.id, name: authUser.name, email: authUser.email, role: authMember.role, since: authMember.createdAt })
    .from(authMember)
    .innerJoin(authUser, eq(authUser.id, authMember.userId))
    .where(workHere(actor))
    .orderBy(asc(authMember.createdAt), asc(authUser.name));
  return rows.map(({ role, ...row }) => ({ ...row, role: role as MemberRole }));
}

/** Says what somebody who works here may do. The owner stays the owner. */
export async function saveRole(db: Db, actor: Actor, userId: string, role: 'coach' | 'assistant'): Promise<void> {
  await db
    .update(authMember)
    .set({ role })
    .where(and(workHere(actor), eq(authMember.userId, userId), ne(authMember.role, 'owner')));
}

/**
 * Ends somebody's work in the academy, with their groups and their keys; what they recorded stays, and so does their account.
 * @returns false for the owner, and for whoever does not work here
 */
export async function removeMember(db: Db, actor: Actor, userId: string): Promise<boolean> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const gone = await tx
      .delete(authMember)
      .where(and(workHere(actor), eq(authMember.userId, userId), ne(authMember.role, 'owner')))
      .returning({ id: authMember.id });
    if (gone.length === 0) return false;
    await tx.delete(groupCoach).where(and(eq(groupCoach.academyId, academyId), eq(groupCoach.userId, userId)));
    await tx.delete(apiToken).where(and(eq(apiToken.academyId, academyId), eq(apiToken.userId, userId)));
    return true;
  });
}

/** Ends one's own work in the academy; false for the owner, who has to hand it over first. */
export async function leaveAcademy(db: Db, actor: Actor): Promise<boolean> {
  return 'userId' in actor && removeMember(db, actor, actor.userId);
}

/**
 * Makes another coach the owner in place of whoever asks, who is a coach from then on.
 * @returns false where that is no coach of the academy, or whoever asks does not own it
 */
export async function handOver(db: Db, actor: Actor, userId: string): Promise<boolean> {
  if (actor.kind !== 'owner') return false;
  const one = (id: string, role: MemberRole) => and(workHere(actor), eq(authMember.userId, id), eq(authMember.role, role));
  return db.transaction(async (tx) => {
    const heir = await tx.select({ id: authMember.id }).from(authMember).where(one(userId, 'coach')).for('update');
    if (heir.length === 0) return false;
    const left = await tx.update(authMember).set({ role: 'coach' }).where(one(actor.userId, 'owner')).returning({ id: authMember.id });
    if (left.length === 0) return false;
    await tx.update(authMember).set({ role: 'owner' }).where(one(userId, 'coach'));
    return true;
  });
}
