import { writeSessionTable, type SessionOut } from '@/core/formats/session-table';
import { readLogbookAsked, type LogbookPlace } from '@/core/logbook/asked';
import { requireCoach } from '@/server/actor';
import type { FinishedLine } from '@/server/data';

/** So many sessions are read, written and forgotten at once. */
const AT_ONCE = 200;

/** The sessions that the logbook finds, as a table: read and sent piece by piece, however many they are. */
export async function answerSessionsFile(slug: string, params: Record<string, unknown>): Promise<Response> {
  const { data } = await requireCoach(slug);
  const { filter, sort } = readLogbookAsked(params);
  const encoder = new TextEncoder();
  let [after, first]: [LogbookPlace | null, boolean] = [null, true];
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const page: Awaited<ReturnType<typeof data.logbookPage>> = await data.logbookPage(filter, { sort, after, limit: AT_ONCE });
      const notes = await data.notesOfSessions(page.lines.map(({ session }) => session.sessionId));
      controller.enqueue(
        encoder.encode(
          writeSessionTable(
            page.lines.map((line) => sessionOut(line, notes)),
            first,
          ),
        ),
      );
      [after, first] = [page.next, false];
      if (!after) controller.close();
    },
  });
  return new Response(body, {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="sessions.csv"',
      'cache-control': 'no-store',
    },
  });
}

type Notes = { sessionId: string; playerId: string; ownNote: string; coachNote: string };

function sessionOut({ session, players, balls, outcome }: FinishedLine, notes: readonly Notes[]): SessionOut {
  const { sessionId, startedAt, gameVersion, spec, conditions, tags } = session;
  return {
    ...{ sessionId, startedAt, gameVersion, spec, conditions, tags, balls, outcome },
    players: players.map(({ playerId, name }) => {
      const said = notes.find((one) => one.sessionId === sessionId && one.playerId === playerId);
      return { playerId, name, ownNote: said?.ownNote ?? '', coachNote: said?.coachNote ?? '' };
    }),
  };
}
