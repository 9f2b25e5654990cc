import { enter } from '@/core/game/enter';
import type { Entrant } from '@/core/game/entrant';
import { seedOf } from '@/core/game/order';
import { givenOutcome, outcomeOf, type Outcome, type ScoredBefore } from '@/core/play/outcome';
import { bestScore, playSession } from '@/core/play/play';
import { startOfDayIn } from '@/core/units/day';
import type { UnitSystem } from '@/core/units/length';
import { plusDays } from '@/core/units/plain-day';
import { schemeOf } from '@/core/game/scoring';
import { dayOnGreen } from '@/core/green/day';
import type { SessionStart } from '@/core/exchange/session-start';
import type { Conditions, StationDistance } from '@/core/shot/conditions';
import type { Shot } from '@/core/shot/shot';
import { group } from 'd3-array';
import { and, asc, countDistinct, desc, eq, gt, gte, inArray, isNotNull, isNull, lt, ne, or, sql, type SQL } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { academy, dayConditions, game, player, session, sessionPlayer, sessionStation, shot } from '../schema';
import { gameInVersion, holdGame, type GameRow } from './game-versions';
import { getGreen } from './greens';
import { addGuests } from './guests';
import { notesIn } from './notes';
import { changeSession, holdSession, settle, stationsOf } from './projection';
import { asEntrant } from './rows';
import { seen, seenSession } from './seen';
import { shotsOfSessions } from './shots';

export type SessionRow = typeof session.$inferSelect;

/** A session as a list shows it. */
export type SessionLine = {
  session: SessionRow;
  players: { playerId: string; name: string; units: UnitSystem; score: number | null; met: boolean | null }[];
  balls: number;
};
/** One that is over, with how it ended; of somebody alone also how the score compares with those before. */
export type FinishedLine = SessionLine & { outcome: Outcome; before: ScoredBefore | null };

/** The best of a player's earlier sessions of one version of a game, and of how many. */
export type Best = { score: number; sessions: number };

/**
 * Starts a game for some players, and guests by their names; saying it twice with the same id starts it once.
 * @returns false if the academy has no such game or not all of these players, or they are too few for it
 */
export async function startSession(
  db: Db,
  actor: Actor,
  sessionId: string,
  gameId: string,
  entrants: readonly { playerId: string; allowance: number; guest?: string | undefined }[],
): Promise<boolean> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const [coach] = await tx.select().from(academy).where(eq(academy.academyId, academyId)).for('share');
    const game = await holdGame(tx, actor, gameId);
    const ids = entrants.map((one) => one.playerId);
    await addGuests(
      tx,
      actor,
      entrants.flatMap(({ playerId, guest }) => (guest === undefined ? [] : [{ playerId, name: guest }])),
    );
    const people = await tx
      .select()
      .from(player)
      .where(and(eq(player.academyId, academyId), inArray(player.playerId, ids)));
    if (!game || ids.length === 0 || people.length !== new Set(ids).size) return false;
    if (ids.length < schemeOf(game.spec.scoring).players) return false;
    const entered = entrants.map(({ playerId, allowance }) =>
      enter(
        people.find((one) => one.playerId === playerId)!,
        game.spec.sizes,
        coach!,
        allowance,
      ),
    );
    return openSession(tx, actor, sessionId, game, entered, new Date());
  });
}

/**
 * Takes in a session that a device began by itself, as it was begun: with the version of the game that the device had, and with what that
 * took from each player. Saying it twice takes it in once.
 * @param begunAt when, by a right clock
 * @returns true where it is here now; else what is no more, the game or everybody who played, or that its id is another session's
 */
export async function takeStart(
  db: Db,
  actor: Actor,
  { sessionId, gameId, gameVersion: version, entrants, guests = [] }: SessionStart,
  begunAt: Date,
): Promise<true | 'no game' | 'no player' | 'another session'> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    await tx.select().from(academy).where(eq(academy.academyId, academyId)).for('share');
    const game = await gameInVersion(tx, actor, gameId, version);
    if (!game || entrants.length < schemeOf(game.spec.scoring).players) return 'no game';
    const ids = entrants.map((one) => one.playerId);
    await addGuests(
      tx,
      actor,
      guests.filter(({ playerId }) => ids.includes(playerId)),
    );
    const here = await tx
      .select({ playerId: player.playerId })
      .from(player)
      .where(and(eq(player.academyId, academyId), inArray(player.playerId, ids), isNull(player.erasedAt)));
    // Of whoever was erased meanwhile nothing is taken in; the others played.
    const left = entrants.filter(({ playerId }) => here.some((one) => one.playerId === playerId));
    if (left.length === 0) return 'no player';
    return (await openSession(tx, actor, sessionId, game, left, begunAt)) || 'another session';
  });
}

