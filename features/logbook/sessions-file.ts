import { writeSessionTable } from '@/core/formats/session-table';
import { writeShotTable } from '@/core/formats/shot-table-out';
import { readLogbookAsked, type LogbookAsked, type LogbookPlace } from '@/core/logbook/asked';
import { requireCoach } from '@/server/actor';
import type { Data } from '@/server/data';
import { csvInPieces } from '../form/csv-in-pieces';
import { sessionOut } from './session-out';

/** So many sessions are read, written and forgotten at once. */
const AT_ONCE = 200;

type Piece = { text: string; next: LogbookPlace | null };
type Pieces = (data: Data, asked: Pick<LogbookAsked, 'filter' | 'sort'>, after: LogbookPlace | null, first: boolean) => Promise<Piece>;

/** What the logbook finds as a table: read and sent piece by piece, however much it is. */
async function answerFile(
  slug: string,
  params: Record<string, unknown>,
  { name, what }: { name: string; what: 'gotSessions' | 'gotBalls' },
  piece: Pieces,
): Promise<Response> {
  const { data } = await requireCoach(slug);
  const asked = readLogbookAsked(params);
  await data.noteDownload(what, asked.filter.playerId ?? null);
  return csvInPieces<LogbookPlace>(name, (after, first) => piece(data, asked, after, first));
}

/** The sessions that the logbook finds, as a table. */
export function answerSessionsFile(slug: string, params: Record<string, unknown>): Promise<Response> {
  return answerFile(slug, params, { name: 'sessions.csv', what: 'gotSessions' }, async (data, { filter, sort }, after, first) => {
    const { lines, next } = await data.logbookPage(filter, { sort, after, limit: AT_ONCE });
    const notes = await data.notesOfSessions(lines.map(({ session }) => session.sessionId));
    return {
      text: writeSessionTable(
        lines.map((line) => sessionOut(line, notes)),
        first,
      ),
      next,
    };
  });
}

/** The balls of these sessions, as a shot table: it can be brought in again. */
export function answerShotsFile(slug: string, params: Record<string, unknown>): Promise<Response> {
  return answerFile(slug, params, { name: 'shots.csv', what: 'gotBalls' }, async (data, { filter, sort }, after, first) => {
    const { balls, next } = await data.logbookShots(filter, { sort, after, limit: AT_ONCE });
    return { text: writeShotTable(balls, first), next };
  });
}
