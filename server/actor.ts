import 'server-only';
import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import type { SkillModel } from '@/core/skill/model';
import { coachIn, coachOfSession, homeOf, type Academy } from '@/db/queries/academies';
import { auth } from './auth';
import { dataOf, type Data } from './data';
import { database } from './db';
import { deskModel } from './known/model';

/** A coach at work in one academy. */
export type Desk = { data: Data; academy: Academy; userName: string; model: SkillModel };

/** The signed-in user; null without a session. */
export const signedIn = cache(async () => {
  const from = await headers();
  const session = await auth().api.getSession({ headers: from });
  return session?.user ?? null;
});

/**
 * The coach in the academy of this address. Every page and every action at the desk starts here. Without a session it
 * goes to the sign-in page; for somebody else's academy it answers as if there were none.
 */
export const requireCoach = cache(async (slug: string): Promise<Desk> => {
  const user = await signedIn();
  if (!user) redirect(`/sign-in?next=${encodeURIComponent(`/a/${slug}`)}`);
  const found = await coachIn(database(), user.id, slug);
  if (!found) notFound();
  return { data: dataOf(found.actor), academy: found.academy, userName: user.name, model: deskModel };
});

/**
 * The coach in whichever of their academies has this session; null if none has.
 * @param from the headers of the request: a live stream is asked long after it was answered
 */
export async function coachForSession(from: Headers, sessionId: string): Promise<Desk | 'signed out' | null> {
  const user = (await auth().api.getSession({ headers: from }))?.user;
  if (!user) return 'signed out';
  const found = await coachOfSession(database(), user.id, sessionId);
  return found && { data: dataOf(found.actor), academy: found.academy, userName: user.name, model: deskModel };
}

/** Where the user's work is: the address of their academy, or null before there is one. */
export async function homeAddress(userId: string): Promise<string | null> {
  const slug = await homeOf(database(), userId);
  return slug && `/a/${slug}`;
}
