import 'server-only';
import { Readable } from 'node:stream';
import { writeSessionTable } from '@/core/formats/session-table';
import { writeShotTable } from '@/core/formats/shot-table-out';
import { fileOf } from '@/core/archive/manifest';
import { everythingReadMe } from '@/core/people/everything';
import type { LogbookPlace } from '@/core/logbook/asked';
import { dayIn } from '@/core/units/day';
import { writeZip } from '@/server/archive/write-zip';
import { helpWith } from '@/server/helper';
import { ownReport } from '@/server/known/own-report';
import { log } from '@/server/log';
import type { DataFor } from '@/server/rights';
import { sessionOut } from '../logbook/session-out';
import { reportPdf } from '../report/pdf';

const AT_ONCE = 200;

/** Pieces of a text, one place after the other. */
async function* pieces(
  piece: (after: LogbookPlace | null) => Promise<{ text: string; next: LogbookPlace | null }>,
): AsyncGenerator<string> {
  let after: LogbookPlace | null = null;
  do {
    const { text, next } = await piece(after);
    yield text;
    after = next;
  } while (after !== null);
}

/**
 * Answers with everything that is kept about a player as a ZIP, written as it is read; null where there is no such player.
 * @param data of whoever asks: it is kept that they did
 */
export async function answerEverything(
  academyId: string,
  data: Pick<DataFor<'guardian'>, 'readPlayerTables'>,
  playerId: string,
): Promise<Response | null> {
  const now = new Date();
  const help = await helpWith(academyId, playerId);
  const report = help && (await ownReport(academyId, playerId, now));
  if (!report) return null;
  const { desk, player } = help;
  const { name, timeZone } = desk.academy;
  const at = (after: LogbookPlace | null) => ({ sort: 'newest' as const, after, limit: AT_ONCE });
  const sessions = pieces(async (after) => {
    const { lines, next } = await desk.data.logbookPage({ playerId }, at(after));
    const notes = await desk.data.notesOfSessions(lines.map(({ session }) => session.sessionId));
    const rows = lines.map((line) => {
      const out = sessionOut(line, notes);
      return { ...out, players: out.players.filter((one) => one.playerId === playerId) };
    });
    return { text: writeSessionTable(rows, after === null), next };
  });
  const balls = pieces(async (after) => {
    const { balls: all, next } = await desk.data.logbookShots({ playerId }, { ...at(after), unfinished: true });
    return {
      text: writeShotTable(
        all.filter(({ shot }) => shot.playerId === playerId),
        after === null,
      ),
      next,
    };
  });
  const zip = writeZip(now, async (into) => {
    into.whole('read-me.txt', everythingReadMe(player.name, name, dayIn(now, timeZone)));
    into.whole('report.json', JSON.stringify(report, null, 1));
    into.whole('report.pdf', await reportPdf(report));
    await into.stream('sessions.csv', Readable.from(sessions));
    await into.stream('balls.csv', Readable.from(balls));
    await data.readPlayerTables(playerId, (table, lines) => into.stream(fileOf(table.name), lines));
  });
  zip.once('error', (error) => log.error({ err: error }, 'everything of a player broke off'));
  return new Response(Readable.toWeb(zip) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="inch-game-${dayIn(now, timeZone)}.zip"`,
      'cache-control': 'no-store, no-transform',
    },
  });
}
