import { counted } from '@/core/units/format';
import { sayConditions } from '@/core/shot/conditions';
import { sayMoment } from '@/core/units/say-moment';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { LiveBoard } from '../play/live-board';
import { resultLine } from '../session/result-line';
import { LogbookTable } from './logbook-table';
import { SessionPage } from './session-page';

const SHOWN = 100;

export async function LogbookRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const lines = await data.finishedSessions(SHOWN);
  const rows = lines.map((line) => ({
    ...resultLine(line),
    when: sayMoment(line.session.startedAt, academy.timeZone),
    conditions: sayConditions(line.session.conditions),
  }));
  return (
    <div className="p-3 p-md-4">
      <h1 className="mb-3">
        Logbook{' '}
        <span className="beside">
          {lines.length === SHOWN ? `the last ${SHOWN} sessions` : lines.length > 0 && counted(lines.length, 'session')}
        </span>
      </h1>
      {rows.length === 0 ? (
        <p className="empty">
          No finished session yet. <Link href={`/a/${slug}/games`}>Choose a game</Link> and play it: the result appears here.
        </p>
      ) : (
        <LogbookTable slug={slug} rows={rows} />
      )}
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
