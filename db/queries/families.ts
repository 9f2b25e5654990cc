import { isUnderAge, shortName, type ConsentForm, type GuardianForm } from '@/core/people/family';
import { and, asc, desc, eq, gt, isNull, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { authUser, consent, erasureRequest, guardian, invitation, player, report } from '../schema';
import { mayBeNamed, thisYear } from './may-be-named';

/** A guardian as coaches see them. */
export type GuardianLine = GuardianForm & {
  guardianId: string;
  /** Whether they read about the player with an account. */
  joined: boolean;
  /** Until when an invitation to do so holds; null: none does. */
  invitedUntil: Date | null;
};
export type ConsentLine = { by: string; on: string; way: 'account' | 'coach'; withdrawnAt: Date | null };
/** What a player, or their guardian, asked for; `declinedAt` null: it waits. */
export type ErasureAsked = { who: string | null; byPlayer: boolean; words: string; askedAt: Date; declinedAt: Date | null; why: string };
/** Who looks after a player at home, and what was agreed. */
export type Family = {
  bornYear: number | null;
  underAge: boolean;
  guardians: GuardianLine[];
  /** The newest first; the first is in force where it was not withdrawn. */
  consents: ConsentLine[];
  erasure: ErasureAsked | null;
};

const mine = (actor: Actor, playerId: string) => and(eq(player.academyId, actor.academyId), eq(player.playerId, playerId));
const ofPlayer = (table: typeof guardian | typeof consent | typeof erasureRequest, actor: Actor, playerId: string) =>
  and(eq(table.academyId, actor.academyId), eq(table.playerId, playerId));

/** The family of a player; a guardian is shown no other guardian. Null if the academy has no such player. */
export async function familyOf(db: Db, actor: Actor, playerId: string): Promise<Family | null> {
  const [one] = await db.select({ bornYear: player.bornYear }).from(player).where(mine(actor, playerId));
  if (!one) return null;
  const { guardianId, name, email, phone, userId } = guardian;
  const [guardians, consents, erasure] = await Promise.all([
    db
      .select({ guardianId, name, email, phone, userId, invitedUntil: invitation.expiresAt })
      .from(guardian)
      .leftJoin(
        invitation,
        and(eq(invitation.academyId, guardian.academyId), eq(invitation.guardianId, guardianId), gt(invitation.expiresAt, sql`now()`)),
      )
      .where(and(ofPlayer(guardian, actor, playerId), actor.kind === 'guardian' ? eq(userId, actor.userId) : undefined))
      .orderBy(asc(guardian.createdAt), asc(name)),
    db
      .select({ by: consent.givenBy, on: consent.givenOn, way: consent.way, withdrawnAt: consent.withdrawnAt })
      .from(consent)
      .where(ofPlayer(consent, actor, playerId))
      .orderBy(sql`${consent.withdrawnAt} desc nulls first`, desc(consent.givenOn)),
    erasureOf(db, actor, playerId),
  ]);
  return {
    bornYear: one.bornYear,
    underAge: isUnderAge(one.bornYear, thisYear()),
    guardians: guardians.map(({ userId, ...row }) => ({ ...row, joined: userId !== null })),
    consents,
    erasure,
  };
}

/** What was asked for of a player's erasure; null: nothing was. */
export async function erasureOf(db: Db, actor: Actor, playerId: string): Promise<ErasureAsked | null> {
  const [asked] = await db
    .select({ row: erasureRequest, who: authUser.name })
    .from(erasureRequest)
    .leftJoin(authUser, eq(erasureRequest.actor, sql`'user:' || ${authUser.id}`))
    .where(ofPlayer(erasureRequest, actor, playerId));
  if (!asked) return null;
  const { actor: by, words, askedAt, declinedAt, why } = asked.row;
  return { who: asked.who, byPlayer: by.startsWith('link:'), words, askedAt, declinedAt, why };
}

/** Of whoever is under age and without consent only the first word of their name is kept, and no report is shown behind a link. */
async function keepShort(db: Db, actor: Actor, playerId: string): Promise<void> {
  const [one] = await db.select({ name: player.name }).from(player).where(mine(actor, playerId));
  if (!one || (await mayBeNamed(db, actor, playerId, one.name))) return;
  await db
    .update(player)
    .set({ name: shortName(one.name), savedAt: new Date() })
    .where(mine(actor, playerId));
  await endReports(db, actor, playerId);
}

/** Ends the links to reports of a player, which have the name in them. */
async function endReports(db: Db, { academyId }: Actor, playerId: string): Promise<void> {
  await db.delete(report).where(and(eq(report.academyId, academyId), eq(report.playerId, playerId)));
}

/** Says in which year a player was born; null: nobody knows, and they count as grown up. */
export async function saveBornYear(db: Db, actor: Actor, playerId: string, bornYear: number | null): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.update(player).set({ bornYear }).where(mine(actor, playerId));
    await keepShort(tx, actor, playerId);
  });
}

/** Keeps a guardian of a player, or changes the one of this id; false if the academy has no such player, or the guardian is another's. */
export async function saveGuardian(db: Db, actor: Actor, playerId: string, guardianId: string, form: GuardianForm): Promise<boolean> {
  const { academyId } = actor;
  if ((await db.$count(player, mine(actor, playerId))) === 0) return false;
  const kept = await db
    .insert(guardian)
    .values({ academyId, guardianId, playerId, ...form })
    .onConflictDoUpdate({ target: [guardian.academyId, guardian.guardianId], set: form, setWhere: eq(guardian.playerId, playerId) })
    .returning({ id: guardian.guardianId });
  return kept.length > 0;
}

