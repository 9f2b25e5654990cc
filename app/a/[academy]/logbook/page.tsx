import type { Metadata } from 'next';
import { finishedSessions } from '@/db/queries/sessions';
import { SessionLines } from '@/features/logbook/session-lines';
import { requireCoach } from '@/server/actor';
import { database } from '@/server/db';

export const metadata: Metadata = { title: 'Logbook' };

const SHOWN = 100;

export default async function Logbook({ params }: PageProps<'/a/[academy]/logbook'>) {
  const { actor, academy } = await requireCoach((await params).academy);
  const lines = await finishedSessions(database(), actor, SHOWN);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '60rem' }}>
      <h1 className="mb-1">Logbook</h1>
      <p className="small-print">
        {lines.length === 0
          ? 'No session is over yet. What is played to the end or ended early comes here.'
          : lines.length === SHOWN
            ? `The last ${SHOWN} sessions.`
            : `${lines.length} sessions.`}
      </p>
      <SessionLines slug={academy.slug} lines={lines} timeZone={academy.timeZone} now={new Date()} />
    </div>
  );
}
