import { bigint, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { at } from './columns';

/** When a backup of everything was made, or why it failed (`npm run backup`); of the installation, not of one academy. */
export const backup = pgTable(
  'backup',
  {
    backupId: bigint({ mode: 'number' }).generatedAlwaysAsIdentity(),
    begunAt: at().notNull(),
    endedAt: at().notNull(),
    /** How large it is; null: it failed. */
    bytes: bigint({ mode: 'number' }),
    /** Why; null: it was made. */
    failure: text(),
  },
  (t) => [primaryKey({ columns: [t.backupId] })],
);
