import { storedWeeks } from '@/core/weeks/stored-weeks';
import { foreignKey, index, integer, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import { academyId, at, document } from './columns';
import { player } from './people';

/** Practice that is planned for some weeks; its days become hours under the ids that stand in the document. */
export const weeks = pgTable(
  'weeks',
  {
    academyId: academyId(),
    weeksId: uuid().notNull(),
    weeks: document(storedWeeks).notNull(),
    createdAt: at().notNull().defaultNow(),
    /** When it was last saved: the next change is based on it. */
    savedAt: at().notNull().defaultNow(),
    archivedAt: at(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.weeksId] })],
);

/** For whom they are. */
export const weeksPlayer = pgTable(
  'weeks_player',
  { academyId: academyId(), weeksId: uuid().notNull(), playerId: uuid().notNull(), position: integer().notNull() },
  (t) => [
    primaryKey({ columns: [t.academyId, t.weeksId, t.playerId] }),
    index('weeks_player_by_player').on(t.academyId, t.playerId),
    foreignKey({ columns: [t.academyId, t.weeksId], foreignColumns: [weeks.academyId, weeks.weeksId] }).onDelete('cascade'),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);