/** Takes a guardian away, who reads nothing any more from now on. */
export async function removeGuardian(db: Db, actor: Actor, guardianId: string): Promise<void> {
  await db.delete(guardian).where(and(eq(guardian.academyId, actor.academyId), eq(guardian.guardianId, guardianId)));
}

/**
 * Keeps an invitation to read about a player by the hash of its token, in place of an earlier one.
 * @returns to which address it goes, and about whom; null where the guardian is not here, has no address or has joined
 */
export async function keepGuardianInvitation(
  db: Db,
  actor: Actor,
  guardianId: string,
  one: { invitationId: string; tokenHash: Buffer; expiresAt: Date },
): Promise<{ email: string; player: string } | null> {
  if (!('userId' in actor)) return null;
  const { academyId, userId } = actor;
  return db.transaction(async (tx) => {
    const [found] = await tx
      .select({ email: guardian.email, player: player.name })
      .from(guardian)
      .innerJoin(player, and(eq(player.academyId, guardian.academyId), eq(player.playerId, guardian.playerId)))
      .where(and(eq(guardian.academyId, academyId), eq(guardian.guardianId, guardianId), isNull(guardian.userId)));
    if (!found?.email) return null;
    await tx.delete(invitation).where(and(eq(invitation.academyId, academyId), eq(invitation.guardianId, guardianId)));
    await tx.insert(invitation).values({ academyId, userId, email: found.email, role: 'guardian', guardianId, ...one });
    return found;
  });
}

/** Takes the invitation of a guardian back. */
export async function revokeGuardianInvitation(db: Db, actor: Actor, guardianId: string): Promise<void> {
  await db.delete(invitation).where(and(eq(invitation.academyId, actor.academyId), eq(invitation.guardianId, guardianId)));
}

/** Keeps a consent: from a guardian themselves, with today's day, or as it was given to a coach. @returns false where one is in force already */
export async function giveConsent(db: Db, actor: Actor, playerId: string, consentId: string, { by, on }: ConsentForm): Promise<boolean> {
  const { academyId } = actor;
  if ((await db.$count(player, mine(actor, playerId))) === 0) return false;
  const given = { consentId, playerId, givenBy: by, givenOn: on, actor: actorName(actor), way: wayOf(actor) };
  const kept = await db
    .insert(consent)
    .values({ academyId, ...given })
    .onConflictDoNothing()
    .returning({ id: consent.consentId });
  return kept.length > 0;
}
const wayOf = (actor: Actor) => (actor.kind === 'guardian' ? ('account' as const) : ('coach' as const));

/** Takes a consent back: from now on only the first word of the player's name is kept, and links to their reports end. */
export async function withdrawConsent(db: Db, actor: Actor, playerId: string): Promise<boolean> {
  return db.transaction(async (tx) => {
    const back = await tx
      .update(consent)
      .set({ withdrawnAt: new Date() })
      .where(and(ofPlayer(consent, actor, playerId), isNull(consent.withdrawnAt)))
      .returning({ id: consent.consentId });
    if (back.length === 0) return false;
    await keepShort(tx, actor, playerId);
    await endReports(tx, actor, playerId);
    return true;
  });
}

/** Asks for everything about a player to be erased; asked again, the last words count. */
export async function askErasure(db: Db, actor: Actor, playerId: string, words: string): Promise<boolean> {
  const { academyId } = actor;
  if ((await db.$count(player, mine(actor, playerId))) === 0) return false;
  const asked = { actor: actorName(actor), words, askedAt: new Date(), declinedAt: null, why: '' };
  await db
    .insert(erasureRequest)
    .values({ academyId, playerId, ...asked })
    .onConflictDoUpdate({ target: [erasureRequest.academyId, erasureRequest.playerId], set: asked });
  return true;
}

/** Takes back that somebody asked to erase a player. */
export async function cancelErasure(db: Db, actor: Actor, playerId: string): Promise<void> {
  await db.delete(erasureRequest).where(ofPlayer(erasureRequest, actor, playerId));
}

/** Says no to it, and why: whoever asked reads that. */
export async function declineErasure(db: Db, actor: Actor, playerId: string, why: string): Promise<void> {
  await db
    .update(erasureRequest)
    .set({ declinedAt: new Date(), why })
    .where(and(ofPlayer(erasureRequest, actor, playerId), isNull(erasureRequest.declinedAt)));
}

/** The players whose erasure was asked for and waits, whoever has waited longest first. */
export async function erasuresAsked(db: Db, actor: Actor): Promise<{ playerId: string; name: string; askedAt: Date }[]> {
  return db
    .select({ playerId: player.playerId, name: player.name, askedAt: erasureRequest.askedAt })
    .from(erasureRequest)
    .innerJoin(player, and(eq(player.academyId, erasureRequest.academyId), eq(player.playerId, erasureRequest.playerId)))
    .where(and(eq(erasureRequest.academyId, actor.academyId), isNull(erasureRequest.declinedAt)))
    .orderBy(asc(erasureRequest.askedAt));
}