/** @returns false where a session of this id is there already, and has not all of these players */
async function openSession(
  tx: Db,
  actor: Actor,
  sessionId: string,
  { gameId, version, spec, greenId, greenVersion }: Pick<GameRow, 'gameId' | 'version' | 'spec' | 'greenId' | 'greenVersion'>,
  entrants: readonly Entrant[],
  startedAt: Date,
): Promise<boolean> {
  const { academyId } = actor;
  const green = greenId && greenVersion ? await getGreen(tx, actor, greenId, greenVersion) : null;
  const conditions = { ...(green ? dayOnGreen(green.plan) : {}), ...(await conditionsOn(tx, actor, startedAt)) };
  const fresh = await tx
    .insert(session)
    .values({ academyId, sessionId, gameId, gameVersion: version, spec, greenId, greenVersion, conditions, startedAt })
    .onConflictDoNothing()
    .returning({ id: session.sessionId });
  // Said before: nobody is ever added to a session that is there.
  const ids = entrants.map(({ playerId }) => playerId);
  if (fresh.length === 0) return (await tx.$count(sessionPlayer, ofThem(academyId, sessionId, ids))) === ids.length;
  await tx.insert(sessionPlayer).values(entrants.map((one, position) => ({ academyId, sessionId, position, ...one })));
  return true;
}

const ofThem = (academyId: string, sessionId: string, players: string[]) =>
  and(eq(sessionPlayer.academyId, academyId), eq(sessionPlayer.sessionId, sessionId), inArray(sessionPlayer.playerId, players));

/** The day that a moment is, as the academy's time zone has it. */
const dayOf = (moment: Date | SQL) => sql<string>`(${moment}::timestamptz at time zone ${academy.timeZone})::date::text`;
const dayNow = dayOf(sql`now()`);

/** What was said about today; nothing where nobody said anything. */
export async function conditionsToday(db: Db, actor: Actor): Promise<Conditions> {
  return conditionsOn(db, actor, sql`now()`);
}

async function conditionsOn(db: Db, actor: Actor, moment: Date | SQL): Promise<Conditions> {
  const [row] = await db
    .select({ conditions: dayConditions.conditions })
    .from(academy)
    .innerJoin(dayConditions, and(eq(dayConditions.academyId, academy.academyId), sql`${dayConditions.day} = ${dayOf(moment)}::date`))
    .where(eq(academy.academyId, actor.academyId));
  return row?.conditions ?? {};
}

/** The day it is in the academy, such as 2026-05-01. */
export async function dayInAcademy(db: Db, actor: Actor): Promise<string> {
  const [row] = await db.select({ day: dayNow }).from(academy).where(eq(academy.academyId, actor.academyId));
  return row!.day;
}

/** On how many of the last weeks' days of this weekday each player hit a ball, today left out; days as they are in the academy. */
export async function visitsOnThisWeekday(db: Db, actor: Actor, weeks: number): Promise<Map<string, number>> {
  const [here] = await db.select({ zone: academy.timeZone, today: dayNow }).from(academy).where(eq(academy.academyId, actor.academyId));
  const { zone, today } = here!;
  const begins = (day: string) => startOfDayIn(day, zone);
  // Day by day, as moments, and then session by session: both are found by their keys, and never by going through all that there ever were.
  const days = Array.from({ length: weeks }, (_, n) => plusDays(today, -7 * (n + 1))).map((day) =>
    and(gte(session.startedAt, begins(day)), lt(session.startedAt, begins(plusDays(day, 1)))),
  );
  const players = db
    .select({ playerId: sessionPlayer.playerId })
    .from(sessionPlayer)
    .where(
      and(
        eq(sessionPlayer.academyId, session.academyId),
        eq(sessionPlayer.sessionId, session.sessionId),
        seen(actor, sessionPlayer.playerId),
      ),
    );
  const visits = db
    .select({
      day: sql`(${session.startedAt} at time zone ${zone}::text)::date`.as('day'),
      playerId: sql<string>`unnest(array(${players}))`.as('player_id'),
    })
    .from(session)
    .where(and(eq(session.academyId, actor.academyId), gt(session.balls, 0), or(...days)))
    .as('visits');
  const rows = await db
    .select({ playerId: visits.playerId, days: countDistinct(visits.day) })
    .from(visits)
    .groupBy(visits.playerId);
  return new Map(rows.map(({ playerId, days }) => [playerId, days]));
}

