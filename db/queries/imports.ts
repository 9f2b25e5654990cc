import { batchReader, type Batch, type KeptRow } from '@/core/imports/batch';
import type { TableKind } from '@/core/imports/fields';
import type { Mapping } from '@/core/imports/mapping';
import type { TableProblem } from '@/core/formats/row-reader';
import type { Shot } from '@/core/shot/shot';
import { dayIn } from '@/core/units/day';
import { and, arrayContains, arrayContained, between, desc, eq, inArray, isNull } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { withCopy } from '../copy';
import { idFrom, idOfName, isId } from '../ids';
import { academy, importFile, importRow, player } from '../schema';
import { addByName } from './guests';

/*
 * Files of balls and scores: their rows are sent in batches and stand aside (`import_row`) until they are kept (import-keep.ts). Ids are made of what
 * a row says, so that the same file twice changes nothing.
 */

export type ImportRow = typeof importFile.$inferSelect;

/** A ball of a file: the fact, what it is called there, and where it belongs. What is null of the fact is left out. */
export type SaysBall = {
  shot: Omit<Shot, 'shotId' | 'playerId' | 'sessionId' | 'clubId'>;
  /** As the file calls it; null: it has no name. */
  id: string | null;
  title: string;
  /** Of a game of ours, as the file says it. */
  version: number | null;
  /** What of its place the file says; what it does not is counted. */
  turn: boolean;
  ball: boolean;
};
/** A result of a file. */
export type SaysScore = { playedAt: string; title: string; score: number; unit: string; note: string };
export type Says = SaysBall | SaysScore;

/** What is known of a file before its rows come. */
export type ImportStart = {
  importId: string;
  kind: TableKind;
  fileName: string;
  columns: readonly string[];
  mapping: Mapping;
  /** Players whom nobody knows yet. */
  players: readonly { playerId: string; name: string }[];
};

/** Begins to take in a file, with the players who come with it; saying it twice begins it once. */
export async function startImport(
  db: Db,
  actor: Actor,
  { importId, kind, fileName, columns, mapping, players }: ImportStart,
): Promise<void> {
  const { academyId } = actor;
  // A name stands with its player, and nowhere else.
  const { player: _name, ...all } = mapping.all;
  await db.transaction(async (tx) => {
    const made = await addByName(tx, actor, players, { away: false });
    await tx
      .insert(importFile)
      .values({
        academyId,
        importId,
        kind,
        fileName,
        columns: [...columns],
        mapping: { ...mapping, all },
        players: made,
        actor: actorName(actor),
      })
      .onConflictDoNothing();
  });
}

const one = ({ academyId }: Actor, importId: string) => and(eq(importFile.academyId, academyId), eq(importFile.importId, importId));

/** A file that was brought in; null if the academy has none of this id. */
export async function getImport(db: Db, actor: Actor, importId: string): Promise<ImportRow | null> {
  const [row] = await db.select().from(importFile).where(one(actor, importId));
  return row ?? null;
}

/** The files that were brought in, the newest first. */
export async function listImports(db: Db, actor: Actor, limit: number): Promise<ImportRow[]> {
  return db.select().from(importFile).where(eq(importFile.academyId, actor.academyId)).orderBy(desc(importFile.createdAt)).limit(limit);
}

/** How the last file with these columns was read; null: there was none. */
export async function mappingFor(db: Db, actor: Actor, columns: readonly string[]): Promise<Mapping | null> {
  const same = [...columns];
  const [row] = await db
    .select({ mapping: importFile.mapping, columns: importFile.columns })
    .from(importFile)
    .where(
      and(eq(importFile.academyId, actor.academyId), arrayContains(importFile.columns, same), arrayContained(importFile.columns, same)),
    )
    .orderBy(desc(importFile.createdAt))
    .limit(1);
  return row && row.columns.length === same.length && row.columns.every((name, i) => name === same[i]) ? row.mapping : null;
}

/**
 * Puts rows aside that were sent; the same ones may come twice. Each is read by the schema that guards every ball.
 * @returns what is wrong with those that can't be kept; null where this file takes none
 */
