import type { Entrant } from '@/core/game/entrant';
import { seedOf } from '@/core/game/order';
import { playSession } from '@/core/game/play';
import { projectShots } from '@/core/shot/project';
import { possibleMoment } from '@/core/shot/when';
import { withSession, type SessionFacts } from '@/core/shot/conditions';
import { shotEventSchema, type Shot, type ShotEvent, type Taken, type TakenIn } from '@/core/shot/shot';
import { group } from 'd3-array';
import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { authUser, player, playerLink, session, sessionPlayer, sessionStation, shot, shotEvent } from '../schema';
import { tellSession } from './live';

type EventRow = typeof shotEvent.$inferSelect;
type ShotInsert = typeof shot.$inferInsert;

function asEvent(row: EventRow): ShotEvent {
  const { eventId, shotId, sessionId, kind, payload, deviceId, deviceSeq } = row;
  return shotEventSchema.parse({ eventId, shotId, sessionId, kind, payload, deviceId, deviceSeq, deviceAt: row.deviceAt.toISOString() });
}

/** A player as the session took them in. */
export function asEntrant({ playerId, level, unitM, scale, allowance }: typeof sessionPlayer.$inferSelect): Entrant {
  return { playerId, level, unitM, scale, allowance };
}

/** A row as the core has it. */
export function asShot(row: typeof shot.$inferSelect): Shot {
  const { academyId: _academy, serverSeq: _seq, ...facts } = row;
  return { ...facts, playedAt: row.playedAt.toISOString() };
}

/** The rows that a log of events amounts to: the one way in which `shot` comes about, at every post and in a rebuild. */
function projection(academyId: string, events: readonly EventRow[], facts: ReadonlyMap<string, Facts>): ShotInsert[] {
  const records = new Map<string, EventRow>();
  for (const row of events) if (row.kind === 'record' && !records.has(row.shotId)) records.set(row.shotId, row);
  return projectShots(events.map(asEvent)).map((one) => {
    const [of, { receivedAt, serverSeq }] = [facts.get(one.sessionId)!, records.get(one.shotId)!];
    return {
      ...withSession(one, of),
      academyId,
      playedAt: possibleMoment(one.playedAt, { openedAt: of.startedAt, receivedAt }),
      serverSeq,
    };
  });
}

const ROWS_AT_ONCE = 500;

async function insertInParts<T>(rows: readonly T[], insert: (part: T[]) => Promise<unknown>): Promise<void> {
  for (let i = 0; i < rows.length; i += ROWS_AT_ONCE) await insert(rows.slice(i, i + ROWS_AT_ONCE));
}

type Facts = SessionFacts & { startedAt: Date };

/** What sessions say about all their balls, and when they were opened. */
export async function factsOfSessions(db: Db, actor: Actor, sessionIds: readonly string[]): Promise<Map<string, Facts>> {
  if (sessionIds.length === 0) return new Map();
  const { academyId } = actor;
  const of = inArray(session.sessionId, [...sessionIds]);
  const rows = await db
    .select({ sessionId: session.sessionId, conditions: session.conditions, startedAt: session.startedAt })
    .from(session)
    .where(and(eq(session.academyId, academyId), of));
  const corrected = await db
    .select()
    .from(sessionStation)
    .where(and(eq(sessionStation.academyId, academyId), inArray(sessionStation.sessionId, [...sessionIds])));
  const stations = group(corrected, (row) => row.sessionId);
  return new Map(
    rows.map(({ sessionId, conditions, startedAt }) => [
      sessionId,
      {
        startedAt,
        conditions,
        stations: (stations.get(sessionId) ?? []).map(({ stationKey, distanceM, source }) => ({ key: stationKey, distanceM, source })),
      },
    ]),
  );
}

/** What was said about the balls of a session after so much, in the order in which it came in. */
export async function eventsOfSession(db: Db, actor: Actor, sessionId: string, after = 0): Promise<TakenIn[]> {
  const rows = await db
    .select()
    .from(shotEvent)
    .where(and(eq(shotEvent.academyId, actor.academyId), eq(shotEvent.sessionId, sessionId), gt(shotEvent.serverSeq, after)))
    .orderBy(asc(shotEvent.serverSeq));
  return rows.map((row) => ({ seq: row.serverSeq, event: asEvent(row) }));
}