/**
 * Says what today is like: sessions that start today begin with it, and those that started today take it on, one after another.
 * @returns the sessions that took it on
 */
export async function saveConditionsToday(db: Db, actor: Actor, conditions: Conditions): Promise<string[]> {
  const { academyId } = actor;
  const day = await db.transaction(async (tx) => {
    // A session that is being started meanwhile is waited for, or begins with what is said here.
    await tx.select().from(academy).where(eq(academy.academyId, academyId)).for('no key update');
    const today = await dayInAcademy(tx, actor);
    await tx
      .insert(dayConditions)
      .values({ academyId, day: today, conditions })
      .onConflictDoUpdate({ target: [dayConditions.academyId, dayConditions.day], set: { conditions } });
    return today;
  });
  const started = await db
    .select({ sessionId: session.sessionId })
    .from(session)
    .innerJoin(academy, eq(academy.academyId, session.academyId))
    .where(and(eq(session.academyId, academyId), sql`(${session.startedAt} at time zone ${academy.timeZone})::date = ${day}::date`));
  for (const { sessionId } of started)
    await changeSession(db, actor, sessionId, async (tx, held) => {
      // What is laid over it is the day as it is by now: of two who say it at once, all sessions take the same.
      const [said] = await tx
        .select({ conditions: dayConditions.conditions })
        .from(dayConditions)
        .where(and(eq(dayConditions.academyId, academyId), eq(dayConditions.day, day)));
      await setConditions(tx, actor, sessionId, { ...held.conditions, ...said?.conditions });
    });
  return started.map(({ sessionId }) => sessionId);
}

/** Says what the day of one session was like; its balls follow. */
export async function saveConditions(db: Db, actor: Actor, sessionId: string, conditions: Conditions): Promise<void> {
  await changeSession(db, actor, sessionId, (tx) => setConditions(tx, actor, sessionId, conditions));
}

async function setConditions(tx: Db, { academyId }: Actor, sessionId: string, conditions: Conditions): Promise<void> {
  await tx
    .update(session)
    .set({ conditions })
    .where(and(eq(session.academyId, academyId), eq(session.sessionId, sessionId)));
}

/** Corrects how far a station was in a session; all its balls follow. */
export async function saveStationDistance(db: Db, actor: Actor, sessionId: string, { key, ...said }: StationDistance): Promise<void> {
  await changeSession(db, actor, sessionId, async (tx) => {
    await tx
      .insert(sessionStation)
      .values({ academyId: actor.academyId, sessionId, stationKey: key, ...said })
      .onConflictDoUpdate({ target: [sessionStation.academyId, sessionStation.sessionId, sessionStation.stationKey], set: said });
  });
}

/** Ends a session before its last ball; its balls stay. */
export async function stopSession(db: Db, actor: Actor, sessionId: string): Promise<void> {
  await setStopped(db, actor, sessionId, sql`case when ${session.completedAt} is null then coalesce(${session.stoppedAt}, now()) end`);
}

/** Takes an early end back. */
export async function resumeSession(db: Db, actor: Actor, sessionId: string): Promise<void> {
  await setStopped(db, actor, sessionId, sql`null`);
}

async function setStopped(db: Db, actor: Actor, sessionId: string, stoppedAt: SQL): Promise<void> {
  await db.transaction(async (tx) => {
    if (!(await holdSession(tx, actor, sessionId))) return;
    await tx
      .update(session)
      .set({ stoppedAt })
      .where(and(eq(session.academyId, actor.academyId), eq(session.sessionId, sessionId)));
    await settle(tx, actor, sessionId);
  });
}

