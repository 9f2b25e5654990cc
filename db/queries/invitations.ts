import type { InvitationSaid } from '@/core/people/invitation';
import { and, desc, eq, gt, inArray, isNull } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { authMember, authOrganization, authUser, groupCoach, guardian, invitation, player, playerGroup } from '../schema';
import { noteActivity } from './activity';
import { workHere } from './members';

export type Invited = { email: string; role: 'coach' | 'assistant'; groupIds: string[] };
/** An invitation as the owner sees it; its link was in the letter, and is nowhere else. */
export type InvitationLine = Invited & { invitationId: string; by: string; createdAt: Date; expiresAt: Date };

/** The invitations to work here: those of guardians stand with their player (`families.ts`). */
const atWork = ({ academyId }: Actor) => and(eq(invitation.academyId, academyId), isNull(invitation.guardianId));

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
    await tx.delete(invitation).where(and(atWork(actor), eq(invitation.email, one.email)));
    await tx.insert(invitation).values({ academyId, userId, ...one });
  });
  return true;
}

const holding = (now: Date) => gt(invitation.expiresAt, now);

/** The invitations that nobody has taken yet, the newest first. */
export async function listInvitations(db: Db, actor: Actor, now: Date): Promise<InvitationLine[]> {
  const { invitationId, email, role, groupIds, createdAt, expiresAt } = invitation;
  const rows = await db
    .select({ invitationId, email, role, groupIds, by: authUser.name, createdAt, expiresAt })
    .from(invitation)
    .innerJoin(authUser, eq(authUser.id, invitation.userId))
    .where(and(atWork(actor), holding(now)))
    .orderBy(desc(invitation.createdAt));
  return rows.map(({ role, ...row }) => ({ ...row, role: role as Invited['role'] }));
}

/** Takes an invitation back. */
export async function revokeInvitation(db: Db, actor: Actor, invitationId: string): Promise<void> {
  await db.delete(invitation).where(and(eq(invitation.academyId, actor.academyId), eq(invitation.invitationId, invitationId)));
}

const byToken = (academyId: string, tokenHash: Buffer, now: Date) =>
  and(eq(invitation.academyId, academyId), eq(invitation.tokenHash, tokenHash), holding(now));

/** What an invitation says, by the hash of its token; null where it holds no more. */
export async function invitationByToken(db: Db, academyId: string, tokenHash: Buffer, now: Date): Promise<InvitationSaid | null> {
  const { email, role } = invitation;
  const [row] = await db
    .select({ academy: authOrganization.name, by: authUser.name, email, role, player: player.name })
    .from(invitation)
    .innerJoin(authOrganization, eq(authOrganization.id, invitation.academyId))
    .innerJoin(authUser, eq(authUser.id, invitation.userId))
    .leftJoin(guardian, and(eq(guardian.academyId, invitation.academyId), eq(guardian.guardianId, invitation.guardianId)))
    .leftJoin(player, and(eq(player.academyId, guardian.academyId), eq(player.playerId, guardian.playerId)))
    .where(byToken(academyId, tokenHash, now));
  return row ?? null;
}

/**
 * Takes an invitation for the account to whose address it went: it is used up, and that account works here, or reads about a player, from then on.
 * @returns the address of the academy, and as what; null where it holds no more, or went to another address
 */
export async function takeInvitation(
  db: Db,
  academyId: string,
  tokenHash: Buffer,
  user: { id: string; email: string },
  now: Date,
): Promise<{ slug: string; role: InvitationSaid['role'] } | null> {
  return db.transaction(async (tx) => {
    const [taken] = await tx
      .delete(invitation)
      .where(and(byToken(academyId, tokenHash, now), eq(invitation.email, user.email)))
      .returning();
    if (!taken) return null;
    const { role, groupIds, guardianId } = taken;
    if (guardianId === null) await beginWork(tx, academyId, user.id, role as Invited['role'], groupIds);
    else
      await tx
        .update(guardian)
        .set({ userId: user.id })
        .where(and(eq(guardian.academyId, academyId), eq(guardian.guardianId, guardianId)));
    await noteActivity(tx, { kind: 'coach', academyId, userId: user.id }, 'joined', { about: null, more: role });
    const [of] = await tx.select({ slug: authOrganization.slug }).from(authOrganization).where(eq(authOrganization.id, academyId));
    return { slug: of!.slug, role };
  });
}

async function beginWork(db: Db, academyId: string, userId: string, role: Invited['role'], groupIds: readonly string[]): Promise<void> {
  const actor = { kind: 'program', academyId } as const;
  const here = await db.$count(authMember, and(workHere(actor), eq(authMember.userId, userId)));
  if (here === 0) await db.insert(authMember).values({ id: crypto.randomUUID(), organizationId: academyId, userId, role });
  const groups = await db
    .select({ groupId: playerGroup.groupId })
    .from(playerGroup)
    .where(and(eq(playerGroup.academyId, academyId), inArray(playerGroup.groupId, [...groupIds])));
  if (groups.length > 0)
    await db
      .insert(groupCoach)
      .values(groups.map(({ groupId }) => ({ academyId, groupId, userId })))
      .onConflictDoNothing();
}
