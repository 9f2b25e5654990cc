import 'server-only';
import { databaseAnswers } from '@/server/db';

/** The sign-in service, as a route calls it. */
export { answerAuth } from '@/server/sign-in';

/** Whether the program and its database answer. */
export async function answerHealth(): Promise<Response> {
  const ok = await databaseAnswers();
  return Response.json({ ok }, { status: ok ? 200 : 503 });
}
