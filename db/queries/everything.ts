import type { Readable } from 'node:stream';
import { ARCHIVE_TABLES, type ArchiveTable } from '@/core/archive/tables';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { isId } from '../ids';
import { readAtOnce } from './archive';

const THEIRS = `player_id = '…'`;
const sessions = `session_id in (select session_id from session_player where academy_id = me.academy_id and ${THEIRS})`;
/** Plans for one player alone: of others the title and what stands in them would say something too. */
const alone = (seats: string, key: string) =>
  `${key} in (select ${key} from ${seats} where academy_id = me.academy_id group by ${key} having bool_and(${THEIRS}))`;

/**
 * Which rows of a table are about one player, "…" being their id and "me" the table: all that stands under their name, and of what they share with
 * others only what says nothing of these. A table that is not here is of the academy and of no player.
 */
export const ABOUT_PLAYER: Readonly<Record<string, string>> = {
  player: THEIRS,
  club: THEIRS,
  player_group: `group_id in (select group_id from group_player where academy_id = me.academy_id and ${THEIRS})`,
  group_player: THEIRS,
  guardian: THEIRS,
  consent: THEIRS,
  session: sessions,
  session_player: THEIRS,
  session_station: sessions,
  note: THEIRS,
  hour: alone('hour_player', 'hour_id'),
  hour_player: THEIRS,
  hour_run: alone('hour_player', 'hour_id'),
  weeks: alone('weeks_player', 'weeks_id'),
  weeks_player: THEIRS,
  shot_event: `${sessions} and shot_id in (select shot_id from shot_event where academy_id = me.academy_id and ${sessions}
    and kind = 'record' and payload ->> 'playerId' = '…')`,
};

/**
 * Reads everything that is kept about a player, at one moment; tables as in an archive. What is worked out from it, and what opens something
 * (links, invitations), is not in it.
 * @param take is given the rows of a table, one a line as JSON, and has to read them before the next come
 */
export function readPlayerTables(
  db: Db,
  actor: Actor,
  playerId: string,
  take: (table: ArchiveTable, lines: Readable) => Promise<void>,
): Promise<void> {
  if (!isId(playerId)) throw new Error('That is no id.');
  const tables = ARCHIVE_TABLES.flatMap((table) => {
    const which = ABOUT_PLAYER[table.name];
    return which ? [{ table, which: which.replaceAll('…', playerId) }] : [];
  });
  return readAtOnce(db, actor, tables, take);
}
