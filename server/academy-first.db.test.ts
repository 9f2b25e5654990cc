/** @jest-environment node */
import { drizzle } from 'drizzle-orm/node-postgres';
import type { Actor } from '@/db/actor';
import type { Db } from '@/db/client';
import * as schema from '@/db/schema';
import { academies } from '@/db/testing/academy';
import { LEAVES } from './activity';
import { QUERIES, type QueryName } from './queries';
import { ASKED, twoGroups } from './testing/ask-everything';
import './testing/on-database';

/*
 * One key leads: whatever is asked about an academy names it, so that the tables can lie apart by academy (docs/scaling.md).
 */
const { db, pool, academy } = academies('first', 39_000);
afterAll(() => pool.end());
jest.setTimeout(240_000);

type Query = (database: Db, actor: Actor, ...asked: unknown[]) => Promise<unknown>;
const statements: string[] = [];
const logged = drizzle(pool, { schema, casing: 'snake_case', logger: { logQuery: (text) => statements.push(text) } }) as Db;
class Undo extends Error {}

/** These have connections of their own, and copy rows with the academy in each. */
const BY_THEMSELVES: readonly QueryName[] = ['readTables', 'readPlayerTables', 'keepTables', 'stageRows', 'keepRows'];

/** What belongs to no academy: transactions, the name behind the key of an account, when all of the database was last backed up, and how large its tables are. */
const APART = [
  /^(begin|commit|rollback|savepoint|release|set) ?/i,
  /^select pg_current_xact_id_if_assigned/,
  /^select ("id", )?"name" from "auth_user" where (false|"auth_user"\."id")/,
  / from "backup" /,
  /pg_total_relation_size/,
];

test('no statement of any query leaves the academy out', async () => {
  const at = await twoGroups({ db, academy });
  const without: Record<string, string[]> = {};
  for (const name of (Object.keys(LEAVES) as QueryName[]).filter((one) => !BY_THEMSELVES.includes(one))) {
    statements.length = 0;
    await logged
      .transaction(async (tx) => {
        await (QUERIES[name] as Query)(tx, at.actor, ...ASKED[name](at));
        throw new Undo();
      })
      .catch((error: unknown) => {
        // A reading of a test's says too little to be kept.
        if (!(error instanceof Undo) && name !== 'takeReading') throw error;
      });
    const left = statements.filter(
      (text) => !APART.some((one) => one.test(text)) && !/academy_id|organization_id|hold_session\(\$1|take_new\(\$1/.test(text),
    );
    if (left.length > 0) without[name] = left;
  }
  expect(without).toEqual({});
});
