import type { ShotEvent } from '@/core/shot/shot';
import {
  COUNTS,
  FINISHES,
  FIRMNESSES,
  MEASURES,
  LANDED_SIDES,
  MISHITS,
  SHAPES,
  SHOT_TYPES,
  SITS,
  STANCES,
  SURFACES,
  SWING_WIDTHS,
  TRAJECTORIES,
} from '@/core/golf/words';
import {
  bigint,
  boolean,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { at, metres } from './columns';
import { session } from './games';

/** Everything that was ever said about a ball, in the order in which it arrived. Only ever added to. */
export const shotEvent = pgTable(
  'shot_event',
  {
    /** It goes with its session, and so with the academy. */
    academyId: text().notNull(),
    /** Made on the device: sending an event twice stores it once. */
    eventId: uuid().notNull(),
    shotId: uuid().notNull(),
    sessionId: uuid().notNull(),
    /** Of the shape of what was said (core/shot/read-event.ts). */
    version: integer().notNull().default(1),
    kind: text({ enum: ['record', 'amend', 'void'] }).notNull(),
    payload: jsonb().$type<ShotEvent['payload']>().notNull(),
    /** Who said it: a user, or later a player's link. */
    actor: text().notNull(),
    /** What a newer program said beside all this; null: nothing. */
    more: jsonb().$type<Record<string, unknown>>(),
    deviceId: uuid().notNull(),
    deviceSeq: integer().notNull(),
    /** What the device's clock said; never used for order. */
    deviceAt: at().notNull(),
    /** By how many milliseconds that clock was behind when this was sent; null where the device did not say. */
    clockBehindMs: bigint({ mode: 'number' }),
    serverSeq: bigint({ mode: 'number' }).generatedAlwaysAsIdentity(),
    receivedAt: at().notNull().defaultNow(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.eventId] }),
    index('shot_event_by_shot').on(t.academyId, t.shotId, t.serverSeq),
    index('shot_event_by_session').on(t.academyId, t.sessionId, t.serverSeq),
    uniqueIndex('shot_event_order').on(t.academyId, t.serverSeq),
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
  ],
);

/** The balls as they are now: a projection of `shot_event`, thrown away and rebuilt at will (`npm run db:rebuild`). */
export const shot = pgTable(
  'shot',
  {
    /** It goes with its session, and so with the academy. */
    academyId: text().notNull(),
    shotId: uuid().notNull(),
    playerId: uuid().notNull(),
    sessionId: uuid().notNull(),
    phase: integer().notNull(),
    stationKey: text().notNull(),
    ballNo: integer().notNull(),
    turnNo: integer().notNull(),
    shotType: text({ enum: SHOT_TYPES }).notNull(),
    surface: text({ enum: SURFACES }).notNull(),
    sit: text({ enum: SITS }).notNull(),
    stance: text({ enum: STANCES }).notNull(),
    trajectory: text({ enum: TRAJECTORIES }),
    shape: text({ enum: SHAPES }),
    swingWidth: text({ enum: SWING_WIDTHS }),
    swingMark: text(),
    clubId: uuid(),
    clubLabel: text(),
    executed: boolean(),
    called: text(),
    nearer: boolean(),
    target: text({ enum: ['hole', 'peg'] }).notNull(),
    distanceM: metres().notNull(),
    holed: boolean().notNull(),
    leftM: metres(),
    leftMinM: metres(),
    leftMaxM: metres(),
    bearingDeg: doublePrecision(),
    measured: text({ enum: MEASURES }).notNull(),
    par: integer(),
    strokes: integer(),
    penalty: integer().notNull(),
    finish: text({ enum: FINISHES }),
    landed: boolean(),
    carryM: metres(),
    landingErrorM: doublePrecision(),
    landedSide: text({ enum: LANDED_SIDES }),
    intendedM: metres(),
    mishit: text({ enum: MISHITS }),
    nBalls: integer().notNull(),
    sumLeftM: metres(),
    counts: text({ enum: COUNTS }).notNull(),
    wind: text(),
    stimpFt: doublePrecision(),
    firmness: text({ enum: FIRMNESSES }),
    note: text(),
    playedAt: at().notNull(),
    /** Of the event that recorded it: the order in which records came in. */
    serverSeq: bigint({ mode: 'number' }).notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.shotId] }),
    index('shot_by_session').on(t.academyId, t.sessionId, t.turnNo, t.serverSeq),
    index('shot_by_player').on(t.academyId, t.playerId, t.shotType, t.surface),
    // Its player has a place in the session: to ask for that too would cost each ball as much again.
    foreignKey({ columns: [t.academyId, t.sessionId], foreignColumns: [session.academyId, session.sessionId] }).onDelete('cascade'),
  ],
);
