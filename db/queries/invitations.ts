import { and, desc, eq, gt, inArray } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { authMember, authOrganization, authUser, groupCoach, invitation, playerGroup } from '../schema';
import { noteActivity } from './activity';
import { workHere } from './members';

export type Invited = { email: string; role: 'coach' | 'assistant'; groupIds: string[] };
/** An invitation as the owner sees it; its link was in the letter, and is nowhere else. */
export type InvitationLine = Invited & { invitationId: string; by: string; createdAt: Date; expiresAt: Date };

/**
 * Keeps an invitation by the hash of its token, in place of an earlier one to the same address.
 * @returns false where whoever has that address works here already
 */
export async function keepInvitation(
  db: Db,
  actor: Actor,
  one: Invited & { invitationId: string; tokenHash: Buffer; expiresAt: Date },
): Promise<boolean> {
  if (!('userId' in actor)) return false;
  const { academyId, userId } = actor;
  const here = await db
    .select({ id: authMember.id })
    .from(authMember)
    .innerJoin(authUser, eq(authUser.id, authMember.userId))
    .where(and(workHere(actor), eq(authUser.email, one.email)));
  if (here.length > 0) return false;
  await db.transaction(async (tx) => {
    await tx.delete(invitation).where(and(eq(invitation.academyId, academyId), eq(invitation.email, one.email)));
    await tx.insert(invitation).values({ academyId, userId, ...one });
  });
  return true;
}

const holding = (now: Date) => gt(invitation.expiresAt, now);

/** The invitations that nobody has taken yet, the newest first. */
export async function listInvitations(db: Db, actor: Actor, now: Date): Promise<InvitationLine[]> {
  const { invitationId, email, role, groupIds, createdAt, expiresAt } = invitation;
  return db
    .select({ invitationId, email, role, groupIds, by: authUser.name, createdAt, expiresAt })
    .from(invitation)
    .innerJoin(authUser, eq(authUser.id, invitation.userId))
    .where(and(eq(invitation.academyId, actor.academyId), holding(now)))
    .orderBy(desc(invitation.createdAt));
}

/** Takes an invitation back. */
export async function revokeInvitation(db: Db, actor: Actor, invitationId: string): Promise<void> {
  await db.delete(invitation).where(and(eq(invitation.academyId, actor.academyId), eq(invitation.invitationId, invitationId)));
}

const byToken = (academyId: string, tokenHash: Buffer, now: Date) =>
  and(eq(invitation.academyId, academyId), eq(invitation.tokenHash, tokenHash), holding(now));

/** What an invitation says, by the hash of its token; null where it holds no more. */
export async function invitationByToken(
  db: Db,
  academyId: string,
  tokenHash: Buffer,
  now: Date,
): Promise<{ academy: string; by: string; email: string; role: 'coach' | 'assistant' } | null> {
  const [row] = await db
    .select({ academy: authOrganization.name, by: authUser.name, email: invitation.email, role: invitation.role })
    .from(invitation)
    .innerJoin(authOrganization, eq(authOrganization.id, invitation.academyId))
    .innerJoin(authUser, eq(authUser.id, invitation.userId))
    .where(byToken(academyId, tokenHash, now));
  return row ?? null;
}

/**
 * Takes an invitation for the account to whose address it went: it is used up, and that account works here from then on.
 * @returns the address of the academy; null where it holds no more, or went to another address
 */
export async function takeInvitation(
  db: Db,
  academyId: string,
  tokenHash: Buffer,
  user: { id: string; email: string },
  now: Date,
): Promise<string | null> {
  return db.transaction(async (tx) => {
    const [taken] = await tx
      .delete(invitation)
      .where(and(byToken(academyId, tokenHash, now), eq(invitation.email, user.email)))
      .returning();
    if (!taken) return null;
    const actor = { kind: 'program', academyId } as const;
    const here = await tx
      .select({ id: authMember.id })
      .from(authMember)
      .where(and(workHere(actor), eq(authMember.userId, user.id)));
    if (here.length === 0)
      await tx.insert(authMember).values({ id: crypto.randomUUID(), organizationId: academyId, userId: user.id, role: taken.role });
    const groups = await tx
      .select({ groupId: playerGroup.groupId })
      .from(playerGroup)
      .where(and(eq(playerGroup.academyId, academyId), inArray(playerGroup.groupId, taken.groupIds)));
    if (groups.length > 0)
      await tx
        .insert(groupCoach)
        .values(groups.map(({ groupId }) => ({ academyId, groupId, userId: user.id })))
        .onConflictDoNothing();
    await noteActivity(tx, { kind: 'coach', academyId, userId: user.id }, 'joined', { about: null, more: taken.role });
    const [of] = await tx.select({ slug: authOrganization.slug }).from(authOrganization).where(eq(authOrganization.id, academyId));
    return of!.slug;
  });
}
