import { counted } from '@/core/units/format';
import { notFound } from 'next/navigation';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { LiveBoard } from '../play/live-board';
import { SessionLines } from '../session/session-lines';
import { SessionPage } from './session-page';

const SHOWN = 100;

export async function LogbookRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const lines = await data.finishedSessions(SHOWN);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '60rem' }}>
      <h1 className="mb-1">Logbook</h1>
      <p className="small-print">
        {lines.length === 0
          ? 'No session is over yet. What is played to the end or ended early comes here.'
          : lines.length === SHOWN
            ? `The last ${SHOWN} sessions.`
            : `${counted(lines.length, 'session')}.`}
      </p>
      <SessionLines slug={slug} lines={lines} timeZone={academy.timeZone} now={new Date()} />
    </div>
  );
}

export async function SessionRoom({ slug, sessionId }: { slug: string; sessionId: string }) {
  const { data, academy } = await requireCoach(slug);
  const found = await data.getSession(uuidOr404(sessionId));
  if (!found) notFound();
  const bests = await Promise.all(
    found.players.map(async ({ playerId }) => [playerId, await data.bestBefore(found.session, playerId)] as const),
  );
  const log = await data.sessionLog(found.session.sessionId);
  return <SessionPage slug={slug} data={found} log={log} bests={new Map(bests)} timeZone={academy.timeZone} />;
}

export async function BoardRoom({ slug, sessionId }: { slug: string; sessionId: string }) {
  const { data } = await requireCoach(slug);
  const id = uuidOr404(sessionId);
  if (!(await data.getSession(id))) notFound();
  return <LiveBoard sessionId={id} />;
}
