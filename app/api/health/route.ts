import { sql } from 'drizzle-orm';
import { database } from '@/server/db';

export const dynamic = 'force-dynamic';

/** Whether the program and its database answer. */
export async function GET() {
  const ok = await database()
    .execute(sql`select 1`)
    .then(() => true)
    .catch(() => false);
  return Response.json({ ok }, { status: ok ? 200 : 503 });
}
