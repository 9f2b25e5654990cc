import 'server-only';
import * as z from 'zod';
import {
  changeEmailSchema,
  codeSchema,
  forgotSchema,
  newPasskeySchema,
  ownPasskeySchema,
  ownNameSchema,
  ownPasswordSchema,
  passkeySchema,
  passwordSchema,
  resetSchema,
  signUpSchema,
} from '@/core/people/account';
import { changedMail } from '@/core/people/mails';
import { auth } from './auth';
import { makeDelays } from './delays';
import { publicUrl } from './public-url';
import { doorsEnded } from './live';
import { sendConfirmation, takeConfirmation } from './mail/confirm';
import { sendMailLater } from './mail/post';
import { isCommon } from './passwords';
import { makeQuota } from './quota';
import { log } from './log';
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
  'POST /api/auth/own-name': ownName,
  'POST /api/auth/new-email': newEmail,
  'POST /api/auth/request-password-reset': forgot,
  'POST /api/auth/reset-password': reset,
  'POST /api/auth/confirm-email': confirm,
  'POST /api/auth/send-confirmation': confirmAgain,
  'POST /api/auth/two-factor/enable': (request) => withPassword(request),
  'POST /api/auth/two-factor/disable': (request) => withPassword(request, 'codes off'),
  'POST /api/auth/two-factor/generate-backup-codes': (request) => withPassword(request),
  'POST /api/auth/two-factor/verify': secondStep,
  'POST /api/auth/passkey/new': newPasskey,
  'POST /api/auth/passkey/add': addPasskey,
  'POST /api/auth/passkey/remove': removePasskey,
  'POST /api/auth/passkey/ask': askForPasskey,
  'POST /api/auth/passkey/sign-in': signInWithPasskey,
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
  if (answer.ok) {
    const { user } = (await answer.clone().json()) as { user: { id: string; email: string; name: string } };
    // Somebody can begin without it; the account page sends another.
    void sendConfirmation(user).catch((error: unknown) => log.error({ err: error }, 'an e-mail could not be sent'));
  }
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
  if (isCommon(next)) return refuse(400, 'COMMON_PASSWORD', COMMON);
  const asked = { currentPassword: current, newPassword: next, revokeOtherSessions: true };
  return knowing(request, current, asked, (user) => {
    doorsEnded();
    tell(user, 'password');
  });
}

/** Calls the signed-in user by another name. */
async function ownName(request: Request): Promise<Response> {
  const read = ownNameSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const user = await userOf(request);
  if (!user) return refuse(401, 'SIGNED_OUT', SIGNED_OUT);
  await (await auth().$context).internalAdapter.updateUser(user.id, read.data);
  return Response.json({ changed: true });
}

/** Sends a link to another address for the account of the signed-in user, with which it is theirs; whether another account has it is not said. */
async function newEmail(request: Request): Promise<Response> {
  const read = changeEmailSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const user = await userKnowing(request, read.data.password);
  if (user instanceof Response) return user;
  const email = read.data.email.toLowerCase();
  if (!(await mailsTo(user.email, 1)) || !(await mailsTo(email, 1))) return TOO_MANY_MAILS();
  if (await (await auth().$context).internalAdapter.findUserByEmail(email)) return Response.json({ sent: true });
  return sent(sendConfirmation(user, email));
}

/** The signed-in user, if this is their password; else what they are told: wrong ones hold up. */
async function userKnowing(request: Request, typed: string): Promise<User | Response> {
  const user = await userOf(request);
  if (!user) return refuse(401, 'SIGNED_OUT', SIGNED_OUT);
  const left = await ofUser.left(user.id);
  if (left > 0) return wait(left);
  if (!(await isPassword(user.id, typed))) {
    await ofUser.wrong(user.id, typed);
    return refuse(400, 'INVALID_PASSWORD', NOT_THE_PASSWORD);
  }
  await ofUser.right(user.id);
  return user;
}

/** Whether this is the password of an account. */
async function isPassword(userId: string, typed: string): Promise<boolean> {
  const { internalAdapter, password } = await auth().$context;
  const own = (await internalAdapter.findAccounts(userId)).find(({ providerId }) => providerId === 'credential');
  return own?.password ? password.verify({ hash: own.password, password: typed }) : false;
}

type User = { id: string; email: string; name: string };

