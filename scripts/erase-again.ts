import { existsSync, readFileSync } from 'node:fs';
import { eq } from 'drizzle-orm';
import { openDb } from '@/db/client';
import { erasePlayer } from '@/db/queries/erase';
import { authOrganization } from '@/db/schema';
import { erasureSchema } from '@/core/people/erasure';

/** Erases again, after a restore, whoever was erased before: by the file that the program keeps beside the backups. */
const [path] = process.argv.slice(2);
const lines = path && existsSync(path) ? readFileSync(path, 'utf8').split('\n').filter(Boolean) : [];
const { db, pool } = openDb(process.env.DATABASE_URL ?? '', { patient: true });
let [players, academies] = [0, 0];
try {
  for (const line of lines) {
    const { academyId, playerId } = erasureSchema.parse(JSON.parse(line));
    if (playerId === null) {
      const { rowCount } = await db.delete(authOrganization).where(eq(authOrganization.id, academyId));
      academies += rowCount ?? 0;
    } else if ((await erasePlayer(db, { kind: 'program', academyId }, playerId)) !== null) players++;
  }
  console.log(`Erased again: ${players} players and ${academies} academies of ${lines.length} that were erased.`);
} catch (error) {
  console.error(error instanceof Error ? error.message : String(error));
  process.exitCode = 1;
} finally {
  await pool.end();
}
