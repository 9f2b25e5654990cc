import { sql } from 'drizzle-orm';
import { STROKES_AS } from '@/core/units/strokes';
import { HALF_LIFE_DAYS } from '@/core/skill/half-life';
import { check, doublePrecision, foreignKey, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea';
import { authUser } from './auth';
import { academyId, at, metres } from './columns';

/** What holds for a whole academy: the coach's units and the time zone in which dates are said. */
export const academy = pgTable(
  'academy',
  {
    academyId: academyId(),
    units: text({ enum: ['imperial', 'metric'] }).notNull(),
    timeZone: text().notNull(),
    /** The coach's own measures, in metres, with which games can be set up; null where nobody measured them. */
    paceM: metres(),
    clubM: metres(),
    putterM: metres(),
    flagstickM: metres(),
    shoeM: metres(),
    /** After how many days a ball counts half for what is believed of a skill; null: never less. */
    halfLifeDays: integer().default(HALF_LIFE_DAYS),
    /** How strokes against a level are shown: lost, a minus gains; or gained, a plus gains. */
    strokesAs: text({ enum: STROKES_AS }).notNull().default('lost'),
    /** For how many years sessions are kept; null: for ever. */
    keepYears: integer(),
    /** When all of it is deleted; null: not at all. */
    deleteAt: at(),
  },
  (t) => [primaryKey({ columns: [t.academyId] })],
);

/** The only place where a name lives. */
export const player = pgTable(
  'player',
  {
    academyId: academyId(),
    playerId: uuid().notNull(),
    /** A name or a nickname. */
    name: text().notNull(),
    /** The reference level against which the player is read. */
    level: doublePrecision().notNull(),
    handed: text({ enum: ['right', 'left'] }).notNull(),
    units: text({ enum: ['imperial', 'metric'] }).notNull(),
    /** The player's own measures, in metres; null where nobody measured them. */
    paceM: metres(),
    clubM: metres(),
    putterM: metres(),
    shoeM: metres(),
    /** The player's own names for how far the hands go in a swing, from low to high. */
    swingMarks: jsonb().$type<string[]>().notNull().default([]),
    /** How often each skill cell comes up in 18 holes, where it differs from the level's: uses by cell key. */
    roundMix: jsonb().$type<Record<string, number>>(),
    /** The shots that the player dreads, by their own rating from 1 to 5: by shot type and surface. */
    dreads: jsonb().$type<Record<string, number>>(),
    /** The year in which they were born, of those who are under age; null: nobody said. */
    bornYear: integer(),
    /** What the coach writes under the player's report. */
    reportWords: text().notNull().default(''),
    /** Counts up whenever the evidence of the player changes. */
    evidenceRev: integer().notNull().default(0),
    /** Derived, and rebuilt with the shots: how many balls are on record, those of a total each by itself. */
    balls: integer().notNull().default(0),
    /** Derived: when the newest of them was played; null: there is none. */
    lastAt: at(),
    createdAt: at().notNull().defaultNow(),
    /** When the coach last saved the player's form: the next change is based on it. */
    savedAt: at().notNull().defaultNow(),
    /** Put away: out of the lists, with all records kept. */
    archivedAt: at(),
    /** Since when they are being erased: nothing is taken from them any more, and soon the row is gone. */
    erasedAt: at(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.playerId] }), check('player_level', sql`${t.level} between -10 and 54`)],
);

export const club = pgTable(
  'club',
  {
    academyId: academyId(),
    playerId: uuid().notNull(),
    clubId: uuid().notNull(),
    label: text().notNull(),
    loftDeg: doublePrecision(),
    position: integer().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.playerId, t.clubId] }),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** Some of the players, who are coached together, such as "Tuesday juniors". */
export const playerGroup = pgTable(
  'player_group',
  { academyId: academyId(), groupId: uuid().notNull(), name: text().notNull(), createdAt: at().notNull().defaultNow() },
  (t) => [primaryKey({ columns: [t.academyId, t.groupId] })],
);

export const groupPlayer = pgTable(
  'group_player',
  { academyId: academyId(), groupId: uuid().notNull(), playerId: uuid().notNull() },
  (t) => [
    primaryKey({ columns: [t.academyId, t.groupId, t.playerId] }),
    foreignKey({ columns: [t.academyId, t.groupId], foreignColumns: [playerGroup.academyId, playerGroup.groupId] }).onDelete('cascade'),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** Who looks after a group: an assistant sees the players of their groups, and no others. */
export const groupCoach = pgTable(
  'group_coach',
  {
    academyId: academyId(),
    groupId: uuid().notNull(),
    userId: text()
      .notNull()
      .references(() => authUser.id, { onDelete: 'cascade' }),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.groupId, t.userId] }),
    foreignKey({ columns: [t.academyId, t.groupId], foreignColumns: [playerGroup.academyId, playerGroup.groupId] }).onDelete('cascade'),
  ],
);

/** A personal link: only the hash of its token is kept. */
export const playerLink = pgTable(
  'player_link',
  {
    academyId: academyId(),
    linkId: uuid().notNull(),
    playerId: uuid().notNull(),
    tokenHash: bytea().notNull(),
    createdAt: at().notNull().defaultNow(),
    expiresAt: at().notNull(),
    revokedAt: at(),
    lastUsedAt: at(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.linkId] }),
    index('player_link_token').on(t.academyId, t.tokenHash),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);