const userOf = async (request: Request): Promise<User | null> => (await auth().api.getSession({ headers: request.headers }))?.user ?? null;
const SIGNED_OUT = 'You’re signed out. Sign in again, then carry on here.';
const NOT_THE_PASSWORD = 'That’s not your password.';
const tell = (user: User, what: Parameters<typeof changedMail>[1]) => sendMailLater(changedMail(user, what, `${publicUrl()}/account`));

/** Has the library do what takes the user's own password: wrong ones hold up. */
async function knowing(request: Request, password: string, asked: object, then: (user: User) => void = () => {}): Promise<Response> {
  const user = await userOf(request);
  if (!user) return refuse(401, 'SIGNED_OUT', SIGNED_OUT);
  const left = await ofUser.left(user.id);
  if (left > 0) return wait(left);
  const answer = await handle(request, new URL(request.url).pathname, asked);
  if (answer.ok) {
    await ofUser.right(user.id);
    then(user);
    return answer;
  }
  if (answer.status >= 500) return answer;
  await ofUser.wrong(user.id, password);
  return refuse(400, 'INVALID_PASSWORD', NOT_THE_PASSWORD);
}

/** The same request with another body, and maybe to another address of the library; null: it only asks. */
function handle({ url, headers }: Request, pathname: string, body: object | null): Promise<Response> {
  const own = new Headers(headers);
  own.delete('content-length');
  const sent = body ? { method: 'POST', body: JSON.stringify(body) } : {};
  return auth().handler(new Request(new URL(pathname, url), { headers: own, ...sent }));
}

/** Codes at sign-in on, off, or new ones for when the app is lost. */
async function withPassword(request: Request, tells?: 'codes off'): Promise<Response> {
  const read = ownPasswordSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  return knowing(request, read.data.password, read.data, (user) => {
    // The library gives whoever asks another session in place of the one they had.
    doorsEnded();
    if (tells) tell(user, tells);
  });
}

/** The second step: of a sign-in, or the first code of an app, with which codes are on. The library counts wrong ones. */
async function secondStep(request: Request): Promise<Response> {
  const read = codeSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'WRONG_CODE', read.error.issues[0]!.message);
  const { code, trustDevice } = read.data;
  const sender = senderOf(request.headers);
  const left = await ofSender.left(sender);
  if (left > 0) return wait(left);
  const user = await userOf(request);
  const recovery = code.includes('-');
  const answer = await handle(request, `/api/auth/two-factor/verify-${recovery ? 'backup-code' : 'totp'}`, { code, trustDevice });
  if (answer.ok) {
    if (user) {
      doorsEnded();
      tell(user, 'codes on');
    }
    return answer;
  }
  if (answer.status >= 500) return answer;
  await ofSender.wrong(sender, `code ${code}`);
  const { code: why = '' } = (await answer.json().catch(() => ({}))) as { code?: string };
  if (why === 'INVALID_TWO_FACTOR_COOKIE' || why === 'TOO_MANY_ATTEMPTS_REQUEST_NEW_CODE')
    return refuse(401, 'BEGIN_AGAIN', 'That took too long, or too many tries. Sign in again.');
  if (why === 'ACCOUNT_TEMPORARILY_LOCKED') return refuse(429, 'WAIT', 'Too many wrong codes. Wait 15 minutes, then try again.');
  return refuse(
    400,
    'WRONG_CODE',
    recovery ? 'That’s not one of your recovery codes, or it was used before.' : 'That code isn’t right, or has run out.',
  );
}

/** What the library asks a device, which has to ask in turn who it is. */
async function askDevice(request: Request, path: string): Promise<Response> {
  const answer = await handle(request, `/api/auth/passkey/${path}`, null);
  if (!answer.ok) return answer;
  const headers = new Headers(answer.headers);
  headers.delete('content-length');
  const options = (await answer.json()) as Record<string, unknown>;
  return Response.json('user' in options ? options : { ...options, userVerification: 'required', allowCredentials: [] }, { headers });
}

/** Asks the device of the signed-in user for a new passkey. */
async function newPasskey(request: Request): Promise<Response> {
  const read = ownPasswordSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const user = await userKnowing(request, read.data.password);
  return user instanceof Response ? user : askDevice(request, 'generate-register-options');
}

const NOT_THIS_PASSKEY = 'This passkey isn’t known here. It may have been removed from the account. Sign in with your password.';

/** Takes the passkey that the device made. */
async function addPasskey(request: Request): Promise<Response> {
  const read = newPasskeySchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const user = await userOf(request);
  if (!user) return refuse(401, 'SIGNED_OUT', SIGNED_OUT);
  const answer = await handle(request, '/api/auth/passkey/verify-registration', read.data);
  if (!answer.ok) return refuse(400, 'NOT_ADDED', 'The passkey wasn’t added. Try again.');
  tell(user, 'passkey added');
  return Response.json({ added: true });
}

