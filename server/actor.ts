import 'server-only';
import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { cache } from 'react';
import type { Coach } from '@/db/actor';
import { coachIn, coachOfSession, type Academy } from '@/db/queries/academies';
import { auth } from './auth';
import { database } from './db';

export type Desk = { actor: Coach; academy: Academy; userName: string };

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
  return { ...found, userName: user.name };
});

/** The coach in whichever of their academies has this session; null if none has, or nobody is signed in. */
export async function coachForSession(sessionId: string): Promise<{ actor: Coach; academy: Academy } | 'signed out' | null> {
  const user = await signedIn();
  if (!user) return 'signed out';
  return coachOfSession(database(), user.id, sessionId);
}
