import { storedHours, storedRuns } from '@/core/hour/stored-hours';
import { storedSchools } from '@/core/hour/school';
import { date, foreignKey, index, integer, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import { academyId, at, document } from './columns';
import { game } from './games';
import { player } from './people';

/** A planned session of practice. */
export const hour = pgTable(
  'hour',
  {
    academyId: academyId(),
    hourId: uuid().notNull(),
    /** As the document says it: the day for which it is meant; null: whenever. */
    day: date({ mode: 'string' }),
    hour: document(storedHours).notNull(),
    createdAt: at().notNull().defaultNow(),
    /** When it was last saved: the next change is based on it. */
    savedAt: at().notNull().defaultNow(),
    archivedAt: at(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.hourId] }), index('hour_by_day').on(t.academyId, t.day)],
);

/** For whom it is. */
export const hourPlayer = pgTable(
  'hour_player',
  { academyId: academyId(), hourId: uuid().notNull(), playerId: uuid().notNull(), position: integer().notNull() },
  (t) => [
    primaryKey({ columns: [t.academyId, t.hourId, t.playerId] }),
    index('hour_player_by_player').on(t.academyId, t.playerId),
    foreignKey({ columns: [t.academyId, t.hourId], foreignColumns: [hour.academyId, hour.hourId] }).onDelete('cascade'),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);

/** The games of its parts: what it takes to run it. */
export const hourGame = pgTable('hour_game', { academyId: academyId(), hourId: uuid().notNull(), gameId: uuid().notNull() }, (t) => [
  primaryKey({ columns: [t.academyId, t.hourId, t.gameId] }),
  index('hour_game_by_game').on(t.academyId, t.gameId),
  foreignKey({ columns: [t.academyId, t.hourId], foreignColumns: [hour.academyId, hour.hourId] }).onDelete('cascade'),
  foreignKey({ columns: [t.academyId, t.gameId], foreignColumns: [game.academyId, game.gameId] }).onDelete('cascade'),
]);

/** How it was done, as a device tells it. */
export const hourRun = pgTable(
  'hour_run',
  {
    academyId: academyId(),
    runId: uuid().notNull(),
    hourId: uuid().notNull(),
    run: document(storedRuns).notNull(),
    /** As the document counts: of one run the newest is kept. */
    change: integer().notNull(),
    /** When it began, by this server's clock at the earliest telling. */
    startedAt: at().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.runId] }),
    index('hour_run_by_hour').on(t.academyId, t.hourId),
    foreignKey({ columns: [t.academyId, t.hourId], foreignColumns: [hour.academyId, hour.hourId] }).onDelete('cascade'),
  ],
);

/** A coach's own way of dividing an hour. */
export const school = pgTable(
  'school',
  {
    academyId: academyId(),
    schoolId: uuid().notNull(),
    school: document(storedSchools).notNull(),
    createdAt: at().notNull().defaultNow(),
  },
  (t) => [primaryKey({ columns: [t.academyId, t.schoolId] })],
);
