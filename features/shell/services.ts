import 'server-only';
import { auth } from '@/server/auth';
import { databaseAnswers } from '@/server/db';
import { doorsEnded } from '@/server/live';

/**
 * What is open of the sign-in service: what the program's own pages call. The library has more, with which one could delete an academy or
 * join one; all else is not there.
 */
const SIGN_OUT = 'POST /api/auth/sign-out';
const OPEN = ['POST /api/auth/sign-in/email', 'POST /api/auth/sign-up/email', SIGN_OUT];

/** The sign-in service, as a route calls it. */
export async function answerAuth(request: Request): Promise<Response> {
  const asked = `${request.method} ${new URL(request.url).pathname}`;
  if (!OPEN.includes(asked)) return Response.json({ error: 'Not found.' }, { status: 404 });
  const answer = await auth().handler(request);
  if (asked === SIGN_OUT) doorsEnded();
  return answer;
}

/** Whether the program and its database answer. */
export async function answerHealth(): Promise<Response> {
  const ok = await databaseAnswers();
  return Response.json({ ok }, { status: ok ? 200 : 503 });
}
