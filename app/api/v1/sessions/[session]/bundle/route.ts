import { z } from 'zod';
import { bundleFor } from '@/features/play/server/bundle';
import { coachForSession } from '@/server/actor';

export const dynamic = 'force-dynamic';

/** All that a device needs to play a session. */
export async function GET(_request: Request, { params }: RouteContext<'/api/v1/sessions/[session]/bundle'>) {
  const id = z.uuid().safeParse((await params).session);
  if (!id.success) return Response.json({ error: 'This is no session.' }, { status: 400 });
  const found = await coachForSession(id.data);
  if (found === 'signed out') return Response.json({ error: 'Sign in first.' }, { status: 401 });
  const bundle = found && (await bundleFor(found.actor, found.academy, id.data));
  if (!bundle) return Response.json({ error: 'There is no such session.' }, { status: 404 });
  return Response.json(bundle, { headers: { 'cache-control': 'no-store' } });
}
