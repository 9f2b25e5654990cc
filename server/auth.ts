import 'server-only';
import { passkey } from '@better-auth/passkey';
import { betterAuth } from 'better-auth';
import { APIError } from 'better-auth/api';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { nextCookies } from 'better-auth/next-js';
import { organization, twoFactor } from 'better-auth/plugins';
import { PASSWORD_LEAST, PASSWORD_MOST, signUpSchema } from '@/core/people/account';
import { changedMail, LINK_HOURS, resetMail } from '@/core/people/mails';
import * as tables from '@/db/schema/auth';
import { database } from './db';
import { env } from './env';
import { ownOrigins } from './front/front.mjs';
import { sendMailLater } from './mail/post';
import { passkeyHost, publicUrl } from './public-url';

function makeAuth() {
  const logLevel = env().LOG_LEVEL;
  return betterAuth({
    appName: 'Inch Game',
    baseURL: env().PUBLIC_URL,
    trustedOrigins: ownOrigins(env().PUBLIC_URL),
    secret: env().AUTH_SECRET,
    telemetry: { enabled: false },
    logger: logLevel === 'silent' ? { disabled: true } : { level: logLevel },
    database: drizzleAdapter(database(), {
      provider: 'pg',
      schema: {
        user: tables.authUser,
        session: tables.authSession,
        account: tables.authAccount,
        verification: tables.authVerification,
        organization: tables.authOrganization,
        member: tables.authMember,
        invitation: tables.authInvitation,
        twoFactor: tables.authTwoFactor,
        passkey: tables.authPasskey,
      },
    }),
    emailAndPassword: {
      enabled: true,
      minPasswordLength: PASSWORD_LEAST,
      maxPasswordLength: PASSWORD_MOST,
      resetPasswordTokenExpiresIn: LINK_HOURS.reset * 3600,
      revokeSessionsOnPasswordReset: true,
      sendResetPassword: async ({ user, token }) => sendMailLater(resetMail(user, `${publicUrl()}/reset#${token}`)),
      onPasswordReset: async ({ user }) => sendMailLater(changedMail(user, 'password', `${publicUrl()}/forgot`)),
    },
    // Of a token that is sent by e-mail only the hash is kept.
    verification: { storeIdentifier: 'hashed' },
    // Who tries too often is held up by server/sign-in.ts, which knows who sends.
    rateLimit: { enabled: false },
    // What is dear takes the password again, however long ago somebody signed in.
    session: { expiresIn: 60 * 60 * 24 * 30, freshAge: 0 },
    // From which address somebody signs in is kept nowhere.
    advanced: { ipAddress: { disableIpTracking: true } },
    databaseHooks: { user: { create: { before: async (user) => ({ data: { ...user, name: ownName(user.name) } }) } } },
    plugins: [organization(), twoFactor({ issuer: 'Inch Game' }), passkeys(), nextCookies()],
  });
}

/** Passkeys stand for a password and a code: the device has to ask who it is, which the library leaves open. */
function passkeys() {
  const own = (verified: boolean | undefined) => {
    if (!verified) throw new APIError('UNAUTHORIZED', { message: 'The device did not ask who it is.' });
  };
  return passkey({
    rpID: passkeyHost() ?? new URL(publicUrl()).hostname,
    rpName: 'Inch Game',
    origin: ownOrigins(publicUrl()),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
    registration: { afterVerification: async ({ verification }) => own(verification.registrationInfo?.userVerified) },
    authentication: { afterVerification: async ({ verification }) => own(verification.authenticationInfo.userVerified) },
  });
}

/** The form's own rule holds for whoever asks without the form. */
function ownName(name: string): string {
  const read = signUpSchema.shape.name.safeParse(name);
  if (!read.success) throw new APIError('BAD_REQUEST', { message: read.error.issues[0]!.message });
  return read.data;
}

let made: ReturnType<typeof makeAuth> | undefined;

/** Sign-in, made when first asked for, so that a build needs no settings. */
export function auth(): ReturnType<typeof makeAuth> {
  return (made ??= makeAuth());
}
