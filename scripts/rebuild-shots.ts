import { openDb } from '@/db/client';
import { rebuildShots } from '@/db/queries/projection';
import { authOrganization, session } from '@/db/schema';
import { eq } from 'drizzle-orm';

/** Makes `shot` again from `shot_event`, academy by academy. */
const { db, pool } = openDb(process.env.DATABASE_URL ?? '', { patient: true });
try {
  for (const { id } of await db.select({ id: authOrganization.id }).from(authOrganization)) {
    const of = await db.$count(session, eq(session.academyId, id));
    const balls = await rebuildShots(db, { kind: 'program', academyId: id }, (done) =>
      console.log(`academy ${id}: ${done.sessions} of ${of} sessions, ${done.balls} balls`),
    );
    console.log(`academy ${id}: ${balls} balls`);
  }
} finally {
  await pool.end();
}
