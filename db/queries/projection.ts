import { seedOf } from '@/core/game/order';
import { outcomeOf } from '@/core/play/outcome';
import { playSession, scoreAlone } from '@/core/play/play';
import { leastBallsToGo } from '@/core/play/to-go';
import { withSession, type SessionFacts } from '@/core/shot/conditions';
import { projectShots } from '@/core/shot/project';
import { possibleMoment } from '@/core/shot/when';
import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { player, session, sessionPlayer, sessionStation, shot, shotEvent } from '../schema';
import { asEntrant, asEvent, asJson, rowsOf, shotsWhere, type EventRow } from './rows';

/*
 * How `shot` comes about: from the events of a session and from what the session says about all its balls, and in no other way. Whoever
 * changes one of these locks the session first and projects afterwards, in one transaction. Locks are always taken in this order: the
 * session, its rows, its players by their ids; no transaction locks two sessions.
 */

type ShotInsert = typeof shot.$inferInsert;

/** A session that this transaction holds. */
export type Held = Pick<typeof session.$inferSelect, 'sessionId' | 'startedAt' | 'conditions'>;

/** Takes a session for this transaction; whoever comes second waits. null if the academy has none of this id. */
export async function holdSession(db: Db, actor: Actor, sessionId: string): Promise<Held | null> {
  const { startedAt, conditions } = session;
  const [held] = await db
    .select({ sessionId: session.sessionId, startedAt, conditions })
    .from(session)
    .where(one(actor, sessionId))
    .for('no key update');
  return held ?? null;
}

const one = ({ academyId }: Actor, sessionId: string) => and(eq(session.academyId, academyId), eq(session.sessionId, sessionId));

/** What was said about stations of a session on the day. */
export async function stationsOf(db: Db, actor: Actor, sessionId: string): Promise<SessionFacts['stations']> {
  const { stationKey, distanceM, source } = sessionStation;
  return db
    .select({ key: stationKey, distanceM, source })
    .from(sessionStation)
    .where(and(eq(sessionStation.academyId, actor.academyId), eq(sessionStation.sessionId, sessionId)));
}

/** The rows that events of a session amount to, without their numbers. @param events in the order in which they were taken in */
export function projection(
  academyId: string,
  held: Held,
  stations: SessionFacts['stations'],
  events: readonly Omit<EventRow, 'serverSeq'>[],
): Omit<ShotInsert, 'serverSeq'>[] {
  const records = recordsOf(events);
  return projectShots(events.map(asEvent).filter((event) => event !== null)).map((ball) => {
    const { receivedAt, clockBehindMs } = records.get(ball.shotId)!;
    const playedAt = possibleMoment(ball.playedAt, { openedAt: held.startedAt, receivedAt, behindMs: clockBehindMs ?? 0 });
    return { ...withSession(ball, { stations, conditions: held.conditions }), academyId, playedAt };
  });
}

/** The event that recorded each ball: the first that says so. */
function recordsOf<Row extends Pick<EventRow, 'kind' | 'shotId'>>(events: readonly Row[]): Map<string, Row> {
  const records = new Map<string, Row>();
  for (const row of events) if (row.kind === 'record' && !records.has(row.shotId)) records.set(row.shotId, row);
  return records;
}

/** An event as it is about to be stored. */
export type NewEvent = Omit<EventRow, 'serverSeq'> & { academyId: string; actor: string };

/**
 * Stores events about balls of which nothing was known, and projects these: what it costs does not hang on how many balls the session has
 * already.
 * @param events all that is known of these balls, in their order
 * @param facts for whoever does not hold the session: what they take to be known of it
 * @returns how many balls the session has now; null where nothing was stored, because other facts hold or the session may be over with these
 */
export async function projectNew(
  db: Db,
  actor: Actor,
  held: Held & { stations: SessionFacts['stations'] },
  events: readonly NewEvent[],
  facts: object | null = null,
): Promise<number | null> {
  const balls = projection(actor.academyId, held, held.stations, events);
  const { rows } = await db.execute<{ balls: number | null }>(sql`select take_new(${actor.academyId}, ${held.sessionId},
    ${asJson(shotEvent, events)}::jsonb, ${asJson(shot, balls)}::jsonb, ${facts && JSON.stringify(facts)}::jsonb) as balls`);
  return rows[0]!.balls;
}

