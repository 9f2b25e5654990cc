import type { Db } from '@/db/client';

/*
 * The program's queries on the database of a test, without what stands beside it: nobody follows a session live, and what is erased is noted nowhere.
 * To be imported before what asks.
 */
const mockHeld: { db?: Db } = {};
jest.mock('../db', () => ({ database: () => mockHeld.db, WRITERS: 2 }));
jest.mock('../replica', () => ({ reading: (ask: (db: unknown) => unknown) => ask(mockHeld.db) }));
jest.mock('../erasures', () => ({ keepErasure: () => Promise.resolve() }));
jest.mock('../live', () => ({
  announce: () => undefined,
  doorsEnded: () => undefined,
  hearDoors: () => ({ works: () => false, ended: () => 0 }),
}));

/** Has the queries ask this database. */
export function askOn(db: Db): void {
  mockHeld.db = db;
}
