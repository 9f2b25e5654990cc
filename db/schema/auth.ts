import { boolean, index, integer, pgTable, text, timestamp } from 'drizzle-orm/pg-core';

/**
 * The tables of the sign-in library, under names that cannot be mistaken for ours. An academy is its "organization".
 * Their columns are the library's business; ours refer to `auth_organization.id` as `academy_id`.
 */
const at = () => timestamp({ withTimezone: true });

export const authUser = pgTable('auth_user', {
  id: text().primaryKey(),
  name: text().notNull(),
  email: text().notNull().unique(),
  emailVerified: boolean().notNull().default(false),
  image: text(),
  createdAt: at().notNull().defaultNow(),
  updatedAt: at().notNull().defaultNow(),
  /** Whether signing in takes a code beside the password. */
  twoFactorEnabled: boolean().default(false),
});

/** What a second step at sign-in is checked with; the library encrypts the secret and the recovery codes. */
export const authTwoFactor = pgTable(
  'auth_two_factor',
  {
    id: text().primaryKey(),
    secret: text().notNull(),
    backupCodes: text().notNull(),
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
    verified: boolean().default(true),
    failedVerificationCount: integer().default(0),
    lockedUntil: at(),
  },
  (t) => [index('auth_two_factor_user').on(t.userId)],
);

/** A key that a device keeps for an account, and with which it signs in; the library keeps the public half. */
export const authPasskey = pgTable(
  'auth_passkey',
  {
    id: text().primaryKey(),
    name: text(),
    publicKey: text().notNull(),
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
    credentialID: text('credential_id').notNull().unique(),
    counter: integer().notNull(),
    deviceType: text().notNull(),
    backedUp: boolean().notNull(),
    transports: text(),
    createdAt: at(),
    aaguid: text(),
  },
  (t) => [index('auth_passkey_user').on(t.userId)],
);

export const authSession = pgTable(
  'auth_session',
  {
    id: text().primaryKey(),
    expiresAt: at().notNull(),
    token: text().notNull().unique(),
    createdAt: at().notNull().defaultNow(),
    updatedAt: at().notNull().defaultNow(),
    ipAddress: text(),
    userAgent: text(),
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
    activeOrganizationId: text(),
  },
  (t) => [index('auth_session_user').on(t.userId)],
);

export const authAccount = pgTable(
  'auth_account',
  {
    id: text().primaryKey(),
    accountId: text().notNull(),
    providerId: text().notNull(),
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
    accessToken: text(),
    refreshToken: text(),
    idToken: text(),
    accessTokenExpiresAt: at(),
    refreshTokenExpiresAt: at(),
    scope: text(),
    password: text(),
    createdAt: at().notNull().defaultNow(),
    updatedAt: at().notNull().defaultNow(),
  },
  (t) => [index('auth_account_user').on(t.userId)],
);

export const authVerification = pgTable(
  'auth_verification',
  {
    id: text().primaryKey(),
    identifier: text().notNull(),
    value: text().notNull(),
    expiresAt: at().notNull(),
    createdAt: at().notNull().defaultNow(),
    updatedAt: at().notNull().defaultNow(),
  },
  (t) => [index('auth_verification_identifier').on(t.identifier)],
);

export const authOrganization = pgTable('auth_organization', {
  id: text().primaryKey(),
  name: text().notNull(),
  slug: text().notNull().unique(),
  logo: text(),
  createdAt: at().notNull().defaultNow(),
  metadata: text(),
});

export const authMember = pgTable(
  'auth_member',
  {
    id: text().primaryKey(),
    organizationId: text()
      .notNull()
      .references(() => authOrganization.id, { onDelete: 'cascade' }),
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
    role: text().notNull().default('member'),
    createdAt: at().notNull().defaultNow(),
  },
  (t) => [index('auth_member_user').on(t.userId), index('auth_member_organization').on(t.organizationId)],
);

export const authInvitation = pgTable('auth_invitation', {
  id: text().primaryKey(),
  organizationId: text()
    .notNull()
    .references(() => authOrganization.id, { onDelete: 'cascade' }),
  email: text().notNull(),
  role: text(),
  status: text().notNull().default('pending'),
  expiresAt: at().notNull(),
  createdAt: at().notNull().defaultNow(),
  inviterId: text()
    .notNull()
    .references(() => authUser.id, { onDelete: 'cascade' }),
});
