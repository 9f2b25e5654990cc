import 'server-only';
import { getSessionCookie } from 'better-auth/cookies';
import type { MemberRole } from '@/db/actor';
import { invitationByToken, takeInvitation } from '@/db/queries/invitations';
import { holderOfLink, playsIn, sessionOfReader } from '@/db/queries/links';
import { holderOfToken } from '@/db/queries/tokens';
import { reportByToken } from '@/db/queries/reports';
import { memberAtGreen, memberForSession } from './actor';
import { dataOf } from './data';
import { database } from './db';
import { makeDelays } from './delays';
import { remembered } from './remembered';
import type { DataFor } from './rights';
import { senderOf } from './sender';
import { bearerOf, readToken } from './token';

/** What whoever plays a session may do with the records: no more than this goes through the door of play. */
export type PlayData = DataFor<'player' | MemberRole>;

/**
 * Somebody at the green: whoever works there, or a player by a personal link, who speaks for one player only (`only`).
 * `sees`: of whom they see more than the game needs; null: of everybody
 */
export type Door = {
  data: PlayData;
  academyId: string;
  academy: { slug: string; name: string };
  only: string | null;
  sees: readonly string[] | null;
};
export type DoorRefusal = 'signed out' | 'no such session' | 'too many tries';

/** Whoever works in an academy, at the green. */
export type MemberDoor = Exclude<Awaited<ReturnType<typeof memberAtGreen>>, 'signed out' | null>;

/** Wrong links and keys from one sender. */
const tries = makeDelays('tokens', { free: 30, mostMs: 30_000, forgetMs: 15 * 60_000 });
/** Hashes of tokens that were right when they were last looked up. */
const right = new Set<string>();
const MOST_RIGHT = 10_000;

/** Who holds the personal link of a request. */
export async function linkHolder(headers: Headers) {
  return withToken(headers, (academyId, hash) => holderOfLink(database(), academyId, hash, new Date()));
}

/** The session for which the key of a request reads distances. */
export async function readerOf(headers: Headers) {
  return withToken(headers, async (academyId, hash) => {
    const key = await sessionOfReader(database(), academyId, hash, new Date());
    return key && { ...key, data: dataOf({ kind: 'reader', academyId }) };
  });
}

/** Whose key to the programming interface a request carries. */
export async function tokenHolder(headers: Headers) {
  return withToken(headers, (academyId, hash) => holderOfToken(database(), academyId, hash, new Date()));
}

/** The report that the link of a request shows. */
export async function linkedReport(headers: Headers) {
  return withToken(headers, (academyId, hash) => reportByToken(database(), academyId, hash, new Date()));
}

/** The invitation that a request carries. */
export async function invitationOf(headers: Headers) {
  return withToken(headers, (academyId, hash) => invitationByToken(database(), academyId, hash, new Date()));
}

/** Takes it for an account: whose address it went to. @returns the address of the academy, and as what */
export async function takeInvitationOf(headers: Headers, user: { id: string; email: string }) {
  return withToken(headers, (academyId, hash) => takeInvitation(database(), academyId, hash, user, new Date()));
}

/**
 * Looks a token up. Who made too many wrong guesses has to wait; a token that was right before is looked up all the
 * same, so that nobody has to wait for somebody else's guesses on the same network.
 */
async function withToken<T>(headers: Headers, find: (academyId: string, hash: Buffer) => Promise<T | null>): Promise<T | DoorRefusal> {
  const [sender, token] = [senderOf(headers), bearerOf(headers) ?? ''];
  const read = readToken(token);
  const name = read?.hash.toString('base64') ?? token;
  if (!right.has(name) && (await tries.left(sender)) > 0) return 'too many tries';
  const found = read && (await find(read.academyId, read.hash));
  if (found) {
    if (right.size >= MOST_RIGHT) right.clear();
    right.add(name);
    return found;
  }
  right.delete(name);
  await tries.wrong(sender, name);
  return 'signed out';
}

/** Who asks for a session at play: by a personal link where the request carries one, else by the coach's sign-in. */
export function doorOf(headers: Headers, sessionId: string): Promise<Door | DoorRefusal> {
  const token = bearerOf(headers) ?? getSessionCookie(headers);
  const ask = () => (headers.has('authorization') ? doorOfLink(headers, sessionId) : doorOfCoach(headers, sessionId));
  return token ? remembered<Door, DoorRefusal>(`${sessionId} ${token}`, ask) : ask();
}

async function doorOfLink(headers: Headers, sessionId: string): Promise<Door | DoorRefusal> {
  const holder = await linkHolder(headers);
  if (typeof holder === 'string') return holder;
  const { actor, academy } = holder;
  if (!(await playsIn(database(), actor, sessionId, actor.playerId))) return 'no such session';
  return { data: dataOf(actor), academyId: actor.academyId, academy, only: actor.playerId, sees: [actor.playerId] };
}

async function doorOfCoach(headers: Headers, sessionId: string): Promise<Door | DoorRefusal> {
  const desk = await memberForSession(headers, sessionId);
  if (desk === 'signed out') return desk;
  if (!desk) return 'no such session';
  const { data, academy, sees } = desk;
  return { data, academyId: academy.academyId, academy, only: null, sees };
}
