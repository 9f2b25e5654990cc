import { sql } from 'drizzle-orm';
import type { Pool, PoolClient } from 'pg';
import type { Db } from '../client';
import { withCopy } from '../copy';
import { academies } from '../testing/academy';

const { db, pool, academy } = academies('copy', 72_000);
afterAll(() => pool.end());

/** A pool of one connection, with all that it remembers of its statements. */
async function onOne(run: (one: Db, client: PoolClient) => Promise<void>) {
  const client = await pool.connect();
  const release = client.release.bind(client);
  client.release = () => undefined;
  try {
    await run({ $client: { connect: async () => client } as unknown as Pool } as unknown as Db, client);
  } finally {
    release();
  }
}

test('many rows are found by their keys, though the connection knows the tables from when there were few', async () => {
  const at = await academy();
  const MANY = 1000;
  const places = `insert into session_player (academy_id, session_id, player_id, position, level)
    select academy_id, session_id, '${at.playerId}', 0, 18 from session s where academy_id = '${at.actor.academyId}'
    and not exists (select 1 from session_player p where p.academy_id = s.academy_id and p.session_id = s.session_id)`;
  const sessions = (n: number) => `insert into session (academy_id, session_id, game_id, game_version, spec, started_at)
    select academy_id, gen_random_uuid(), game_id, game_version, spec, now() from session, generate_series(1, ${n})
    where academy_id = '${at.actor.academyId}' and session_id = '${at.sessionId}'`;
  await onOne(async (one, client) => {
    for (let n = 0; n < 12; n++) await client.query(`${sessions(1)}; ${places}`);
    const looked = await withCopy(one, async (tx) => {
      await tx.execute(sql.raw(sessions(MANY)));
      const read = async () =>
        Number(
          (
            await tx.execute(
              sql`select coalesce(idx_tup_fetch, 0) + coalesce(seq_tup_read, 0) as n from pg_stat_xact_user_tables where relname = 'session'`,
            )
          ).rows[0]!.n,
        );
      const before = await read();
      await tx.execute(sql.raw(places));
      return (await read()) - before;
    });
    // Read as a whole, found by the check and by what notes the game, and no more than that a few times.
    expect(looked).toBeLessThan(10 * MANY);
  });
  expect((await db.execute(sql`select count(*)::int as n from session_player where academy_id = ${at.actor.academyId}`)).rows[0]).toEqual({
    n: MANY + 13,
  });
});