async function lines(db: Db, actor: Actor, sessions: readonly SessionRow[]): Promise<SessionLine[]> {
  if (sessions.length === 0) return [];
  const ids = sessions.map((row) => row.sessionId);
  const people = await db
    .select({
      sessionId: sessionPlayer.sessionId,
      playerId: player.playerId,
      name: player.name,
      units: player.units,
      score: sessionPlayer.score,
      met: sessionPlayer.met,
    })
    .from(sessionPlayer)
    .innerJoin(player, and(eq(player.academyId, sessionPlayer.academyId), eq(player.playerId, sessionPlayer.playerId)))
    .where(and(eq(sessionPlayer.academyId, actor.academyId), inArray(sessionPlayer.sessionId, ids)))
    .orderBy(asc(sessionPlayer.position));
  return sessions.map((row) => ({
    session: row,
    players: people.filter((person) => person.sessionId === row.sessionId).map(({ sessionId: _of, ...person }) => person),
    balls: row.balls,
  }));
}

/** Whether a player was ever in a session of a game. */
export async function hasPlayed(db: Db, actor: Actor, playerId: string, gameId: string): Promise<boolean> {
  const of = and(eq(session.academyId, actor.academyId), eq(session.gameId, gameId), theirs(db, actor, playerId));
  return (await db.$count(session, of)) > 0;
}

/** Sessions in which a player takes part; all of them without one. */
function theirs(db: Db, actor: Actor, playerId: string | undefined) {
  if (playerId === undefined) return undefined;
  const of = and(eq(sessionPlayer.academyId, actor.academyId), eq(sessionPlayer.playerId, playerId));
  return inArray(session.sessionId, db.select({ id: sessionPlayer.sessionId }).from(sessionPlayer).where(of));
}

/** Of one player, of one game, or of all; `withBalls`: only those that somebody has really begun. */
type Unfinished = { playerId?: string; gameId?: string; withBalls?: boolean };

function unfinished(db: Db, actor: Actor, { playerId, gameId, withBalls = false }: Unfinished) {
  return and(
    eq(session.academyId, actor.academyId),
    isNull(session.completedAt),
    isNull(session.stoppedAt),
    withBalls ? gt(session.balls, 0) : undefined,
    gameId === undefined ? undefined : eq(session.gameId, gameId),
    seenSession(db, actor, session.sessionId),
    theirs(db, actor, playerId),
  );
}

/** Sessions that were begun and neither played to the end nor stopped, the newest first. */
export async function unfinishedSessions(db: Db, actor: Actor, limit: number, which: Unfinished = {}): Promise<SessionLine[]> {
  const rows = await db
    .select()
    .from(session)
    .where(unfinished(db, actor, which))
    .orderBy(desc(session.startedAt))
    .limit(limit);
  return lines(db, actor, rows);
}

/** How many sessions were begun and neither played to the end nor stopped. */
export async function countUnfinished(db: Db, actor: Actor, which: Unfinished = {}): Promise<number> {
  return db.$count(session, unfinished(db, actor, which));
}

/** Sessions that are over, the newest first; of one player, of one game, or of all. */
export async function finishedSessions(
  db: Db,
  actor: Actor,
  limit: number,
  { playerId, gameId }: { playerId?: string; gameId?: string } = {},
): Promise<FinishedLine[]> {
  const over = and(eq(session.academyId, actor.academyId), or(isNotNull(session.completedAt), isNotNull(session.stoppedAt)));
  const rows = await db
    .select()
    .from(session)
    .where(
      and(
        over,
        seenSession(db, actor, session.sessionId),
        theirs(db, actor, playerId),
        gameId === undefined ? undefined : eq(session.gameId, gameId),
      ),
    )
    .orderBy(desc(session.startedAt))
    .limit(limit);
  return finishedLines(db, actor, rows);
}

/** A player's place in a session that is over: what they scored, with how many balls, and nothing of those who played beside them. */
export type Place = { session: SessionRow; score: number | null; met: boolean | null; balls: number };

