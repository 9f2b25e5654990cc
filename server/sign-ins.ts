import 'server-only';
import { headers } from 'next/headers';
import { auth } from './auth';
import { doorsEnded } from './live';

/** Somewhere an account is signed in. */
export type SignIn = { id: string; since: Date; lastAt: Date; userAgent: string; here: boolean };

/** Where the account is signed in, this device first, then the newest; nothing for whoever is not. */
export async function listSignIns(): Promise<SignIn[]> {
  const from = await headers();
  const own = await auth().api.getSession({ headers: from });
  if (!own) return [];
  const sessions = await auth().api.listSessions({ headers: from });
  return sessions
    .map(({ id, createdAt, updatedAt, userAgent }) => ({
      ...{ id, since: createdAt, lastAt: updatedAt, userAgent: userAgent ?? '' },
      here: id === own.session.id,
    }))
    .toSorted((a, b) => Number(b.here) - Number(a.here) || b.lastAt.getTime() - a.lastAt.getTime());
}

/** A device that signs in with a passkey. */
export type Passkey = { id: string; name: string; since: Date | null };

/** The passkeys of the account, newest first; nothing for whoever is not signed in. */
export async function listPasskeys(): Promise<Passkey[]> {
  const from = await headers();
  if (!(await auth().api.getSession({ headers: from }))) return [];
  const all = await auth().api.listPasskeys({ headers: from });
  return all
    .map(({ id, name, createdAt }) => ({ id, name: name ?? 'Passkey', since: createdAt ? new Date(createdAt) : null }))
    .toSorted((a, b) => (b.since?.getTime() ?? 0) - (a.since?.getTime() ?? 0));
}

/** Ends a sign-in of the account at once; without an id all but this one. False for whoever is signed out. */
export async function endSignIns(id: string | null): Promise<boolean> {
  const from = await headers();
  if (!(await auth().api.getSession({ headers: from }))) return false;
  if (id === null) await auth().api.revokeOtherSessions({ headers: from });
  else {
    const ended = (await auth().api.listSessions({ headers: from })).find((one) => one.id === id);
    if (ended) await auth().api.revokeSession({ headers: from, body: { token: ended.token } });
  }
  doorsEnded();
  return true;
}