export async function stageRows(db: Db, actor: Actor, importId: string, { columns, rows }: Batch): Promise<TableProblem[] | null> {
  const { academyId } = actor;
  return withCopy(db, async (tx, copy) => {
    const [file] = await tx.select().from(importFile).where(one(actor, importId)).for('no key update');
    if (file?.state !== 'coming') return null;
    const [coach] = await tx.select({ timeZone: academy.timeZone }).from(academy).where(eq(academy.academyId, academyId));
    const read = batchReader(file.kind, columns);
    const problems: TableProblem[] = [];
    const known = await playersIn(tx, actor, columns, rows);
    const [first, last] = [rows[0]!.line, rows.at(-1)!.line];
    const again = first > file.lastLine ? 0 : await takenAgain(tx, actor, importId, first, last);
    const dayOf = daysIn(coach!.timeZone);
    const sessionOf = idsFrom();
    let kept = 0;
    // Rows are read while the database takes in those before them.
    function* aside() {
      for (const { cells, line } of rows) {
        const found = read(cells, line);
        if ('problems' in found) problems.push(...found.problems);
        else if (!known.has(found.kept.player)) problems.push({ line, column: 'player', message: 'This player isn’t in the academy.' });
        else {
          kept++;
          yield { academyId, importId, line, playerId: found.kept.player, ...placed(found.kept, dayOf, sessionOf) };
        }
      }
    }
    await copy(importRow, aside());
    if (kept > 0 || again > 0)
      await tx
        .update(importFile)
        .set({ rows: file.rows + kept - again, lastLine: Math.max(file.lastLine, last) })
        .where(one(actor, importId));
    return problems;
  });
}

/** The ids of the players of these rows whom the academy has. */
async function playersIn(tx: Db, { academyId }: Actor, columns: readonly string[], rows: Batch['rows']): Promise<Set<string>> {
  const at = columns.findIndex((name) => name.trim().toLowerCase() === 'player');
  const ids = [...new Set(rows.map(({ cells }) => cells[at]?.trim() ?? ''))].filter((id) => isId(id));
  const here = await tx
    .select({ id: player.playerId })
    .from(player)
    .where(and(eq(player.academyId, academyId), inArray(player.playerId, ids), isNull(player.erasedAt)));
  return new Set(here.map(({ id }) => id));
}

/** Forgets rows that come once more. @returns how many there were */
async function takenAgain(tx: Db, { academyId }: Actor, importId: string, first: number, last: number): Promise<number> {
  const { rowCount } = await tx
    .delete(importRow)
    .where(and(eq(importRow.academyId, academyId), eq(importRow.importId, importId), between(importRow.line, first, last)));
  return rowCount ?? 0;
}

/** The day of a moment; most rows of a file are of few moments. */
function daysIn(timeZone: string): (moment: string) => string {
  const known = new Map<string, string>();
  return (moment) => {
    let day = known.get(moment);
    if (day === undefined) known.set(moment, (day = dayIn(new Date(moment), timeZone)));
    return day;
  };
}

/** Ids made of words; most rows of a file are of the session of the row before. */
function idsFrom(): (...words: readonly (string | null)[]) => string {
  let [last, id] = ['', ''];
  return (...words) => {
    const name = JSON.stringify(words);
    if (name !== last) [last, id] = [name, idFrom(...words)];
    return id;
  };
}

/** The facts of a ball without what nobody says of it: half of them, of most balls. */
function said(facts: Record<string, unknown>, playedAt: string): SaysBall['shot'] {
  const own: Record<string, unknown> = {};
  for (const key in facts) if (facts[key] !== null && !OWN_IDS.has(key)) own[key] = facts[key];
  own.playedAt = playedAt;
  return own as SaysBall['shot'];
}
const OWN_IDS: ReadonlySet<string> = new Set(['shotId', 'playerId', 'sessionId', 'clubId']);

/** The session a row belongs to, and what it says. Balls that name none are those of a player's day in one game. */
function placed(row: KeptRow, dayOf: (moment: string) => string, sessionOf: ReturnType<typeof idsFrom>): { sessionId: string; says: Says } {
  const day = dayOf(row.playedAt);
  if (row.kind === 'scores') {
    const { game, score, unit = '', note = '', result_id: id } = row.result;
    const playedAt = new Date(row.playedAt).toISOString();
    const sessionId =
      id === undefined ? idFrom('result', row.player, playedAt, game, score, unit) : idOfName(id, 'result', row.player, playedAt, game);
    return { sessionId, says: { playedAt, title: game, score, unit, note } };
  }
  const { shot, row: cells } = row.ball;
  const { session_id: id, session, game = '' } = cells;
  const sessionId =
    id !== undefined
      ? idOfName(id, 'session', game)
      : session !== undefined
        ? sessionOf('session', session, day, game)
        : sessionOf('day', day, game, row.player);
  return {
    sessionId,
    says: {
      shot: said(shot, new Date(row.playedAt).toISOString()),
      id: cells.shot_id ?? null,
      title: game || session || '',
      version: cells.game_version ?? null,
      turn: cells.turn !== undefined,
      ball: cells.ball !== undefined,
    },
  };
}