/** Takes one away: from now on nobody signs in with it. */
async function removePasskey(request: Request): Promise<Response> {
  const read = ownPasskeySchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const user = await userOf(request);
  if (!user) return refuse(401, 'SIGNED_OUT', SIGNED_OUT);
  const answer = await handle(request, '/api/auth/passkey/delete-passkey', read.data);
  if (!answer.ok) return answer.status >= 500 ? answer : refuse(404, 'NOT_FOUND', 'It was removed already.');
  tell(user, 'passkey removed');
  return Response.json({ removed: true });
}

/** Asks a device for whichever passkey it has. */
async function askForPasskey(request: Request): Promise<Response> {
  const left = await ofSender.left(senderOf(request.headers));
  return left > 0 ? wait(left) : askDevice(request, 'generate-authenticate-options');
}

/** Signs in with what the device answers: it stands for the password and the code. */
async function signInWithPasskey(request: Request): Promise<Response> {
  const read = passkeySchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', NOT_THIS_PASSKEY);
  const sender = senderOf(request.headers);
  const left = await ofSender.left(sender);
  if (left > 0) return wait(left);
  const answer = await handle(request, '/api/auth/passkey/verify-authentication', read.data);
  if (answer.ok || answer.status >= 500) return answer;
  await ofSender.wrong(sender, `passkey ${read.data.response.id}`);
  return refuse(401, 'WRONG_PASSKEY', NOT_THIS_PASSKEY);
}

/** E-mails that one sender has sent, and that go to one address, in an hour. */
const mailsBy = makeQuota('mails-by', { most: 30, windowMs: 60 * 60_000 });
const mailsTo = makeQuota('mails-to', { most: 5, windowMs: 60 * 60_000 });
const TOO_MANY_MAILS = () =>
  refuse(429, 'WAIT', 'Too many e-mails were asked for. Look in your inbox, or wait an hour.', { 'retry-after': '3600' });

/** Sends a link for a new password, if there is such an account: which is not said. */
async function forgot(request: Request): Promise<Response> {
  const read = forgotSchema.safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  const email = read.data.email.toLowerCase();
  if (!(await mailsBy(senderOf(request.headers), 1)) || !(await mailsTo(email, 1))) return TOO_MANY_MAILS();
  const answer = await handle(request, '/api/auth/request-password-reset', { email });
  return answer.ok ? Response.json({ sent: true }) : answer;
}

const token = z.string().min(1).max(200);
const ENDED = 'This link was used before, or has ended. Ask for a new one.';

/** Takes a new password with the link of an e-mail; whoever was signed in is signed out everywhere. */
async function reset(request: Request): Promise<Response> {
  const read = resetSchema.extend({ token }).safeParse(await bodyOf(request));
  if (!read.success) return refuse(400, 'NOT_READ', read.error.issues[0]!.message);
  if (isCommon(read.data.newPassword)) return refuse(400, 'COMMON_PASSWORD', COMMON);
  const answer = await handle(request, '/api/auth/reset-password', read.data);
  if (answer.ok) doorsEnded();
  return answer.ok || answer.status >= 500 ? answer : refuse(400, 'LINK_ENDED', ENDED);
}

/** Takes the link of the e-mail with which somebody says that an address is theirs. */
async function confirm(request: Request): Promise<Response> {
  const read = z.object({ token }).safeParse(await bodyOf(request));
  return read.success && (await takeConfirmation(read.data.token)) ? Response.json({ confirmed: true }) : refuse(400, 'LINK_ENDED', ENDED);
}

/** Sends that e-mail again. */
async function confirmAgain(request: Request): Promise<Response> {
  const user = await userOf(request);
  if (!user) return refuse(401, 'SIGNED_OUT', SIGNED_OUT);
  if (!(await mailsTo(user.email, 1))) return TOO_MANY_MAILS();
  return sent(sendConfirmation(user));
}

/** Says whether an e-mail went out. */
async function sent(sending: Promise<void>): Promise<Response> {
  const went = await sending.then(
    () => true,
    (error: unknown) => (log.error({ err: error }, 'an e-mail could not be sent'), false),
  );
  return went ? Response.json({ sent: true }) : refuse(502, 'NOT_SENT', 'The e-mail couldn’t be sent. Try again later.');
}
