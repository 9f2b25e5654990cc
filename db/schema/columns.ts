import { versionOf, type DocumentKind } from '@/core/document';
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

/** A document with a version of its own, brought to the present one as it is read; what is stored says its version. */
export const document = <T extends object>({ version, read }: DocumentKind<T>) =>
  customType<{ data: T; driverData: unknown }>({
    dataType: () => 'jsonb',
    toDriver: (value) => JSON.stringify({ ...value, version: Math.max(version, versionOf(value)) }),
    fromDriver: read,
  })();
