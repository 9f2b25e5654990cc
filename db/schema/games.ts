import { storedGames } from '@/core/game/stored-games';
import { storedPlans } from '@/core/green/stored-plans';
import { DISTANCE_SOURCES, storedConditions } from '@/core/shot/conditions';
import { sql } from 'drizzle-orm';
import { boolean, date, doublePrecision, foreignKey, index, integer, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea';
import { academyId, at, document, metres } from './columns';
import { player } from './people';

export const green = pgTable(
  'green',
  { academyId: academyId(), greenId: uuid().notNull(), createdAt: at().notNull().defaultNow(), archivedAt: at() },
  (t) => [primaryKey({ columns: [t.academyId, t.greenId] })],
);

/** A green as it was at one time. A version on which was played is never changed. */
export const greenVersion = pgTable(
  'green_version',
  {
    academyId: academyId(),
    greenId: uuid().notNull(),
    version: integer().notNull(),
    plan: document(storedPlans).notNull(),
    createdAt: at().notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.greenId, t.version] }),
    foreignKey({ columns: [t.academyId, t.greenId], foreignColumns: [green.academyId, green.greenId] }).onDelete('cascade'),
  ],
);

export const game = pgTable(
  'game',
  {
    academyId: academyId(),
    gameId: uuid().notNull(),
    createdAt: at().notNull().defaultNow(),
    archivedAt: at(),
    /** Whether it stands in the lists: one that was made for a planned hour does not, until somebody keeps it. */
    listed: boolean().notNull().default(true),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.gameId] })],
);

/** A game as it was at one time. Results refer to a version; a version with results is never changed. */
export const gameVersion = pgTable(
  'game_version',
  {
    academyId: academyId(),
    gameId: uuid().notNull(),
    version: integer().notNull(),
    spec: document(storedGames).notNull(),
    /** The plan on which its stations stand; null for a game on no green. */
    greenId: uuid(),
    greenVersion: integer(),
    createdAt: at().notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.gameId, t.version] }),
    index('game_version_by_green').on(t.academyId, t.greenId),
    foreignKey({ columns: [t.academyId, t.gameId], foreignColumns: [game.academyId, game.gameId] }).onDelete('cascade'),
    foreignKey({
      columns: [t.academyId, t.greenId, t.greenVersion],
      foreignColumns: [greenVersion.academyId, greenVersion.greenId, greenVersion.version],
    }),
  ],
);

/** One going-out: a game played, with the spec as it was, so that a later change of the game changes nothing here. */
export const session = pgTable(
  'session',
  {
    academyId: academyId(),
    sessionId: uuid().notNull(),
    /** Null for balls recorded without a game. */
    gameId: uuid(),
    gameVersion: integer(),
    spec: document(storedGames).notNull(),
    /** Of the spec, to be found by. */
    title: text()
      .notNull()
      .generatedAlwaysAs(sql`coalesce(spec ->> 'title', '')`),
    greenId: uuid(),
    greenVersion: integer(),
    conditions: document(storedConditions)
      .notNull()
      .default(sql`'{}'::jsonb`),
    startedAt: at().notNull().defaultNow(),
    /** A fact: somebody ended it before its last ball. */
    stoppedAt: at(),
    /** Derived, and rebuilt with the shots: the moment of the ball with which everybody was through. */
    completedAt: at(),
    /** Derived: how many balls were recorded, those of a total each by itself. */
    balls: integer().notNull().default(0),
    /** Derived: with fewer balls than this it can't be over, and nobody need look; null: no number of balls ends it. */
    overFrom: integer().default(0),
    /** What the coach files it under. */
    tags: text()
      .array()
      .notNull()
      .default(sql`'{}'::text[]`),
    /** The file by which it came in; null: it was played here. */
    importId: uuid(),
    /** A result without balls, as it was noted: the unit of the score as somebody wrote it; null: what was scored hangs on balls. */
    given: text(),
    /** An older program ended it and kept no scores: they are still to be worked out (`settleDue`). */
    scoresDue: boolean().notNull().default(false),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.sessionId] }),
    index('session_by_game').on(t.academyId, t.gameId, t.gameVersion),
    index('session_by_game_and_start').on(t.academyId, t.gameId, t.startedAt),
    index('session_by_start').on(t.academyId, t.startedAt, t.sessionId),
    index('session_by_title').on(t.academyId, t.title, t.sessionId),
    // Few are filed under anything.
    index('session_tagged')
      .on(t.academyId)
      .where(sql`tags <> '{}'`),
    // Few go on at a time, among all that ever were.
    index('session_going')
      .on(t.academyId, t.startedAt)
      .where(sql`completed_at is null and stopped_at is null`),
    foreignKey({
      columns: [t.academyId, t.gameId, t.gameVersion],
      foreignColumns: [gameVersion.academyId, gameVersion.gameId, gameVersion.version],
    }),
    foreignKey({
      columns: [t.academyId, t.greenId, t.greenVersion],
      foreignColumns: [greenVersion.academyId, greenVersion.greenId, greenVersion.version],
    }),
  ],
);

