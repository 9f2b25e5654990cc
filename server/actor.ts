import 'server-only';
import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import { startAddress } from '@/core/exchange/play-address';
import type { SkillModel } from '@/core/skill/model';
import { seenBy, type Guardian, type MemberRole } from '@/db/actor';
import { childrenOf, guardianIn } from '@/db/queries/guardians';
import { homeOf, memberIn, memberOfSession, workplacesOf, type Academy, type At } from '@/db/queries/academies';
import { auth } from './auth';
import { dataOf, type Data } from './data';
import type { DataFor } from './rights';
import { database } from './db';
import { deskModel } from './known/model';

/** A coach at work in one academy. */
export type Desk = { role: MemberRole; data: Data; academy: Academy; userName: string; model: SkillModel };

/** Who is signed in by the headers of a request; null: nobody is. */
export const signedInBy = async (from: Headers) => (await auth().api.getSession({ headers: from }))?.user ?? null;

/** The signed-in user; null without a session. */
export const signedIn = cache(async () => signedInBy(await headers()));

/** The signed-in user in the academy of this address. Without a session it goes to the sign-in page; for somebody else's academy it answers as if there were none. */
const requireMember = cache(async (slug: string) => {
  const user = await signedIn();
  if (!user) redirect(`/sign-in?next=${encodeURIComponent(`/a/${slug}`)}`);
  const found = await memberIn(database(), user.id, slug);
  if (!found) notFound();
  return { ...found, userName: user.name };
});

/** What everybody who works in an academy reads at the desk: of all players, or of those whom they see (`sees`; null: all). */
export type SharedDesk = Pick<Desk, 'academy' | 'userName' | 'model'> & {
  data: DataFor<MemberRole>;
  sees: readonly string[] | null;
  /** The whole desk; null for an assistant, who only reads here. */
  coach: Desk | null;
};

const deskAt = ({ actor, academy }: At, userName: string): Desk | null => {
  const { kind } = actor;
  return kind === 'assistant' ? null : { role: kind, data: dataOf({ ...actor, kind }), academy, userName, model: deskModel };
};

/** The desk of whoever made a key to the programming interface: no more than they may do themselves. */
export const deskOfKey = (at: At): Desk | null => deskAt(at, '');

/** The desk of the signed-in user in the academy of this address; null for whoever has none there. */
export async function deskOfUser(from: Headers, slug: string): Promise<Desk | 'signed out' | null> {
  const user = await signedInBy(from);
  if (!user) return 'signed out';
  const found = await memberIn(database(), user.id, slug);
  return found && deskAt(found, user.name);
}

/** Whoever works in the academy of this address, in any role. The pages that an assistant reads too start here. */
export const requireDesk = cache(async (slug: string): Promise<SharedDesk> => {
  const { userName, ...found } = await requireMember(slug);
  const { actor, academy } = found;
  return { data: dataOf(actor), sees: seenBy(actor), academy, userName, model: deskModel, coach: deskAt(found, userName) };
});

/** The coach in the academy of this address. All other pages and all actions at the desk start here; an assistant is sent to the green, where their work is. */
export const requireCoach = cache(async (slug: string): Promise<Desk> => {
  const { userName, ...found } = await requireMember(slug);
  return deskAt(found, userName) ?? redirect(startAddress(slug));
});

/** The owner of the academy of this address, for what nobody else decides. */
export async function requireOwner(slug: string): Promise<Desk & { data: DataFor<'owner'> }> {
  const { actor, academy, userName } = await requireMember(slug);
  const { kind } = actor;
  if (kind !== 'owner') notFound();
  return { role: kind, data: dataOf({ ...actor, kind }), academy, userName, model: deskModel };
}

/**
 * Whoever works in the academy that has this session, of those in which they do; null if none has.
 * @param from the headers of the request: a live stream is asked long after it was answered
 */
export async function memberForSession(
  from: Headers,
  sessionId: string,
): Promise<{ data: DataFor<MemberRole>; academy: Academy; sees: readonly string[] | null } | 'signed out' | null> {
  const user = await signedInBy(from);
  if (!user) return 'signed out';
  const found = await memberOfSession(database(), user.id, sessionId);
  return found && { data: dataOf(found.actor), academy: found.academy, sees: seenBy(found.actor) };
}

/**
 * Whoever works in an academy, in any role: at the green.
 * @param from the headers of the request
 * @param slug the academy; null: the first in which they work
 */
export async function memberAtGreen(
  from: Headers,
  slug: string | null,
): Promise<{ data: DataFor<MemberRole>; academy: Academy; sees: readonly string[] | null } | 'signed out' | null> {
  const user = await signedInBy(from);
  if (!user) return 'signed out';
  const where = slug ?? (await homeOf(database(), user.id));
  const found = where === null ? null : await memberIn(database(), user.id, where);
  return found && { data: dataOf(found.actor), academy: found.academy, sees: seenBy(found.actor) };
}

/** Where the user's work is: the address of their academy, or null before there is one. */
export async function homeAddress(userId: string): Promise<string | null> {
  const slug = await homeOf(database(), userId);
  return slug && `/a/${slug}`;
}

/** The academies in which somebody works, and as what. */
export const workplaces = (userId: string) => workplacesOf(database(), userId);

/** Somebody who reads about players of an academy as their guardian. */
export type AtHome = { actor: Guardian; data: DataFor<'guardian'>; academy: Academy; userName: string };

/** The guardian in the academy of this address; without a sign-in it goes to the sign-in page, for whoever is nobody's guardian there it is nothing. */
export const requireGuardian = cache(async (slug: string): Promise<AtHome> => {
  const user = await signedIn();
  if (!user) redirect(`/sign-in?next=${encodeURIComponent('/family')}`);
  const found = await guardianIn(database(), user.id, slug);
  if (!found) notFound();
  return { ...found, data: dataOf(found.actor), userName: user.name };
});

/** The players about whom somebody reads as their guardian. */
export const childrenSeen = cache((userId: string) => childrenOf(database(), userId));
