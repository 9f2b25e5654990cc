import { shotBatchSchema } from '@/core/shot/shot';
import { RefusedBatch, takeIn } from '@/db/queries/shots';
import { coachForSession } from '@/server/actor';
import { database } from '@/server/db';
import { log } from '@/server/log';

export const dynamic = 'force-dynamic';

const MOST_BYTES = 1_000_000;

/** Takes in a batch of what a device recorded. The same batch may come any number of times. */
export async function POST(request: Request) {
  const text = await request.text();
  if (text.length > MOST_BYTES) return refuse(413, 'This batch is too large: send at most 200 balls at once.');
  const batch = shotBatchSchema.safeParse(parsed(text));
  if (!batch.success) {
    const issue = batch.error.issues[0]!;
    return refuse(400, `${issue.path.join('.') || 'batch'}: ${issue.message}`);
  }
  const { sessionId, events } = batch.data;
  const found = await coachForSession(sessionId);
  if (found === 'signed out') return refuse(401, 'Sign in first.');
  if (!found) return refuse(404, 'There is no such session.');
  try {
    const stored = await takeIn(database(), found.actor, sessionId, events);
    return Response.json({ stored, known: events.length - stored });
  } catch (error) {
    if (error instanceof RefusedBatch) return refuse(409, error.message);
    log.error({ err: error }, 'a batch could not be stored');
    return refuse(503, 'The balls could not be stored now; they are kept on the device and sent again.');
  }
}

function refuse(status: number, error: string) {
  return Response.json({ error }, { status });
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
