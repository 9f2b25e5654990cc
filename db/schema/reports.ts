import { storedGivenReports } from '@/core/report/given-report';
import { foreignKey, index, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea';
import { academyId, at, document } from './columns';
import { player } from './people';

/** A report as it was given away: whoever has its link reads it, until it ends. Only the hash of its token is kept. */
export const report = pgTable(
  'report',
  {
    academyId: academyId(),
    reportId: uuid().notNull(),
    /** Whose it is; null: a squad's. */
    playerId: uuid(),
    report: document(storedGivenReports).notNull(),
    tokenHash: bytea().notNull(),
    createdAt: at().notNull().defaultNow(),
    expiresAt: at().notNull(),
    revokedAt: at(),
  },
  (t) => [
    primaryKey({ columns: [t.academyId, t.reportId] }),
    index('report_token').on(t.academyId, t.tokenHash),
    index('report_by_player').on(t.academyId, t.playerId),
    foreignKey({ columns: [t.academyId, t.playerId], foreignColumns: [player.academyId, player.playerId] }).onDelete('cascade'),
  ],
);
