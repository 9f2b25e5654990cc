import 'server-only';
import { z } from 'zod';
import type { Bundle } from '@/core/game/bundle';
import { shotBatchSchema } from '@/core/shot/shot';
import { coachForSession, type Desk } from '@/server/actor';
import { RefusedBatch } from '@/server/data';
import { log } from '@/server/log';

const MOST_BYTES = 1_000_000;

function refuse(status: number, error: string): Response {
  return Response.json({ error }, { status });
}

/** Answers with all that a device needs to play a session. */
export async function answerBundle(sessionId: string): Promise<Response> {
  const id = z.uuid().safeParse(sessionId);
  if (!id.success) return refuse(400, 'This is no session.');
  const desk = await coachForSession(id.data);
  if (desk === 'signed out') return refuse(401, 'Sign in first.');
  const bundle = desk && (await bundleOf(desk, id.data));
  if (!bundle) return refuse(404, 'There is no such session.');
  return Response.json(bundle, { headers: { 'cache-control': 'no-store' } });
}

async function bundleOf({ data, academy }: Desk, sessionId: string): Promise<Bundle | null> {
  const found = await data.getSession(sessionId);
  if (!found) return null;
  const { session, players, entrants } = found;
  return {
    academy: { slug: academy.slug, name: academy.name },
    sessionId,
    gameId: session.gameId,
    startedAt: session.startedAt.toISOString(),
    spec: session.spec,
    players: await Promise.all(
      players.map(async ({ playerId, name, handed, units }, i) => ({
        playerId,
        name,
        handed,
        units,
        entrant: entrants[i]!,
        ...(await data.bagOf(playerId)),
        best: await data.bestBefore(session, playerId),
      })),
    ),
    events: await data.eventsOfSession(sessionId),
  };
}

/** Ends a session before its last ball, or takes that back. */
export async function answerStopped(sessionId: string, request: Request): Promise<Response> {
  const id = z.uuid().safeParse(sessionId);
  const body = z.strictObject({ stopped: z.boolean() }).safeParse(parsed(await request.text()));
  if (!id.success || !body.success) return refuse(400, 'Say which session, and whether it is stopped.');
  const desk = await coachForSession(id.data);
  if (desk === 'signed out') return refuse(401, 'Sign in first.');
  if (!desk) return refuse(404, 'There is no such session.');
  await (body.data.stopped ? desk.data.stopSession(id.data) : desk.data.resumeSession(id.data));
  return Response.json(body.data);
}

/** Takes in a batch of what a device recorded. The same batch may come any number of times. */
export async function answerShotEvents(request: Request): Promise<Response> {
  const text = await request.text();
  if (text.length > MOST_BYTES) return refuse(413, 'This batch is too large: send at most 200 balls at once.');
  const batch = shotBatchSchema.safeParse(parsed(text));
  if (!batch.success) {
    const issue = batch.error.issues[0]!;
    return refuse(400, `${issue.path.join('.') || 'batch'}: ${issue.message}`);
  }
  const { sessionId, events } = batch.data;
  const desk = await coachForSession(sessionId);
  if (desk === 'signed out') return refuse(401, 'Sign in first.');
  if (!desk) return refuse(404, 'There is no such session.');
  try {
    const stored = await desk.data.takeIn(sessionId, events);
    return Response.json({ stored, known: events.length - stored });
  } catch (error) {
    if (error instanceof RefusedBatch) return refuse(409, error.message);
    log.error({ err: error }, 'a batch could not be stored');
    return refuse(503, 'The balls could not be stored now; they are kept on the device and sent again.');
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