/** A player's places in sessions that are over, the newest first. */
export async function placesOf(db: Db, actor: Actor, playerId: string, limit: number): Promise<Place[]> {
  const { academyId } = actor;
  const theirBalls = sql<number>`(select coalesce(sum(${shot.nBalls}), 0)::int from ${shot} where ${shot.academyId} = ${session.academyId}
    and ${shot.sessionId} = ${session.sessionId} and ${shot.playerId} = ${playerId})`;
  return db
    .select({ session, score: sessionPlayer.score, met: sessionPlayer.met, balls: theirBalls })
    .from(sessionPlayer)
    .innerJoin(session, and(eq(session.academyId, sessionPlayer.academyId), eq(session.sessionId, sessionPlayer.sessionId)))
    .where(
      and(
        eq(sessionPlayer.academyId, academyId),
        eq(sessionPlayer.playerId, playerId),
        or(isNotNull(session.completedAt), isNotNull(session.stoppedAt)),
      ),
    )
    .orderBy(desc(session.startedAt))
    .limit(limit);
}

/** The last session of each game that is over. */
export async function lastOfGames(db: Db, actor: Actor): Promise<FinishedLine[]> {
  // Game by game, from the end of an index: there are a few games, and sessions by the ten thousand.
  const newest = db
    .select({ id: session.sessionId })
    .from(session)
    .where(
      and(
        eq(session.academyId, game.academyId),
        eq(session.gameId, game.gameId),
        or(isNotNull(session.completedAt), isNotNull(session.stoppedAt)),
        seenSession(db, actor, session.sessionId),
      ),
    )
    .orderBy(desc(session.startedAt))
    .limit(1);
  const ids = await db
    .select({ id: sql<string | null>`(${newest})` })
    .from(game)
    .where(eq(game.academyId, actor.academyId));
  const last = ids.flatMap(({ id }) => id ?? []);
  const rows = await db
    .select()
    .from(session)
    .where(and(eq(session.academyId, actor.academyId), inArray(session.sessionId, last)));
  return finishedLines(db, actor, rows);
}

/** Sessions that are over, with how each ended. */
export async function finishedLines(db: Db, actor: Actor, rows: readonly SessionRow[]): Promise<FinishedLine[]> {
  const played = await withShots(db, actor, rows);
  const before = await scoresBefore(db, actor, rows);
  return (await lines(db, actor, rows)).map((line, i) => {
    const { entrants, shots } = played[i]!;
    const { spec, sessionId, stoppedAt, given } = line.session;
    if (given !== null) return { ...line, outcome: givenOutcome(line.players), before: before.get(sessionId) ?? null };
    const atMs = stoppedAt?.getTime();
    const table = playSession(spec, entrants, shots, { seed: seedOf(sessionId), ...(atMs === undefined ? {} : { atMs }) });
    return { ...line, outcome: outcomeOf(spec, table), before: line.players.length === 1 ? (before.get(sessionId) ?? null) : null };
  });
}

/** What the players of sessions scored the time before, by the session; of those who have a score in it. */
async function scoresBefore(db: Db, { academyId }: Actor, sessions: readonly SessionRow[]): Promise<Map<string, ScoredBefore>> {
  if (sessions.length === 0) return new Map();
  const ids = sql.param(sessions.map(({ sessionId }) => sessionId));
  const { rows } = await db.execute<{ session_id: string; score: number; last: number; least: number; most: number }>(sql`
    with shown as (select player_id, session.game_id from session join session_player using (academy_id, session_id)
      where academy_id = ${academyId} and session_id = any(${ids}::uuid[]) and score is not null)
    select session_id, score, last, least, most from (
      select s.session_id, p.score, lag(p.score) over earlier as last, min(p.score) over till as least, max(p.score) over till as most
      from session s join session_player p using (academy_id, session_id)
      where s.academy_id = ${academyId} and p.score is not null and (p.player_id, s.game_id) in (select player_id, game_id from shown)
      window earlier as (partition by p.player_id, s.game_id, s.game_version order by s.started_at, s.session_id),
        till as (earlier rows between unbounded preceding and 1 preceding)) as scored
    where last is not null and session_id = any(${ids}::uuid[])`);
  const higher = new Map(sessions.map(({ sessionId, spec }) => [sessionId, schemeOf(spec.scoring).better(spec.scoring) === 'higher']));
  return new Map(
    rows.map(({ session_id, score, last, least, most }) => [session_id, { score, last, best: higher.get(session_id) ? most : least }]),
  );
}

