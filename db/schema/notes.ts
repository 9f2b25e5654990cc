import { foreignKey, index, pgTable, primaryKey, text, unique, uuid } from 'drizzle-orm/pg-core';
import { academyId, at } from './columns';
import { session } from './games';
import { player } from './people';

/** The author of what a player wrote, whoever typed it. */
export const BY_PLAYER = 'player';

/**
 * What somebody wrote about a player: about a session, where everybody has one note which the player reads too, or about the player, for
 * coaches only.
 */
export const note = pgTable(
  'note',
  {
    academyId: academyId(),
    noteId: uuid().notNull(),
    playerId: uuid().notNull(),
    /** Null: about the player, and no session. */
    sessionId: uuid(),
    /** Who wrote it, as facts name them ("user:…"), or `BY_PLAYER`; empty where nobody knows. */
    author: text().notNull(),
    /** How the author was called then; empty for a player, whose name stands in one place only. */
    authorName: text().notNull().default(''),
    text: text().notNull(),
    writtenAt: at().notNull().defaultNow(),
    changedAt: at().notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.noteId] }),
    unique('note_of_session').on(t.academyId, t.sessionId, t.playerId, t.author),
    index('note_by_player').on(t.academyId, t.playerId, t.writtenAt),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
  ],
);
