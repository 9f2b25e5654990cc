import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { bestBefore, getSession } from '@/db/queries/sessions';
import { SessionPage } from '@/features/logbook/session-page';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';
import { uuidOr404 } from '@/server/params';

export const metadata: Metadata = { title: 'Session' };

export default async function Session({ params }: PageProps<'/a/[academy]/sessions/[session]'>) {
  const { academy: slug, session: id } = await params;
  const { actor, academy } = await requireCoach(slug);
  const db = database();
  const data = await getSession(db, actor, uuidOr404(id));
  if (!data) notFound();
  const bests = await Promise.all(
    data.players.map(async ({ playerId }) => [playerId, await bestBefore(db, actor, data.session, playerId)] as const),
  );
  return <SessionPage slug={slug} data={data} bests={new Map(bests)} timeZone={academy.timeZone} />;
}
