import 'server-only';
import { auth } from '@/server/auth';
import { databaseAnswers } from '@/server/db';

/**
 * What is open of the sign-in service: what the program's own pages call. The library has more, with which one could delete an academy or
 * join one; all else is not there.
 */
const OPEN = ['sign-in/email', 'sign-up/email', 'sign-out'].map((path) => `POST /api/auth/${path}`);

/** The sign-in service, as a route calls it. */
export async function answerAuth(request: Request): Promise<Response> {
  const asked = `${request.method} ${new URL(request.url).pathname}`;
  return OPEN.includes(asked) ? auth().handler(request) : Response.json({ error: 'Not found.' }, { status: 404 });
}

/** Whether the program and its database answer. */
export async function answerHealth(): Promise<Response> {
  const ok = await databaseAnswers();
  return Response.json({ ok }, { status: ok ? 200 : 503 });
}
