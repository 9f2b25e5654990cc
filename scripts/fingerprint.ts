import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { gather } from '@/core/skill/evidence';
import { believe, diagnose } from '@/core/skill/diagnose';
import { modelOf } from '@/core/skill/model';
import { shippedReference } from '@/core/golf/reference';
import { openDb } from '@/db/client';
import { tallyBalls } from '@/db/queries/evidence';
import { listPlayers } from '@/db/queries/players';
import { authOrganization } from '@/db/schema';

/**
 * What is in a database, as JSON: of each table how many rows, and a figure of all of them; of each player's board a figure of its tally and of what is
 * made of it. Two databases that hold the same say the same. Tables that are named are left out: `fingerprint.ts backup ...`.
 */
const without = process.argv.slice(2);
const { db, pool } = openDb(process.env.DATABASE_URL ?? '', { patient: true });
const figureOf = (value: unknown) => createHash('sha256').update(JSON.stringify(value)).digest('hex').slice(0, 16);
const model = modelOf(shippedReference);
const asOf = new Date('2026-11-01T12:00:00Z');

const said: Record<string, string> = {};
try {
  const tables = await db.execute<{ name: string }>(
    sql`select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  for (const { name } of tables.rows.filter((row) => !without.includes(row.name))) {
    const { rows } = await db.execute<{ rows: number; sum: string | null }>(
      sql`select count(*)::int as rows, md5(string_agg(md5(t::text), '' order by md5(t::text))) as sum from ${sql.identifier(name)} t`,
    );
    said[name] = `${rows[0]!.rows} rows ${rows[0]!.sum ?? ''}`;
  }
  for (const { id } of await db.select({ id: authOrganization.id }).from(authOrganization)) {
    const actor = { kind: 'program', academyId: id } as const;
    for (const { player } of await listPlayers(db, actor)) {
      const tally = await tallyBalls(db, actor, player.playerId, { asOf }, null);
      const evidence = gather(tally);
      const { level } = player;
      const diagnosis = diagnose(model, believe(evidence, model, level), evidence, { level, mix: model.mix(level) });
      said[`board of ${player.name}`] = `${tally.length} kinds of balls ${figureOf([tally, diagnosis])}`;
    }
  }
  console.log(JSON.stringify(said));
} finally {
  await pool.end();
}
