import type { Shot, ShotEvent, TakenIn } from '@/core/shot/shot';
import { and, asc, eq, gt, inArray, sql } from 'drizzle-orm';
import { seenBy, type Actor } from '../actor';
import type { Db } from '../client';
import { authUser, player, playerLink, shot, shotEvent } from '../schema';
import { asEvent, asSaid, shotsWhere } from './rows';

/**
 * What was said about the balls of a session after so much, in the order in which it came in. Whoever does not see all players reads
 * the notes on the balls of those whom they see.
 */
export async function eventsOfSession(db: Db, actor: Actor, sessionId: string, after = 0): Promise<TakenIn[]> {
  const rows = await db
    .select()
    .from(shotEvent)
    .where(and(eq(shotEvent.academyId, actor.academyId), eq(shotEvent.sessionId, sessionId), gt(shotEvent.serverSeq, after)))
    .orderBy(asc(shotEvent.serverSeq));
  const known = rows.map((row) => ({ seq: row.serverSeq, shotId: row.shotId, event: asSaid(row) }));
  const players = seenBy(actor);
  if (players === null) return known.map(({ seq, event }) => ({ seq, event }));
  const own = await db
    .selectDistinct({ shotId: shotEvent.shotId })
    .from(shotEvent)
    .where(
      and(
        eq(shotEvent.academyId, actor.academyId),
        eq(shotEvent.sessionId, sessionId),
        eq(shotEvent.kind, 'record'),
        sql`${shotEvent.payload} ->> 'playerId' = any(${sql.param(players)}::text[])`,
      ),
    );
  const mine = new Set(own.map(({ shotId }) => shotId));
  return known.map(({ seq, shotId, event }) => ({ seq, event: mine.has(shotId) ? event : withoutNote(event) }));
}

function withoutNote(event: Record<string, unknown>): Record<string, unknown> {
  const payload = event.payload as Record<string, unknown>;
  return 'note' in payload ? { ...event, payload: { ...payload, note: null } } : event;
}

/** Something said about a ball, who said it, by name, and when it came in; an event of a newer program that can't be understood is null. */
export type LogEntry = { event: ShotEvent | null; by: string; at: Date };

/** The id in the name of whoever said something, where they are of such a kind; else null. */
const idAfter = (kind: string) =>
  sql`(case when ${shotEvent.actor} like ${`${kind}%`} then substr(${shotEvent.actor}, ${kind.length + 1}) end)`;

/** Everything said about the balls of a session. */
export async function sessionLog(db: Db, actor: Actor, sessionId: string): Promise<LogEntry[]> {
  const { academyId } = actor;
  const rows = await db
    .select({ row: shotEvent, user: authUser.name, player: player.name })
    .from(shotEvent)
    // By the keys of those tables: a join by what is put together would read all of them.
    .leftJoin(authUser, sql`${authUser.id} = ${idAfter('user:')}`)
    .leftJoin(playerLink, and(eq(playerLink.academyId, shotEvent.academyId), sql`${playerLink.linkId} = ${idAfter('link:')}::uuid`))
    .leftJoin(player, and(eq(player.academyId, playerLink.academyId), eq(player.playerId, playerLink.playerId)))
    .where(and(eq(shotEvent.academyId, academyId), eq(shotEvent.sessionId, sessionId)))
    .orderBy(asc(shotEvent.serverSeq));
  return rows.map(({ row, user, player: name }) => ({
    event: asEvent(row),
    by: user ?? (name && `${name}, by link`) ?? 'the program',
    at: row.receivedAt,
  }));
}

/** The balls of sessions, in the order of their turns. */
export async function shotsOfSessions(db: Db, actor: Actor, sessionIds: readonly string[]): Promise<Shot[]> {
  if (sessionIds.length === 0) return [];
  return shotsWhere(db, actor, inArray(shot.sessionId, [...sessionIds]), 'turns');
}

/** All balls of one player, oldest first. */
export async function shotsOfPlayer(db: Db, actor: Actor, playerId: string): Promise<Shot[]> {
  return shotsWhere(db, actor, eq(shot.playerId, playerId), 'played');
}