/** Sessions with who plays in them and their balls, all at once, in the order given. */
export async function withShots(
  db: Db,
  actor: Actor,
  sessions: readonly SessionRow[],
): Promise<{ session: SessionRow; entrants: Entrant[]; shots: Shot[] }[]> {
  const ids = sessions.map((row) => row.sessionId);
  if (ids.length === 0) return [];
  const rows = await db
    .select()
    .from(sessionPlayer)
    .where(and(eq(sessionPlayer.academyId, actor.academyId), inArray(sessionPlayer.sessionId, ids)))
    .orderBy(asc(sessionPlayer.position));
  const entries = group(rows, (row) => row.sessionId);
  const shots = group(await shotsOfSessions(db, actor, ids), (one) => one.sessionId);
  return sessions.map((row) => ({
    session: row,
    entrants: (entries.get(row.sessionId) ?? []).map(asEntrant),
    shots: shots.get(row.sessionId) ?? [],
  }));
}

/** A session with its players and balls; null if the academy has none of this id. */
export async function getSession(db: Db, actor: Actor, sessionId: string) {
  const [row] = await db
    .select()
    .from(session)
    .where(and(eq(session.academyId, actor.academyId), eq(session.sessionId, sessionId)));
  if (!row) return null;
  const rows = await db
    .select({ player, entry: sessionPlayer })
    .from(sessionPlayer)
    .innerJoin(player, and(eq(player.academyId, sessionPlayer.academyId), eq(player.playerId, sessionPlayer.playerId)))
    .where(and(eq(sessionPlayer.academyId, actor.academyId), eq(sessionPlayer.sessionId, sessionId)))
    .orderBy(asc(sessionPlayer.position));
  return {
    session: row,
    players: rows.map((one) => one.player),
    entrants: rows.map((one) => asEntrant(one.entry)),
    /** What each scored alone in a game played to its end, or as it was noted; null where that is not known. */
    scores: rows.map(({ entry: { score, met } }) => ({ score, met })),
    /** The coach's own measures, for whoever has none. */
    coach: (await db.select().from(academy).where(eq(academy.academyId, actor.academyId)))[0]!,
    notes: await notesIn(
      db,
      actor,
      sessionId,
      rows.map((one) => one.player.playerId),
    ),
    stations: await stationsOf(db, actor, sessionId),
    shots: await shotsOfSessions(db, actor, [sessionId]),
  };
}

/**
 * The best score of a player in the version of the game that a session plays, over earlier completed sessions.
 * @returns null before the first
 */
export async function bestBefore(db: Db, actor: Actor, of: SessionRow, playerId: string): Promise<Best | null> {
  if (!of.gameId || of.gameVersion === null) return null;
  const earlier = await scoresWhere(
    db,
    actor,
    playerId,
    and(
      eq(session.gameId, of.gameId),
      eq(session.gameVersion, of.gameVersion),
      ne(session.sessionId, of.sessionId),
      sql`${session.startedAt} < ${of.startedAt}`,
    ),
  );
  const scores = earlier.map(({ score }) => score);
  const score = bestScore(of.spec, scores);
  return score === null ? null : { score, sessions: scores.length };
}

/** A score that a player made alone in a game played to its end. */
export type Score = { session: SessionRow; score: number };

/** All scores of a player, oldest first: of games that were played to their end and are not won from others. */
export async function scoresOf(db: Db, actor: Actor, playerId: string): Promise<Score[]> {
  return scoresWhere(db, actor, playerId, isNotNull(session.gameId));
}

async function scoresWhere(db: Db, actor: Actor, playerId: string, where: SQL | undefined): Promise<Score[]> {
  const rows = await db
    .select({ session, score: sessionPlayer.score })
    .from(session)
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .where(and(eq(session.academyId, actor.academyId), eq(sessionPlayer.playerId, playerId), isNotNull(sessionPlayer.score), where))
    .orderBy(asc(session.startedAt));
  return rows.map((row) => ({ session: row.session, score: row.score! }));
}