/** Who plays in a session, in which order, and what the game took from each when it started. */
export const sessionPlayer = pgTable(
  'session_player',
  {
    academyId: academyId(),
    sessionId: uuid().notNull(),
    playerId: uuid().notNull(),
    position: integer().notNull(),
    level: doublePrecision().notNull(),
    /** Metres of one unit in which the zones are measured; null: as the game says. */
    unitM: metres(),
    /** By how much zones are larger than drawn. */
    scale: doublePrecision().notNull().default(1),
    /** Of the session, set with the row: what was scored is looked up by game. */
    gameId: uuid(),
    gameVersion: integer(),
    /** A head start, in what the score counts. */
    allowance: doublePrecision().notNull().default(0),
    /**
     * Derived: what the player scored alone in a game played to its end, without a head start; null before that, where a score is won from
     * others, and where all was perfect early.
     */
    score: doublePrecision(),
    /** Derived: whether the goal was met when it was over; null before that, where there is none, and where it was still open. */
    met: boolean(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.sessionId, t.playerId] }),
    index('session_player_by_player').on(t.academyId, t.playerId),
    index('session_player_by_score')
      .on(t.academyId, t.gameId, t.gameVersion, t.score)
      .where(sql`score is not null`),
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** How far a station really was on the day, and how that is known. A correction touches the session, never the game. */
export const sessionStation = pgTable(
  'session_station',
  {
    academyId: academyId(),
    sessionId: uuid().notNull(),
    stationKey: text().notNull(),
    distanceM: metres().notNull(),
    source: text({ enum: DISTANCE_SOURCES }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.sessionId, t.stationKey] }),
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
  ],
);

/** The conditions of a day, said once: sessions that start on it begin with them. */
export const dayConditions = pgTable(
  'day_conditions',
  {
    academyId: academyId(),
    /** As the academy's time zone has it. */
    day: date({ mode: 'string' }).notNull(),
    conditions: document(storedConditions).notNull(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.day] })],
);

/** The key of a device that reads distances for one session: only the hash of its token is kept. */
export const readerKey = pgTable(
  'reader_key',
  {
    academyId: academyId(),
    keyId: uuid().notNull(),
    sessionId: uuid().notNull(),
    tokenHash: bytea().notNull(),
    createdAt: at().notNull().defaultNow(),
    expiresAt: at().notNull(),
    revokedAt: at(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.keyId] }),
    index('reader_key_token').on(t.academyId, t.tokenHash),
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
  ],
);

/** A distance that such a device read: an offer, and no more, until a player takes it for a ball. */
export const reading = pgTable(
  'reading',
  {
    academyId: academyId(),
    readingId: uuid().notNull(),
    keyId: uuid().notNull(),
    sessionId: uuid().notNull(),
    /** Counts up on the device. */
    seq: integer().notNull(),
    distanceM: metres().notNull(),
    receivedAt: at().notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.readingId] }),
    index('reading_by_session').on(t.academyId, t.sessionId, t.receivedAt),
    foreignKey({ columns: [t.academyId, t.keyId], foreignColumns: [readerKey.academyId, readerKey.keyId] }).onDelete('cascade'),
  ],
);