/** Everything said about the balls of a session, with who said it, by name, and when it came in. */
export async function sessionLog(db: Db, actor: Actor, sessionId: string): Promise<{ event: ShotEvent; by: string; at: Date }[]> {
  const { academyId } = actor;
  const rows = await db
    .select({ row: shotEvent, user: authUser.name, player: player.name })
    .from(shotEvent)
    .leftJoin(authUser, sql`${shotEvent.actor} = 'user:' || ${authUser.id}`)
    .leftJoin(playerLink, and(eq(playerLink.academyId, shotEvent.academyId), sql`${shotEvent.actor} = 'link:' || ${playerLink.linkId}`))
    .leftJoin(player, and(eq(player.academyId, playerLink.academyId), eq(player.playerId, playerLink.playerId)))
    .where(and(eq(shotEvent.academyId, academyId), eq(shotEvent.sessionId, sessionId)))
    .orderBy(asc(shotEvent.serverSeq));
  return rows.map(({ row, user, player: name }) => ({
    event: asEvent(row),
    by: user ?? (name && `${name}, by link`) ?? 'the program',
    at: row.receivedAt,
  }));
}

/** The balls of sessions, in the order in which their records came in. */
export async function shotsOfSessions(db: Db, actor: Actor, sessionIds: readonly string[]): Promise<Shot[]> {
  if (sessionIds.length === 0) return [];
  const rows = await db
    .select()
    .from(shot)
    .where(and(eq(shot.academyId, actor.academyId), inArray(shot.sessionId, [...sessionIds])))
    .orderBy(asc(shot.turnNo), asc(shot.serverSeq));
  return rows.map(asShot);
}

/** All balls of one player, oldest first. */
export async function shotsOfPlayer(db: Db, actor: Actor, playerId: string): Promise<Shot[]> {
  const rows = await db
    .select()
    .from(shot)
    .where(and(eq(shot.academyId, actor.academyId), eq(shot.playerId, playerId)))
    .orderBy(asc(shot.playedAt), asc(shot.serverSeq));
  return rows.map(asShot);
}

/**
 * Takes in what a device says about the balls of one session. An event that is already there is passed over, so the
 * same batch may come any number of times; one that is not the actor's to say is refused, and the others are stored.
 */
export async function takeIn(db: Db, actor: Actor, sessionId: string, events: readonly ShotEvent[]): Promise<Taken> {
  const { academyId } = actor;
  if (events.length === 0) return { stored: 0, known: 0, refused: [] };
  return db.transaction(async (tx) => {
    const [held] = await tx
      .select({ id: session.sessionId })
      .from(session)
      .where(and(eq(session.academyId, academyId), eq(session.sessionId, sessionId)))
      .for('update');
    const why = held ? await foreignTo(tx, actor, sessionId, events) : () => 'There is no such session.';
    // Of a ball whose record is refused, nothing else can be said.
    const balls = new Map<string, string>();
    const refused = events.flatMap((event) => {
      const reason = why(event) ?? balls.get(event.shotId);
      if (!reason) return [];
      if (event.kind === 'record') balls.set(event.shotId, reason);
      return [{ eventId: event.eventId, why: reason }];
    });
    const out = new Set(refused.map(({ eventId }) => eventId));
    const own = events.filter(({ eventId }) => !out.has(eventId));

    const fresh: { shotId: string }[] = [];
    await insertInParts(own, async (part) => {
      const rows = part.map(({ deviceAt, ...event }) => ({
        ...event,
        academyId,
        actor: actorName(actor),
        deviceAt: new Date(deviceAt),
      }));
      fresh.push(...(await tx.insert(shotEvent).values(rows).onConflictDoNothing().returning({ shotId: shotEvent.shotId })));
    });
    if (fresh.length > 0) {
      await projectAgain(tx, actor, sessionId, [...new Set(fresh.map((row) => row.shotId))]);
      await tellSession(tx, actor, sessionId, 'facts');
    }
    return { stored: fresh.length, known: own.length - fresh.length, refused };
  });
}

/**
 * Balls go to players of the session, nobody speaks about a ball of another session, and a personal link speaks about its own player's
 * balls only.
 * @returns why an event is not the actor's to say; null where it is
 */
async function foreignTo(
  tx: Db,
  actor: Actor,
  sessionId: string,
  events: readonly ShotEvent[],
): Promise<(event: ShotEvent) => string | null> {
  const { academyId } = actor;
  const players = await tx
    .select({ playerId: sessionPlayer.playerId })
    .from(sessionPlayer)
    .where(and(eq(sessionPlayer.academyId, academyId), eq(sessionPlayer.sessionId, sessionId)));
  const known = new Set(players.map((row) => row.playerId));
  const balls = [...new Set(events.map((event) => event.shotId))];
  const before = await tx
    .selectDistinct({
      shotId: shotEvent.shotId,
      sessionId: shotEvent.sessionId,
      playerId: sql<string | null>`case when ${shotEvent.kind} = 'record' then ${shotEvent.payload} ->> 'playerId' end`,
    })
    .from(shotEvent)
    .where(and(eq(shotEvent.academyId, academyId), inArray(shotEvent.shotId, balls)));
  const elsewhere = new Set(before.filter((row) => row.sessionId !== sessionId).map((row) => row.shotId));
  const only = actor.kind === 'player' ? actor.playerId : null;
  const others = new Set(before.filter((row) => only && row.playerId && row.playerId !== only).map((row) => row.shotId));
  return (event) => {
    const record = event.kind === 'record' ? event.payload : null;
    if (event.sessionId !== sessionId || (record && record.sessionId !== sessionId) || elsewhere.has(event.shotId))
      return 'This ball is of another session.';
    if (record && !known.has(record.playerId)) return 'Its player is not in this session.';
    if (others.has(event.shotId) || (only && record && record.playerId !== only)) return 'This ball is another player’s.';
    return null;
  };
}

