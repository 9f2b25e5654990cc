import { customType, doublePrecision, text, timestamp } from 'drizzle-orm/pg-core';
import { authOrganization } from './auth';

/** The first column of every table of ours, of every primary key and of every index: one academy never meets another. */
export const academyId = () =>
  text()
    .notNull()
    .references(() => authOrganization.id, { onDelete: 'cascade' });

/** A moment, with its time zone. */
export const at = () => timestamp({ withTimezone: true });

/** A length in metres, on the grid of 0.0001 m. */
export const metres = () => doublePrecision();

/**
 * A document with a version of its own, brought to the present one as it is read.
 * @param read from what was stored by any program
 */
export const document = <T>(read: (stored: unknown) => T) =>
  customType<{ data: T; driverData: unknown }>({
    dataType: () => 'jsonb',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: read,
  })();
