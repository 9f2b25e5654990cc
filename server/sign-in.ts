import 'server-only';
import * as z from 'zod';
import { passwordSchema, signUpSchema } from '@/core/people/account';
import { auth } from './auth';
import { makeDelays } from './delays';
import { doorsEnded } from './live';
import { isCommon } from './passwords';
import { makeQuota } from './quota';
import { senderOf } from './sender';

/**
 * What is open of the sign-in library: what the program's own pages call. The library has more, with which one could delete an academy or
 * join one; all else is not there.
 */
const OPEN: Readonly<Record<string, (request: Request) => Promise<Response>>> = {
  'POST /api/auth/sign-in/email': signIn,
  'POST /api/auth/sign-up/email': signUp,
  'POST /api/auth/sign-out': signOut,
  'POST /api/auth/change-password': changePassword,
};

/** The sign-in service, as a route calls it. */
export async function answerAuth(request: Request): Promise<Response> {
  const answer = OPEN[`${request.method} ${new URL(request.url).pathname}`];
  return answer ? answer(request) : refuse(404, 'NOT_FOUND', 'Not found.');
}

function refuse(status: number, code: string, message: string, headers: HeadersInit = {}): Response {
  return Response.json({ code, message }, { status, headers });
}

const COMMON = 'Too many people use this password. Choose another.';

function wait(leftMs: number): Response {
  const seconds = Math.ceil(leftMs / 1000);
  const sentence = `Wait ${seconds === 1 ? 'a second' : `${seconds} seconds`}, then try again.`;
  return refuse(429, 'WAIT', sentence, { 'retry-after': String(seconds) });
}

const QUARTER_MS = 15 * 60_000;
/** Wrong passwords of one account from one sender, and of all accounts from one sender. */
const ofAccount = makeDelays('account', { free: 5, mostMs: 60_000, forgetMs: QUARTER_MS });
const ofSender = makeDelays('sender', { free: 30, mostMs: 30_000, forgetMs: QUARTER_MS });
/** Accounts that one sender makes in an hour: a whole club may sit behind one address. */
const made = makeQuota('accounts', { most: 40, windowMs: 60 * 60_000 });

const MOST_BYTES = 10_000;
async function bodyOf(request: Request): Promise<unknown> {
  const text = await request.clone().text();
  try {
    return text.length > MOST_BYTES ? null : JSON.parse(text);
  } catch {
    return null;
  }
}

const accountSchema = z.object({ email: z.string().max(200), password: z.string().max(1000) });

async function signIn(request: Request): Promise<Response> {
  const read = accountSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', 'Enter your e-mail and your password.');
  const sender = senderOf(request.headers);
  const pair = `${sender} ${read.data.email.trim().toLowerCase()}`;
  const left = Math.max(...(await Promise.all([ofAccount.left(pair), ofSender.left(sender)])));
  if (left > 0) return wait(left);
  const answer = await auth().handler(request);
  if (answer.status === 401) {
    await ofAccount.wrong(pair, read.data.password);
    await ofSender.wrong(sender, `${pair} ${read.data.password}`);
  } else if (answer.ok) await ofAccount.right(pair);
  return answer;
}

async function signUp(request: Request): Promise<Response> {
  const read = signUpSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  if (isCommon(read.data.password)) return refuse(400, 'COMMON_PASSWORD', COMMON);
  if (!(await made(senderOf(request.headers), 1)))
    return refuse(429, 'WAIT', 'Too many accounts were made from here. Wait an hour, then try again.', { 'retry-after': '3600' });
  const answer = await auth().handler(request);
  // Whether an address has an account is nobody else's business: it is never said.
  return answer.ok || answer.status >= 500
    ? answer
    : refuse(400, 'NOT_MADE', 'We couldn’t make this account. If you already have one, sign in instead.');
}

async function signOut(request: Request): Promise<Response> {
  const answer = await auth().handler(request);
  doorsEnded();
  return answer;
}

/** Wrong passwords of somebody who is signed in and wants another one. */
const ofUser = makeDelays('user', { free: 5, mostMs: 60_000, forgetMs: QUARTER_MS });

/** Gives the account of the signed-in user another password, and ends all its other sign-ins. */
async function changePassword(request: Request): Promise<Response> {
  const read = passwordSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const { current, next } = read.data;
  const user = (await auth().api.getSession({ headers: request.headers }))?.user;
  if (!user) return refuse(401, 'SIGNED_OUT', 'You’re signed out. Sign in again, then carry on here.');
  const left = await ofUser.left(user.id);
  if (left > 0) return wait(left);
  if (isCommon(next)) return refuse(400, 'COMMON_PASSWORD', COMMON);
  const body = JSON.stringify({ currentPassword: current, newPassword: next, revokeOtherSessions: true });
  const answer = await auth().handler(new Request(request.url, { method: 'POST', headers: request.headers, body }));
  if (answer.ok) {
    await ofUser.right(user.id);
    doorsEnded();
    return answer;
  }
  if (answer.status >= 500) return answer;
  await ofUser.wrong(user.id, current);
  return refuse(400, 'INVALID_PASSWORD', 'That’s not your password.');
}
