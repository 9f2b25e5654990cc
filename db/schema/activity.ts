import { bigint, index, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { academyId, at } from './columns';

/**
 * Who changed, or looked at, what: a row for each time. Only ever added to; the database itself refuses to change a row, and to remove one that is
 * not a year old (migration 0032). Names are looked up when it is read, so that nobody who was erased is named.
 */
export const activity = pgTable(
  'activity',
  {
    academyId: academyId(),
    activityId: bigint({ mode: 'number' }).generatedAlwaysAsIdentity(),
    happenedAt: at().notNull().defaultNow(),
    /** As with all facts: a user, a link, or the program. */
    actor: text().notNull(),
    /** What was done (core/people/activity.ts). */
    what: text().notNull(),
    /** The id of what it was done with; null: of the academy as a whole. */
    about: text(),
    /** What came of it, in a word: a role, a date. Never a name. */
    more: text(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.activityId] }), index('activity_by_about').on(t.academyId, t.about, t.activityId)],
);
