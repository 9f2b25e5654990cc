import 'server-only';
import { auth } from '@/server/auth';
import { databaseAnswers } from '@/server/db';

/** The sign-in service, as a route calls it. */
export function answerAuth(request: Request): Promise<Response> {
  return auth().handler(request);
}

/** Whether the program and its database answer. */
export async function answerHealth(): Promise<Response> {
  const ok = await databaseAnswers();
  return Response.json({ ok }, { status: ok ? 200 : 503 });
}