/**
 * Counts the balls of players anew, and that their evidence changed. Two sessions can share players: they are taken in one order, so that
 * neither waits for the other; and they are taken before anything is counted, so that balls are there which came in while they were waited for.
 * (New balls alone are added to what was counted: `take_new`.)
 */
export async function countPlayers(db: Db, actor: Actor, playerIds: readonly string[]): Promise<void> {
  const { academyId } = actor;
  if (playerIds.length === 0) return;
  const ids = sql`${sql.param([...playerIds])}::uuid[]`;
  await db.execute(
    sql`select 1 from player where academy_id = ${academyId} and player_id = any(${ids}) order by player_id for no key update`,
  );
  await db.execute(sql`update player p set evidence_rev = p.evidence_rev + 1, balls = c.balls, last_at = c.last_at
    from (select one.id, coalesce(sum(s.n_balls), 0)::int as balls, max(s.played_at) as last_at from unnest(${ids}) one(id)
      left join shot s on s.academy_id = ${academyId} and s.player_id = one.id group by one.id) c
    where p.academy_id = ${academyId} and p.player_id = c.id`);
}

/**
 * Projects some balls of a session again, or all: the rows are afterwards what the events say.
 * @param shotIds without them: all of the session
 * @returns how many balls the session has
 */
export async function projectAgain(db: Db, actor: Actor, held: Held, shotIds?: readonly string[]): Promise<number> {
  await countPlayers(db, actor, await makeRows(db, actor, held, shotIds));
  return settle(db, actor, held.sessionId);
}

/** Makes the rows of some balls of a session again, or of all. @returns whose they were, or are */
async function makeRows(db: Db, actor: Actor, held: Held, shotIds?: readonly string[]): Promise<string[]> {
  const { academyId } = actor;
  const { sessionId } = held;
  const events = await db
    .select()
    .from(shotEvent)
    .where(and(eq(shotEvent.academyId, academyId), eq(shotEvent.sessionId, sessionId), shotIds && inArray(shotEvent.shotId, [...shotIds])))
    .orderBy(asc(shotEvent.serverSeq));
  const records = recordsOf(events);
  const rows = projection(academyId, held, await stationsOf(db, actor, sessionId), events).map((row): ShotInsert => ({
    ...row,
    serverSeq: records.get(row.shotId)!.serverSeq,
  }));
  const before = await db
    .delete(shot)
    .where(and(eq(shot.academyId, academyId), eq(shot.sessionId, sessionId), shotIds && inArray(shot.shotId, [...shotIds])))
    .returning({ playerId: shot.playerId });
  if (rows.length > 0) {
    const { columns, select } = rowsOf(shot, rows);
    await db.execute(sql`insert into ${shot} (${columns}) ${select}`);
  }
  return [...new Set([...before, ...rows].map(({ playerId }) => playerId))];
}

/**
 * Sets what hangs on all balls of a session: how many there are, whether it is through, what each scored, and when that has to be looked at
 * again. @returns how many balls there are
 */
