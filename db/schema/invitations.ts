import { foreignKey, index, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { authUser } from './auth';
import { bytea } from './bytea';
import { academyId, at } from './columns';
import { guardian } from './families';

/** Somebody who is asked by e-mail to work in the academy, or to read about a player of theirs; only the hash of its token is kept. */
export const invitation = pgTable(
  'invitation',
  {
    academyId: academyId(),
    invitationId: uuid().notNull(),
    email: text().notNull(),
    role: text({ enum: ['coach', 'assistant', 'guardian'] }).notNull(),
    /** The groups that they will look after. */
    groupIds: uuid().array().notNull().default([]),
    /** Of a guardian, which: the invitation goes with them. */
    guardianId: uuid(),
    /** Who asked them. */
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
    tokenHash: bytea().notNull(),
    createdAt: at().notNull().defaultNow(),
    expiresAt: at().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.invitationId] }),
    index('invitation_token').on(t.academyId, t.tokenHash),
    foreignKey({ columns: [t.academyId, t.guardianId], foreignColumns: [guardian.academyId, guardian.guardianId] }).onDelete('cascade'),
  ],
);
