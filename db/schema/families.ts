import { sql } from 'drizzle-orm';
import { date, foreignKey, index, pgTable, primaryKey, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { authUser } from './auth';
import { academyId, at } from './columns';
import { player } from './people';

/** Who looks after an under-age player at home: whom to call and, with an account, who reads about this one player. */
export const guardian = pgTable(
  'guardian',
  {
    academyId: academyId(),
    guardianId: uuid().notNull(),
    playerId: uuid().notNull(),
    name: text().notNull(),
    email: text().notNull().default(''),
    phone: text().notNull().default(''),
    /** The account that took the invitation; null: none has. */
    userId: text().references(() => authUser.id, { onDelete: 'set null' }),
    createdAt: at().notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.guardianId] }),
    index('guardian_of_player').on(t.academyId, t.playerId),
    index('guardian_account')
      .on(t.userId)
      .where(sql`user_id is not null`),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** That somebody agreed to what is kept of an under-age player. What was withdrawn stays, with the day of both. */
export const consent = pgTable(
  'consent',
  {
    academyId: academyId(),
    consentId: uuid().notNull(),
    playerId: uuid().notNull(),
    /** Who agreed, by name. */
    givenBy: text().notNull(),
    /** The day on which they did. */
    givenOn: date().notNull(),
    /** Who kept it: the guardian's own account, or a coach to whom it was given. */
    actor: text().notNull(),
    /** With the guardian's own account, or to a coach. */
    way: text({ enum: ['account', 'coach'] }).notNull(),
    withdrawnAt: at(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.consentId] }),
    uniqueIndex('consent_holds')
      .on(t.academyId, t.playerId)
      .where(sql`withdrawn_at is null`),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** That a player, or their guardian, asks for everything about them to be erased. It goes with the player, or is declined. */
export const erasureRequest = pgTable(
  'erasure_request',
  {
    academyId: academyId(),
    playerId: uuid().notNull(),
    actor: text().notNull(),
    words: text().notNull().default(''),
    askedAt: at().notNull().defaultNow(),
    /** When a coach declined, and why; null: it waits. */
    declinedAt: at(),
    why: text().notNull().default(''),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.playerId] }),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);