/** Projects some balls of a session again, then what hangs on them: whether the session is through, and the players' evidence. */
async function projectAgain(tx: Db, actor: Actor, sessionId: string, shotIds: string[]) {
  const { academyId } = actor;
  const events = await tx
    .select()
    .from(shotEvent)
    .where(and(eq(shotEvent.academyId, academyId), inArray(shotEvent.shotId, shotIds)))
    .orderBy(asc(shotEvent.serverSeq));
  await tx.delete(shot).where(and(eq(shot.academyId, academyId), inArray(shot.shotId, shotIds)));
  const facts = await factsOfSessions(tx, actor, [sessionId]);
  await insertInParts(projection(academyId, events, facts), (part) => tx.insert(shot).values(part));
  await completeSessions(tx, actor, [sessionId]);
  await tx
    .update(player)
    .set({ evidenceRev: sql`${player.evidenceRev} + 1` })
    .where(
      and(
        eq(player.academyId, academyId),
        inArray(player.playerId, [...new Set(events.flatMap((e) => ('playerId' in e.payload ? [e.payload.playerId as string] : [])))]),
      ),
    );
}

/** Projects all balls of a session again: what it says about all of them has changed. */
export async function projectSession(db: Db, actor: Actor, sessionId: string): Promise<void> {
  const rows = await db
    .selectDistinct({ shotId: shotEvent.shotId })
    .from(shotEvent)
    .where(and(eq(shotEvent.academyId, actor.academyId), eq(shotEvent.sessionId, sessionId)));
  if (rows.length > 0)
    await projectAgain(
      db,
      actor,
      sessionId,
      rows.map((row) => row.shotId),
    );
}

/** Sets when each session was through: with the last ball of the last of its players, or not at all. */
async function completeSessions(tx: Db, actor: Actor, sessionIds: readonly string[]) {
  const { academyId } = actor;
  const rows = await tx
    .select({ session, entry: sessionPlayer })
    .from(session)
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .where(and(eq(session.academyId, academyId), inArray(session.sessionId, [...sessionIds])))
    .orderBy(asc(sessionPlayer.position));
  const shots = group(await shotsOfSessions(tx, actor, sessionIds), (one) => one.sessionId);
  for (const [sessionId, entries] of group(rows, (row) => row.session.sessionId)) {
    const { spec, completedAt } = entries[0]!.session;
    const balls = shots.get(sessionId) ?? [];
    const through = playSession(
      spec,
      entries.map((row) => asEntrant(row.entry)),
      balls,
      { seed: seedOf(sessionId) },
    ).over;
    const last = balls
      .map((ball) => ball.playedAt)
      .toSorted()
      .at(-1);
    const when = through && last ? new Date(last) : null;
    if (when?.getTime() === completedAt?.getTime()) continue;
    await tx
      .update(session)
      .set({ completedAt: when })
      .where(and(eq(session.academyId, academyId), eq(session.sessionId, sessionId)));
  }
}

/**
 * Makes the projection of an academy again from its events alone: `shot`, and which sessions are through.
 * @returns how many balls there are
 */
export async function rebuildShots(db: Db, actor: Actor): Promise<number> {
  const { academyId } = actor;
  return db.transaction(async (tx) => {
    const events = await tx.select().from(shotEvent).where(eq(shotEvent.academyId, academyId)).orderBy(asc(shotEvent.serverSeq));
    const sessions = await tx.select({ id: session.sessionId }).from(session).where(eq(session.academyId, academyId));
    const ids = sessions.map((row) => row.id);
    const rows = projection(academyId, events, await factsOfSessions(tx, actor, ids));
    await tx.delete(shot).where(eq(shot.academyId, academyId));
    await insertInParts(rows, (part) => tx.insert(shot).values(part));
    if (ids.length > 0) await completeSessions(tx, actor, ids);
    return rows.length;
  });
}
