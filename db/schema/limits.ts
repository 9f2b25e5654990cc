import { bigint, integer, pgTable, varchar } from 'drizzle-orm/pg-core';

/**
 * How often somebody did what is limited, for all instances of the program; who it is can't be read out of it. Its shape is that of the library
 * that counts (server/limiter.ts), which also deletes what is over.
 */
export const rateLimit = pgTable('rate_limit', {
  key: varchar({ length: 255 }).primaryKey(),
  points: integer().notNull().default(0),
  /** Milliseconds since 1970; null: never. */
  expire: bigint({ mode: 'number' }),
});
