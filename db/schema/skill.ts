import type { ReferenceRow } from '@/core/skill/reference';
import { doublePrecision, foreignKey, integer, jsonb, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea';
import { academyId, at } from './columns';
import { player } from './people';

/** A coach's own reference: rows that stand in for those that ship with the program. None: the shipped ones. */
export const reference = pgTable(
  'reference',
  {
    academyId: academyId(),
    rows: jsonb().$type<ReferenceRow[]>().notNull(),
    /** Counts up with every change. */
    revision: integer().notNull().default(1),
    changedAt: at().notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.academyId] })],
);

/** What is believed of a player after all balls, kept only to save time: good as long as what it was made from is as it was. */
export const posterior = pgTable(
  'posterior',
  {
    academyId: academyId(),
    playerId: uuid().notNull(),
    evidenceRev: integer().notNull(),
    referenceRev: integer().notNull(),
    level: doublePrecision().notNull(),
    /** null: balls of every age weigh alike. */
    halfLifeDays: integer(),
    /** From when ages are counted. */
    asOf: at().notNull(),
    /** The draws, as 32-bit floats one after the other. */
    draws: bytea().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.playerId] }),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);
