import { TOKEN_SCOPES } from '@/core/people/api-token';
import { foreignKey, index, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { authUser } from './auth';
import { bytea } from './bytea';
import { academyId, at } from './columns';

/** A key with which another program asks in the name of whoever made it: only the hash of it is kept. */
export const apiToken = pgTable(
  'api_token',
  {
    academyId: academyId(),
    tokenId: uuid().notNull(),
    /** What it is for, in the words of whoever made it. */
    name: text().notNull(),
    /** What may be done with it. */
    scopes: text({ enum: TOKEN_SCOPES }).array().notNull(),
    tokenHash: bytea().notNull(),
    /** Who made it: with them it ends, and it may never do more than they. */
    userId: text().notNull(),
    createdAt: at().notNull().defaultNow(),
    /** Null: until it is ended. */
    expiresAt: at(),
    lastUsedAt: at(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.tokenId] }),
    index('api_token_hash').on(t.academyId, t.tokenHash),
    foreignKey({ columns: [t.userId], foreignColumns: [authUser.id] }).onDelete('cascade'),
  ],
);
