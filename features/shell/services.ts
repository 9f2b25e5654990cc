import 'server-only';
import { healthOf } from '@/server/health';

/** The sign-in service, as a route calls it. */
export { answerAuth } from '@/server/sign-in';

/** Whether the program can do its work: its database answers and is up to date, and there is space. */
export async function answerHealth(): Promise<Response> {
  const health = await healthOf();
  return Response.json(health, { status: health.ok ? 200 : 503, headers: { 'cache-control': 'no-store' } });
}
