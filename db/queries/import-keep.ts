import { randomBytes, randomUUID } from 'node:crypto';
import { group } from 'd3-array';
import { allStations } from '@/core/game/station';
import { withoutGame } from '@/core/imports/kept';
import type { SessionFacts } from '@/core/shot/conditions';
import { withUnsaid } from '@/core/shot/shot';
import { timeOrderedId } from '@/core/shot/id';
import { EVENT_VERSION } from '@/core/shot/read-event';
import { and, asc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { withCopy, type Copy } from '../copy';
import { lookAfter, lookAtAside } from '../statistics';
import { club, importFile, importRow, importSession, note, player, session, sessionPlayer, shot, shotEvent } from '../schema';
import { idFrom, idOfName } from '../ids';
import { type ImportRow, type Says, type SaysBall, type SaysScore } from './imports';
import { authorOf } from './notes';
import { gameMeant, gamesNamed, resultRows, type GameKnown } from './results';
import { countPlayers, projectAgain, projection, settle, stationsOf, type Held, type NewEvent } from './projection';

/*
 * Rows that stand aside become sessions, events and balls, some sessions at a time, each time in one transaction: whoever asks goes on until none is
 * left, and nobody else has to wait. Taking a file back goes the same way.
 */

/** So many rows are kept at once; a session is never cut. */
const ROWS_AT_ONCE = 2000;
/** So many sessions are taken back at once. */
const SESSIONS_AT_ONCE = 100;
/** More balls than this in one session are refused: nobody hits them. */
export const MOST_IN_SESSION = 3000;
const NO_TITLE = 'Balls from a file';

/** How far a file has come, how many rows, or sessions, are still to go, and how many got lost while they stood aside. */
export type ImportStep = Pick<ImportRow, 'state' | 'kept' | 'known' | 'refused'> & { left: number; lost: number };

type Row = { sessionId: string; line: number; playerId: string; says: Says };
type Sums = { kept: number; known: number; refused: number };
const NONE: Sums = { kept: 0, known: 0, refused: 0 };

const one = ({ academyId }: Actor, importId: string) => and(eq(importFile.academyId, academyId), eq(importFile.importId, importId));
const aside = ({ academyId }: Actor, importId: string) => and(eq(importRow.academyId, academyId), eq(importRow.importId, importId));

/** Keeps the next rows of a file that stand aside. @returns null where there is nothing to keep of it */
export async function keepRows(db: Db, actor: Actor, importId: string): Promise<ImportStep | null> {
  // All of it stands aside by now; until the database looks, it believes that little does, and would read all of it for each piece.
  const [begun] = await db.select({ state: importFile.state }).from(importFile).where(one(actor, importId));
  if (begun?.state === 'coming') await lookAtAside(db);
  const step = await withCopy(db, async (tx, copy): Promise<ImportStep | null> => {
    const [file] = await tx.select().from(importFile).where(one(actor, importId)).for('no key update');
    if (!file || file.state === 'undoing' || file.state === 'undone') return null;
    const next = await nextRows(tx, actor, importId);
    const sums = next.rows.length === 0 ? NONE : await keep(tx, copy, actor, file, next.rows);
    const done = file.kept + file.known + file.refused + sums.kept + sums.known + sums.refused + next.tooLong;
    const [none, open] = [next.rows.length + next.tooLong === 0, Math.max(0, file.rows - done)];
    const left = none ? 0 : open;
    const [after] = await tx
      .update(importFile)
      .set({
        state: left === 0 ? 'kept' : 'keeping',
        kept: file.kept + sums.kept,
        known: file.known + sums.known,
        refused: file.refused + sums.refused + next.tooLong,
      })
      .where(one(actor, importId))
      .returning();
    return { ...after!, left, lost: none ? open : 0 };
  });
  if (step?.state === 'kept' && step.left === 0) await lookAfter(db, step.kept);
  return step;
}

/** The next rows, of whole sessions, taken from where they stood aside. Of a session that is too long there are none: they are counted. */
async function nextRows(tx: Db, actor: Actor, importId: string): Promise<{ rows: Row[]; tooLong: number }> {
  const ahead = async (most: number) => {
    const rows = tx
      .select({ id: importRow.sessionId })
      .from(importRow)
      .where(aside(actor, importId))
      .orderBy(asc(importRow.sessionId), asc(importRow.line))
      .limit(most)
      .as('ahead');
    return tx
      .select({ id: rows.id, rows: sql<number>`count(*)::int` })
      .from(rows)
      .groupBy(rows.id)
      .orderBy(asc(rows.id));
  };
  const near = await ahead(ROWS_AT_ONCE + 1);
  const sessions = near.length === 1 ? await ahead(MOST_IN_SESSION + 1) : near;
  // The last of those ahead may be cut; it waits, unless it is alone.
  let sum = 0;
  const next = sessions.filter(({ rows }, i) => (sum += rows) <= ROWS_AT_ONCE || i === 0);
  const long = next.filter(({ rows }) => rows > MOST_IN_SESSION);
  const of = (some: typeof sessions) =>
    and(aside(actor, importId), sql`${importRow.sessionId} = any(${sql.param(some.map(({ id }) => id))}::uuid[])`);
  const { rowCount: tooLong } = long.length === 0 ? { rowCount: 0 } : await tx.delete(importRow).where(of(long));
  const { sessionId, line, playerId, says } = importRow;
  const rows = await tx.delete(importRow).where(of(next)).returning({ sessionId, line, playerId, says });
  return { rows: (rows as Row[]).sort((one, other) => one.line - other.line), tooLong: tooLong ?? 0 };
}

async function keep(tx: Db, copy: Copy, actor: Actor, file: ImportRow, sent: readonly Row[]): Promise<Sums> {
  const levels = await levelsOf(tx, actor, sent);
  // Of somebody who was erased since it was sent nothing is kept.
  const rows = sent.filter(({ playerId }) => levels.has(playerId));
  const gone = sent.length - rows.length;
  const here = await tx
    .select()
    .from(session)
    .where(and(eq(session.academyId, actor.academyId), inArray(session.sessionId, [...new Set(rows.map((row) => row.sessionId))])))
    .orderBy(asc(session.sessionId))
    .for('no key update');
  const known = new Map(here.map((row) => [row.sessionId, row]));
  const games = await gamesNamed(tx, actor, [...new Set(rows.map(({ says }) => says.title))]);
  const context = { tx, copy, actor, file, known, games, levels };
  const sums = await (file.kind === 'balls' ? keepBalls(context, rows as BallRow[]) : keepScores(context, rows as ScoreRow[]));
  return { ...sums, refused: sums.refused + gone };
}

type Context = {
  tx: Db;
  copy: Copy;
  actor: Actor;
  file: ImportRow;
  known: ReadonlyMap<string, typeof session.$inferSelect>;
  games: ReadonlyMap<string, GameKnown[]>;
  levels: ReadonlyMap<string, number>;
};
async function levelsOf(tx: Db, { academyId }: Actor, rows: readonly Row[]): Promise<Map<string, number>> {
  const ids = [...new Set(rows.map(({ playerId }) => playerId))];
  const found = await tx
    .select({ id: player.playerId, level: player.level })
    .from(player)
    .where(and(eq(player.academyId, academyId), inArray(player.playerId, ids), isNull(player.erasedAt)))
    .orderBy(asc(player.playerId))
    .for('key share');
  return new Map(found.map(({ id, level }) => [id, level]));
}

type BallRow = Row & { says: SaysBall };
type ScoreRow = Row & { says: SaysScore };

async function keepBalls(context: Context, rows: readonly BallRow[]): Promise<Sums> {
  const { tx, copy, actor, file, known, levels } = context;
  const { academyId } = actor;
  const sums = { kept: 0, known: 0, refused: 0 };
  const byName = rows.map((row) => [shotIdOf(row), row] as const);
  const ids = withTwins(byName);
  const before = new Set<string>();
  // Each is looked up by itself, however many balls the database believes there are.
  const there = await tx.execute<{ id: string }>(sql`select id from unnest(${sql.param(ids.map(([id]) => id))}::uuid[]) id
    cross join lateral (select 1 from ${shotEvent} where academy_id = ${academyId} and shot_id = id limit 1) said`);
  for (const { id } of there.rows) before.add(id);
  const fresh = ids.filter(([id]) => !before.has(id) && before.add(id));
  sums.known = ids.length - fresh.length;
  const bags = await bagsOf(tx, actor, rows);
  const opened: (typeof session.$inferInsert)[] = [];
  const seats: (typeof sessionPlayer.$inferInsert)[] = [];
  const parts: Part[] = [];
  const receivedAt = new Date();
  for (const [sessionId, said] of group(fresh, ([, row]) => row.sessionId)) {
    const was = known.get(sessionId);
    // What was played here is not added to by a file, and a result that was noted has no balls.
    if ((was && was.importId === null) || was?.given != null) {
      sums.refused += said.length;
      continue;
    }
    sums.kept += said.length;
    const times = said.map(([, { says }]) => Date.parse(says.shot.playedAt));
    const {
      spec,
      gameId,
      gameVersion: version,
    } = was ??
    gameOf(
      context,
      said.map(([, row]) => row),
    );
    const startedAt = new Date(Math.min(...times, receivedAt.getTime(), was?.startedAt.getTime() ?? Infinity));
    const stoppedAt = new Date(Math.max(Math.min(Math.max(...times), receivedAt.getTime()), was?.stoppedAt?.getTime() ?? 0));
    const count = said.reduce((sum, [, { says }]) => sum + says.shot.nBalls, 0);
    if (was) {
      await tx
        .update(session)
        .set({ startedAt, stoppedAt, balls: was.balls + count })
        .where(and(eq(session.academyId, academyId), eq(session.sessionId, sessionId)));
    } else
      opened.push({
        academyId,
        sessionId,
        gameId,
        gameVersion: version,
        spec,
        startedAt,
        stoppedAt,
        importId: file.importId,
        balls: count,
        overFrom: 0,
      });
    const held: Held = { sessionId, startedAt, conditions: was?.conditions ?? {} };
    const places = was
      ? await placesBefore(tx, actor, sessionId)
      : { seats: [], turn: new Map<string, number>(), ball: new Map<string, number>() };
    const who = [...new Set(said.map(([, { playerId }]) => playerId))].filter((id) => !places.seats.includes(id));
    who.forEach((playerId, i) =>
      seats.push({ academyId, sessionId, playerId, position: places.seats.length + i, level: levels.get(playerId) ?? 0 }),
    );
    const stations = was ? await stationsOf(tx, actor, sessionId) : [];
    parts.push({ held, said, places, stations, scored: gameId !== null || was !== undefined, events: [] });
  }
  await copy(session, opened);
  await copy(sessionPlayer, seats);
  await copy(
    importSession,
    parts.map(({ held: { sessionId } }) => ({ academyId, importId: file.importId, sessionId })),
  );
  const { rows: numbers } = await tx.execute<{ all: string[] | null }>(
    sql`select array_agg(nextval(of)) as all from (select pg_get_serial_sequence('shot_event', 'server_seq')::regclass as of offset 0) one,
      generate_series(1, ${sums.kept})`,
  );
  const seqOf = new Map<string, number>();
  // Rows are made while the database takes in those before them.
  function* eventRows() {
    for (const part of parts) {
      const random = randomBytes(RANDOM_BYTES * part.said.length);
      part.events = part.said.map(([shotId, row], i) =>
        eventOf(shotId, row, part, { file, actor, receivedAt, bags, seq: i, random: random.subarray(RANDOM_BYTES * i) }),
      );
      for (const event of part.events) {
        const serverSeq = Number(numbers[0]!.all![seqOf.size]);
        seqOf.set(event.shotId, serverSeq);
        yield { ...event, serverSeq } as typeof shotEvent.$inferInsert;
      }
    }
  }
  function* ballRows() {
    for (const { held, stations, events } of parts)
      for (const ball of projection(academyId, held, stations, events)) yield { ...ball, serverSeq: seqOf.get(ball.shotId)! };
  }
  await copy(shotEvent, eventRows());
  await copy(shot, ballRows());
  for (const { held, scored } of parts) if (scored) await settleAgain(tx, actor, held.sessionId);
  await countPlayers(tx, actor, [...new Set(parts.flatMap(({ said }) => said.map(([, { playerId }]) => playerId)))]);
  return sums;
}

/** The balls of a file that one session gets. */
type Part = {
  held: Held;
  said: readonly (readonly [shotId: string, BallRow])[];
  places: Places;
  stations: SessionFacts['stations'];
  /** Whether it has a score that has to be worked out. */
  scored: boolean;
  events: NewEvent[];
};

/** A game that was played to its end was not stopped. */
async function settleAgain(tx: Db, actor: Actor, sessionId: string): Promise<void> {
  await settle(tx, actor, sessionId);
  const through = await tx
    .update(session)
    .set({ stoppedAt: null })
    .where(and(eq(session.academyId, actor.academyId), eq(session.sessionId, sessionId), isNotNull(session.completedAt)))
    .returning({ id: session.sessionId });
  if (through.length > 0) await settle(tx, actor, sessionId);
}

/** The id a ball has by its name in the file; without one, by all that it says. */
function shotIdOf({ sessionId, playerId, says: { id, shot: facts } }: BallRow): string {
  return id === null ? idFrom('ball', sessionId, playerId, JSON.stringify(facts)) : idOfName(id, 'ball', sessionId, playerId);
}

/** Balls without a name that say the same are different ones all the same: they are counted. */
function withTwins(named: readonly (readonly [string, BallRow])[]): (readonly [string, BallRow])[] {
  const seen = new Map<string, number>();
  return named.map(([id, row]) => {
    if (row.says.id !== null) return [id, row] as const;
    const n = seen.get(id) ?? 0;
    seen.set(id, n + 1);
    return [n === 0 ? id : idFrom('twin', id, n), row] as const;
  });
}

/** The game that balls of one session were played in: one of ours, where its name and all stations are; else only its name is kept. */
function gameOf({ games }: Context, rows: readonly BallRow[]) {
  const { title, version } = rows[0]!.says;
  const meant = gameMeant(games.get(title), version);
  const stations = new Set(meant ? allStations(meant.spec).map(({ key }) => key) : []);
  if (meant && (meant.spec.open || rows.every(({ says }) => stations.has(says.shot.stationKey))))
    return { gameId: meant.gameId, gameVersion: meant.version, spec: meant.spec };
  return { gameId: null, gameVersion: null, spec: withoutGame(title || NO_TITLE) };
}

type Places = { seats: string[]; turn: Map<string, number>; ball: Map<string, number> };

/** How far balls are counted in a session that is there already. */
async function placesBefore(tx: Db, { academyId }: Actor, sessionId: string): Promise<Places> {
  const seats = await tx
    .select({ id: sessionPlayer.playerId })
    .from(sessionPlayer)
    .where(and(eq(sessionPlayer.academyId, academyId), eq(sessionPlayer.sessionId, sessionId)));
  const counted = await tx
    .select({
      playerId: shot.playerId,
      key: shot.stationKey,
      turn: sql<number>`max(${shot.turnNo})`,
      ball: sql<number>`max(${shot.ballNo})`,
    })
    .from(shot)
    .where(and(eq(shot.academyId, academyId), eq(shot.sessionId, sessionId)))
    .groupBy(shot.playerId, shot.stationKey);
  const turn = new Map<string, number>();
  for (const row of counted) turn.set(row.playerId, Math.max(turn.get(row.playerId) ?? -1, row.turn));
  return { seats: seats.map(({ id }) => id), turn, ball: new Map(counted.map((row) => [`${row.playerId} ${row.key}`, row.ball])) };
}

/** The clubs of players, by what they call them. */
async function bagsOf(tx: Db, { academyId }: Actor, rows: readonly BallRow[]): Promise<Map<string, string>> {
  if (rows.every(({ says }) => !says.shot.clubLabel)) return new Map();
  const clubs = await tx
    .select({ playerId: club.playerId, clubId: club.clubId, label: club.label })
    .from(club)
    .where(and(eq(club.academyId, academyId), inArray(club.playerId, [...new Set(rows.map(({ playerId }) => playerId))])));
  return new Map(clubs.map(({ playerId, clubId, label }) => [`${playerId} ${label.toLowerCase()}`, clubId]));
}

type For = {
  file: ImportRow;
  actor: Actor;
  receivedAt: Date;
  bags: ReadonlyMap<string, string>;
  seq: number;
  /** For the id of the event. */
  random: Uint8Array;
};
/** An id takes so many random bytes. */
const RANDOM_BYTES = 10;

/** The event that records a ball of a file, with its place counted where the file does not say it. */
function eventOf(
  shotId: string,
  { playerId, says }: BallRow,
  { held: { sessionId }, places }: Part,
  { file, actor, receivedAt, bags, seq, random }: For,
): NewEvent {
  const { shot: facts, turn, ball } = says;
  const at = `${playerId} ${facts.stationKey}`;
  const turnNo = turn ? facts.turnNo : (places.turn.get(playerId) ?? -1) + 1;
  const ballNo = ball ? facts.ballNo : (places.ball.get(at) ?? 0) + 1;
  places.turn.set(playerId, Math.max(places.turn.get(playerId) ?? -1, turnNo));
  places.ball.set(at, Math.max(places.ball.get(at) ?? 0, ballNo));
  const clubId = !facts.clubLabel ? null : (bags.get(`${playerId} ${facts.clubLabel.toLowerCase()}`) ?? null);
  return {
    academyId: actor.academyId,
    eventId: timeOrderedId(receivedAt.getTime(), random),
    shotId,
    sessionId,
    version: EVENT_VERSION,
    kind: 'record',
    payload: withUnsaid({ ...facts, playerId, sessionId, turnNo, ballNo, clubId }),
    actor: actorName(actor),
    more: null,
    deviceId: file.importId,
    deviceSeq: seq,
    deviceAt: receivedAt,
    clockBehindMs: null,
    receivedAt,
  };
}

async function keepScores(context: Context, rows: readonly ScoreRow[]): Promise<Sums> {
  const { tx, copy, actor, file, known, games, levels } = context;
  const { academyId } = actor;
  const fresh = [...new Map(rows.filter(({ sessionId }) => !known.has(sessionId)).map((row) => [row.sessionId, row])).values()];
  const results = fresh.map(({ sessionId, playerId, says }) =>
    resultRows(academyId, { sessionId, playerId, level: levels.get(playerId) ?? 0, ...says }, gameMeant(games.get(says.title), null)),
  );
  await copy(
    session,
    results.map((one) => ({ ...one.session, importId: file.importId })),
  );
  await copy(
    sessionPlayer,
    results.map((one) => one.seat),
  );
  const said = results.filter((one) => one.said !== '');
  const by = said.length === 0 ? null : await authorOf(tx, actor);
  await copy(
    note,
    said.map(({ seat: { playerId, sessionId }, said: text }) => ({
      ...{ academyId, noteId: randomUUID(), playerId, sessionId, text },
      ...by,
    })),
  );
  await copy(
    importSession,
    results.map(({ session: { sessionId } }) => ({ academyId, importId: file.importId, sessionId })),
  );
  return { kept: fresh.length, known: rows.length - fresh.length, refused: 0 };
}

/**
 * Takes back the next of what came in with a file: its balls, the sessions that are empty then, and at the end the players who came with it and
 * have nothing else. What somebody said since about its balls goes with them. @returns null where there is no such file
 */
export async function undoImport(db: Db, actor: Actor, importId: string): Promise<ImportStep | null> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const [file] = await tx.select().from(importFile).where(one(actor, importId)).for('no key update');
    if (!file) return null;
    await tx.delete(importRow).where(aside(actor, importId));
    const within = and(eq(importSession.academyId, academyId), eq(importSession.importId, importId));
    const next = await tx
      .select({ id: importSession.sessionId })
      .from(importSession)
      .where(within)
      .orderBy(asc(importSession.sessionId))
      .limit(SESSIONS_AT_ONCE);
    const whose = new Set<string>();
    for (const { id } of next) for (const playerId of await takeBack(tx, actor, file, id)) whose.add(playerId);
    await countPlayers(tx, actor, [...whose]);
    const left = await tx.$count(importSession, within);
    if (left === 0) await withoutTraces(tx, actor, file);
    const [after] = await tx
      .update(importFile)
      .set({ state: left === 0 ? 'undone' : 'undoing', ...(left === 0 ? { players: [] } : {}) })
      .where(one(actor, importId))
      .returning();
    return { ...after!, left, lost: 0 };
  });
}

