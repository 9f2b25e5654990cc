import { TABLE_KINDS } from '@/core/imports/fields';
import { storedMappings } from '@/core/imports/mapping';
import { foreignKey, integer, json, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { academyId, at, document } from './columns';
import { session } from './games';

/** How far a file has come: its rows are sent, then kept; all of it can be taken back. */
export const IMPORT_STATES = ['coming', 'keeping', 'kept', 'undoing', 'undone'] as const;

/** A file of balls or scores that somebody brought in. Its events say its id as their device. */
export const importFile = pgTable(
  'import_file',
  {
    academyId: academyId(),
    importId: uuid().notNull(),
    kind: text({ enum: TABLE_KINDS }).notNull(),
    fileName: text().notNull(),
    /** How its columns were called: the next file like it is read in the same way. */
    columns: text().array().notNull(),
    mapping: document(storedMappings).notNull(),
    state: text({ enum: IMPORT_STATES }).notNull().default('coming'),
    /** Rows that were sent. */
    rows: integer().notNull().default(0),
    /** The last line that was sent: what comes again begins no later. */
    lastLine: integer().notNull().default(0),
    /** Of these: balls or results that are kept, those that were there already, and those that can't be. */
    kept: integer().notNull().default(0),
    known: integer().notNull().default(0),
    refused: integer().notNull().default(0),
    /** Players who came in with it. */
    players: uuid().array().notNull().default([]),
    /** Who brought it in. */
    actor: text().notNull(),
    createdAt: at().notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.importId] })],
);

/**
 * A row that was sent and is not kept yet; of players who were erased since none is. The table is unlogged (migration 0023): a database that breaks down
 * loses what stands aside, which is told, and sent again with its file.
 */
export const importRow = pgTable(
  'import_row',
  {
    academyId: text().notNull(),
    importId: uuid().notNull(),
    sessionId: uuid().notNull(),
    line: integer().notNull(),
    playerId: uuid().notNull(),
    /** What it says, in the shape of db/queries/imports.ts; rows do not stay for long. */
    says: json().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.importId, t.sessionId, t.line] }),
    foreignKey({ columns: [t.academyId, t.importId], foreignColumns: [importFile.academyId, importFile.importId] }).onDelete('cascade'),
  ],
);

/** The sessions in which something is by a file. */
export const importSession = pgTable(
  'import_session',
  { academyId: academyId(), importId: uuid().notNull(), sessionId: uuid().notNull() },
  (t) => [
    primaryKey({ columns: [t.academyId, t.importId, t.sessionId] }),
    foreignKey({ columns: [t.academyId, t.importId], foreignColumns: [importFile.academyId, importFile.importId] }).onDelete('cascade'),
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
  ],
);
