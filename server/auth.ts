import 'server-only';
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
import { publicUrl } from './public-url';

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
    session: { expiresIn: 60 * 60 * 24 * 30 },
    // From which address somebody signs in is kept nowhere.
    advanced: { ipAddress: { disableIpTracking: true } },
    databaseHooks: { user: { create: { before: async (user) => ({ data: { ...user, name: ownName(user.name) } }) } } },
    plugins: [organization(), twoFactor({ issuer: 'Inch Game' }), nextCookies()],
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
