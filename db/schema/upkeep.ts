import { index, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { academyId, at } from './columns';

/** A phone or browser that handed in balls, and when it was last heard of: to within minutes, so that a ball costs no more. */
export const device = pgTable(
  'device',
  {
    academyId: academyId(),
    deviceId: uuid().notNull(),
    /** Who used it last, as with all facts. */
    actor: text().notNull(),
    firstAt: at().notNull().defaultNow(),
    lastAt: at().notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.deviceId] }), index('device_by_last').on(t.academyId, t.lastAt)],
);

/** Something said about a ball that will never be stored, and why; not what it was. Kept for 90 days. */
export const refusedEvent = pgTable(
  'refused_event',
  {
    academyId: academyId(),
    eventId: uuid().notNull(),
    sessionId: uuid().notNull(),
    actor: text().notNull(),
    why: text().notNull(),
    refusedAt: at().notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.eventId] }), index('refused_event_by_time').on(t.academyId, t.refusedAt)],
);