export async function settle(db: Db, actor: Actor, sessionId: string): Promise<number> {
  const { academyId } = actor;
  const { spec, stoppedAt, given } = (
    await db.select({ spec: session.spec, stoppedAt: session.stoppedAt, given: session.given }).from(session).where(one(actor, sessionId))
  )[0]!;
  // A result that was noted by hand hangs on no balls.
  if (given !== null) return 0;
  const entries = await db
    .select()
    .from(sessionPlayer)
    .where(and(eq(sessionPlayer.academyId, academyId), eq(sessionPlayer.sessionId, sessionId)))
    .orderBy(asc(sessionPlayer.position));
  const balls = await shotsWhere(db, actor, eq(shot.sessionId, sessionId), 'turns');
  const entrants = entries.map(asEntrant);
  const table = playSession(spec, entrants, balls, { seed: seedOf(sessionId) });
  const count = balls.reduce((sum, ball) => sum + ball.nBalls, 0);
  const toGo = leastBallsToGo(table);
  const last = balls.map((ball) => ball.playedAt).reduce<string | null>((a, b) => (a !== null && a > b ? a : b), null);
  await db
    .update(session)
    .set({
      balls: count,
      // Once it was stopped, a ball that comes late changes what was scored.
      overFrom: stoppedAt !== null ? 0 : Number.isFinite(toGo) ? count + toGo : null,
      completedAt: table.over && last ? new Date(last) : null,
      scoresDue: false,
    })
    .where(one(actor, sessionId));
  // Time that is over ends a game as its last ball does.
  const through = (table.over && last !== null) || (stoppedAt !== null && spec.rules.timeLimitS !== null);
  // As it stood when it was ended: what came later is in the balls, but not in time.
  const ended = stoppedAt === null ? table : playSession(spec, entrants, balls, { seed: seedOf(sessionId), atMs: stoppedAt.getTime() });
  const outcome = table.over || stoppedAt !== null ? outcomeOf(spec, ended) : null;
  for (const [i, entrant] of entrants.entries()) {
    const score = through ? scoreAlone(spec, entrant, balls, seedOf(sessionId)) : null;
    const met = outcome?.scores[i]?.met ?? null;
    if (score !== entries[i]!.score || met !== entries[i]!.met)
      await db
        .update(sessionPlayer)
        .set({ score, met })
        .where(
          and(eq(sessionPlayer.academyId, academyId), eq(sessionPlayer.sessionId, sessionId), eq(sessionPlayer.playerId, entrant.playerId)),
        );
  }
  return balls.length;
}

/** Changes something that a session says about all its balls, and lets them follow. */
export async function changeSession(db: Db, actor: Actor, sessionId: string, change: (tx: Db, held: Held) => Promise<void>): Promise<void> {
  await db.transaction(async (tx) => {
    const held = await holdSession(tx, actor, sessionId);
    if (!held) return;
    await change(tx, held);
    await projectAgain(tx, actor, (await holdSession(tx, actor, sessionId))!);
  });
}

const SESSIONS_READ = 500;
const PLAYERS_AT_ONCE = 50;

/**
 * Makes the projection of an academy again from its events alone: `shot`, how many balls each session and each player has, and which sessions
 * are through. Session by session, each in a transaction of its own, so that people go on playing meanwhile; and then the balls of each
 * player, once. Whoever ends it early does it again.
 * @param told hears now and then how many sessions and balls are done
 * @param atOnce so many sessions at a time: with two the program works on one while the database works on the other; one within a transaction
 * @returns how many balls there are
 */
export async function rebuildShots(
  db: Db,
  actor: Actor,
  told: (done: { sessions: number; balls: number }) => void = () => {},
  atOnce = 2,
): Promise<number> {
  let [sessions, balls] = [0, 0];
  let after: string | null = null;
  for (;;) {
    const ids: { id: string }[] = await db
      .select({ id: session.sessionId })
      .from(session)
      .where(and(eq(session.academyId, actor.academyId), after === null ? undefined : gt(session.sessionId, after)))
      .orderBy(asc(session.sessionId))
      .limit(SESSIONS_READ);
    const left = ids.values();
    const some = async () => {
      for (const { id } of left) {
        const made = await db.transaction(async (tx) => {
          const held = await holdSession(tx, actor, id);
          if (!held) return 0;
          await makeRows(tx, actor, held);
          return settle(tx, actor, id);
        });
        balls += made;
      }
    };
    await Promise.all(Array.from({ length: atOnce }, some));
    after = ids.at(-1)?.id ?? null;
    sessions += ids.length;
    told({ sessions, balls });
    if (ids.length < SESSIONS_READ) break;
  }
  const all = await db.select({ id: player.playerId }).from(player).where(eq(player.academyId, actor.academyId));
  for (let i = 0; i < all.length; i += PLAYERS_AT_ONCE)
    await db.transaction((tx) =>
      countPlayers(
        tx,
        actor,
        all.slice(i, i + PLAYERS_AT_ONCE).map(({ id }) => id),
      ),
    );
  return balls;
}
