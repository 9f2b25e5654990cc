import { openDb } from '@/db/client';
import { rebuildShots } from '@/db/queries/projection';
import { authOrganization } from '@/db/schema';

/** Makes `shot` again from `shot_event`, academy by academy. */
const { db, pool } = openDb(process.env.DATABASE_URL ?? '', { patient: true });
try {
  for (const { id } of await db.select({ id: authOrganization.id }).from(authOrganization))
    console.log(`academy ${id}: ${await rebuildShots(db, { kind: 'reader', academyId: id })} balls`);
} finally {
  await pool.end();
}