/** @returns the players whose balls went */
async function takeBack(tx: Db, actor: Actor, file: ImportRow, sessionId: string): Promise<string[]> {
  const { academyId } = actor;
  const inSession = and(eq(session.academyId, academyId), eq(session.sessionId, sessionId));
  const [held] = await tx.select().from(session).where(inSession).for('no key update');
  const said = and(eq(shotEvent.academyId, academyId), eq(shotEvent.sessionId, sessionId));
  const brought = await tx
    .select({ shotId: shotEvent.shotId, playerId: sql<string>`${shotEvent.payload} ->> 'playerId'` })
    .from(shotEvent)
    .where(and(said, eq(shotEvent.deviceId, file.importId)));
  const whose = [...new Set(brought.map(({ playerId }) => playerId))];
  const others = held?.given === null && brought.length < (await tx.$count(shotEvent, and(said, eq(shotEvent.kind, 'record'))));
  if (!others) {
    await tx.delete(session).where(inSession);
    return whose;
  }
  await tx.delete(shotEvent).where(
    and(
      said,
      inArray(
        shotEvent.shotId,
        brought.map(({ shotId }) => shotId),
      ),
    ),
  );
  await tx.delete(sessionPlayer).where(
    and(
      eq(sessionPlayer.academyId, academyId),
      eq(sessionPlayer.sessionId, sessionId),
      sql`not exists (select 1 from shot_event e where e.academy_id = ${academyId} and e.session_id = ${sessionId} and e.kind = 'record'
          and e.payload ->> 'playerId' = ${sessionPlayer.playerId}::text)`,
    ),
  );
  await projectAgain(tx, actor, held!);
  await tx
    .delete(importSession)
    .where(and(eq(importSession.academyId, academyId), eq(importSession.importId, file.importId), eq(importSession.sessionId, sessionId)));
  return whose;
}

/** Players who came with a file, and of whom nothing else is known. */
async function withoutTraces(tx: Db, { academyId }: Actor, { players }: ImportRow): Promise<void> {
  if (players.length === 0) return;
  await tx
    .delete(player)
    .where(
      and(
        eq(player.academyId, academyId),
        inArray(player.playerId, players),
        sql`not exists (select 1 from session_player s where s.academy_id = ${academyId} and s.player_id = ${player.playerId})`,
        sql`not exists (select 1 from hour_player h where h.academy_id = ${academyId} and h.player_id = ${player.playerId})`,
        sql`not exists (select 1 from weeks_player w where w.academy_id = ${academyId} and w.player_id = ${player.playerId})`,
        sql`not exists (select 1 from player_link l where l.academy_id = ${academyId} and l.player_id = ${player.playerId})`,
      ),
    );
}
