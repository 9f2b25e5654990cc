import { and, count, desc, eq, lt, min, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { isId } from '../ids';
import { device, player, refusedEvent, session, shot, shotEvent } from '../schema';
import { actorsNamed } from './activity';

/** How much an academy has stored. */
export type Storage = {
  players: number;
  sessions: number;
  /** Balls as they are, and what was said about them. */
  balls: number;
  events: number;
  /** About how much room the balls take, in bytes: their share of the tables of all academies. */
  bytes: number;
  /** The first session; null: there is none. */
  since: Date | null;
};

export async function storageOf(db: Db, actor: Actor): Promise<Storage> {
  const { academyId } = actor;
  const [players, [sessions], [balls], events, { rows }] = await Promise.all([
    db.$count(player, eq(player.academyId, academyId)),
    db
      .select({ n: count(), since: min(session.startedAt) })
      .from(session)
      .where(eq(session.academyId, academyId)),
    db
      .select({ n: sql<number>`coalesce(sum(${shot.nBalls}), 0)::int`, rows: count() })
      .from(shot)
      .where(eq(shot.academyId, academyId)),
    db.$count(shotEvent, eq(shotEvent.academyId, academyId)),
    db.execute<{ event: number | null; shot: number | null }>(
      sql`select (${shareOf('shot_event')}) as event, (${shareOf('shot')}) as shot`,
    ),
  ]);
  // A database that has not looked at its tables yet knows no share.
  const { event, shot: ball } = rows[0]!;
  const bytes = Math.round(events * (event ?? USUAL.event) + balls!.rows * (ball ?? USUAL.shot));
  return { players, sessions: sessions!.n, balls: balls!.n, events, bytes, since: sessions!.since };
}
/** How many bytes a row of a table takes with its indexes; its partitions together, where it lies in some. */
const shareOf = (
  table: string,
) => sql`select coalesce((select sum(pg_total_relation_size(relid)) from pg_partition_tree(oid)), pg_total_relation_size(oid))::float8
  / nullif(greatest(reltuples, 0), 0) from pg_class where oid = ${table}::regclass`;
/** So many bytes a row usually takes with its indexes. */
const USUAL = { event: 1300, shot: 700 };

/** Of so many events of one post it is kept that they were refused. */
const MOST_REFUSED = 50;

/** Keeps that events were refused for good; once each, however often they come. */
export async function noteRefused(
  db: Db,
  actor: Actor,
  sessionId: string,
  refused: readonly { eventId: string | null; why: string }[],
): Promise<void> {
  const { academyId } = actor;
  const named = refused.flatMap(({ eventId, why }) => (eventId !== null && isId(eventId) ? [{ eventId, why }] : [])).slice(0, MOST_REFUSED);
  if (named.length === 0) return;
  await db
    .insert(refusedEvent)
    .values(named.map((one) => ({ ...one, academyId, sessionId, actor: actorName(actor) })))
    .onConflictDoNothing();
}

/** What was refused in the last 90 days, by session and reason, the newest first. */
export type RefusedLine = { sessionId: string; title: string | null; who: string | null; why: string; events: number; at: Date };

export async function listRefused(db: Db, actor: Actor, limit: number): Promise<RefusedLine[]> {
  const { sessionId, actor: by, why, refusedAt } = refusedEvent;
  const at = sql<Date>`max(${refusedAt})`.mapWith(refusedAt);
  const rows = await db
    .select({ sessionId, title: session.title, by, why, events: count(), at })
    .from(refusedEvent)
    .leftJoin(session, and(eq(session.academyId, refusedEvent.academyId), eq(session.sessionId, sessionId)))
    .where(eq(refusedEvent.academyId, actor.academyId))
    .groupBy(sessionId, session.title, by, why)
    .orderBy(desc(at))
    .limit(limit);
  const names = await actorsNamed(db, actor, [...new Set(rows.map((row) => row.by))]);
  return rows.map(({ by: who, ...row }) => ({ ...row, who: names.get(who) ?? null }));
}

/** Keeps that a device was heard of. */
export async function noteDevice(db: Db, actor: Actor, deviceId: string): Promise<void> {
  const by = actorName(actor);
  await db
    .insert(device)
    .values({ academyId: actor.academyId, deviceId, actor: by })
    .onConflictDoUpdate({ target: [device.academyId, device.deviceId], set: { actor: by, lastAt: new Date() } });
}

export type DeviceLine = { deviceId: string; who: string | null; firstAt: Date; lastAt: Date };

/** The devices that were not heard of since a moment, the longest silent last; and how many there are in all. */
export async function silentDevices(db: Db, actor: Actor, since: Date, limit: number): Promise<{ all: number; silent: DeviceLine[] }> {
  const mine = eq(device.academyId, actor.academyId);
  const [all, rows] = await Promise.all([
    db.$count(device, mine),
    db
      .select()
      .from(device)
      .where(and(mine, lt(device.lastAt, since)))
      .orderBy(desc(device.lastAt))
      .limit(limit),
  ]);
  const names = await actorsNamed(db, actor, [...new Set(rows.map((row) => row.actor))]);
  return {
    all,
    silent: rows.map(({ deviceId, actor: by, firstAt, lastAt }) => ({ deviceId, who: names.get(by) ?? null, firstAt, lastAt })),
  };
}
