import type { Brief } from '@/core/board/brief';
import type { KeptSkills } from '@/core/board/squad';
import type { KeptStrays } from '@/core/tools/strays';
import type { OwnReference } from '@/core/formats/reference-table';
import { doublePrecision, foreignKey, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea';
import { academyId, at } from './columns';
import { player } from './people';

/** A coach's own yardstick: expected strokes by skill cell. */
export const reference = pgTable(
  'reference',
  {
    academyId: academyId(),
    name: text().notNull(),
    expected: jsonb().$type<OwnReference>().notNull(),
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
    /** By which version of the model; those kept before there were versions are of none. */
    modelVersion: integer().notNull().default(0),
    evidenceRev: integer().notNull(),
    level: doublePrecision().notNull(),
    /** null: balls of every age weigh alike. */
    halfLifeDays: integer(),
    /** From when ages are counted. */
    asOf: at().notNull(),
    /** The draws, as 32-bit floats one after the other. */
    draws: bytea().notNull(),
    /** What a phone carries of it; null where it was kept before phones did. */
    strays: jsonb().$type<KeptStrays>(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.playerId] }),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** A player in a line, kept only to save time: good as long as `madeFrom` says what it would be made from now. */
export const brief = pgTable(
  'brief',
  {
    academyId: academyId(),
    playerId: uuid().notNull(),
    madeFrom: text().notNull(),
    brief: jsonb().$type<Brief>().notNull(),
    /** What the squad board shows; null where it was kept before that was kept too. */
    skills: jsonb().$type<KeptSkills>(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.playerId] }),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);
