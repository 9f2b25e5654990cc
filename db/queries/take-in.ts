import type { SessionFacts } from '@/core/shot/conditions';
import type { ShotEvent, Taken } from '@/core/shot/shot';
import { group } from 'd3-array';
import { sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { shotEvent } from '../schema';
import { holdSession, projectAgain, projectNew } from './projection';

/**
 * Takes in what a device says about the balls of one session. An event that is already there is passed over, so the
 * same batch may come any number of times; one that is not the actor's to say is refused, and the others are stored.
 * @param clockBehindMs by how much the device's clock was behind when it sent this; null where it did not say
 */
export async function takeIn(
  db: Db,
  actor: Actor,
  sessionId: string,
  events: readonly ShotEvent[],
  clockBehindMs: number | null = null,
): Promise<Taken> {
  const { academyId } = actor;
  if (events.length === 0) return { stored: 0, known: 0, refused: [] };
  return db.transaction(async (tx) => {
    const held = await holdSession(tx, actor, sessionId);
    if (!held) return { stored: 0, known: 0, refused: events.map(({ eventId }) => ({ eventId, why: 'There is no such session.' })) };
    const facts = await factsFor(tx, actor, sessionId, events);
    const refused = refusals(facts, actor, sessionId, events);
    const own = events.filter(({ eventId }) => !refused.has(eventId));
    const stored = own.length > 0 ? await store(tx, actor, own, clockBehindMs) : [];
    const known = new Set(facts.before.map(({ shotId }) => shotId));
    const [again, fresh] = [stored.filter(({ shotId }) => known.has(shotId)), stored.filter(({ shotId }) => !known.has(shotId))];
    if (fresh.length > 0) await projectNew(tx, actor, held, facts.stations, fresh);
    if (again.length > 0) await projectAgain(tx, actor, held, [...new Set(again.map(({ shotId }) => shotId))]);
    return {
      stored: stored.length,
      known: own.length - stored.length,
      refused: [...refused].map(([eventId, why]) => ({ eventId, why })),
    };
  });
}

/** Stores events, and gives the rows of those that were not there. */
async function store(tx: Db, actor: Actor, events: readonly ShotEvent[], clockBehindMs: number | null) {
  const rows = events.map(({ deviceAt, ...event }) => ({
    ...event,
    academyId: actor.academyId,
    actor: actorName(actor),
    deviceAt: new Date(deviceAt),
    clockBehindMs,
  }));
  const { eventId, serverSeq, receivedAt } = shotEvent;
  const numbered = await tx.insert(shotEvent).values(rows).onConflictDoNothing().returning({ eventId, serverSeq, receivedAt });
  const at = new Map(numbered.map((row) => [row.eventId, row]));
  return rows.flatMap((row) => {
    const stored = at.get(row.eventId);
    return stored ? [{ ...row, ...stored }] : [];
  });
}

type Facts = {
  players: string[];
  stations: SessionFacts['stations'];
  /** What was said before about the same balls; whose ball it is stands in its record. */
  before: { shotId: string; sessionId: string; playerId: string | null }[];
};

/** What has to be known to take events in, asked for at once. */
async function factsFor(tx: Db, { academyId }: Actor, sessionId: string, events: readonly ShotEvent[]): Promise<Facts> {
  const balls = [...new Set(events.map(({ shotId }) => shotId))];
  const { rows } = await tx.execute<Facts>(sql`select
    (select coalesce(jsonb_agg(player_id), '[]') from session_player where academy_id = ${academyId} and session_id = ${sessionId})
      as players,
    (select coalesce(jsonb_agg(jsonb_build_object('key', station_key, 'distanceM', distance_m, 'source', source)), '[]')
      from session_station where academy_id = ${academyId} and session_id = ${sessionId}) as stations,
    (select coalesce(jsonb_agg(jsonb_build_object('shotId', shot_id, 'sessionId', session_id, 'playerId',
        case when kind = 'record' then payload ->> 'playerId' end)), '[]')
      from shot_event where academy_id = ${academyId} and shot_id = any(${sql.param(balls)}::uuid[])) as before`);
  return rows[0]!;
}

/**
 * Balls go to players of the session, nobody speaks about a ball of another session, and a personal link speaks about its own player's
 * balls only. Of a ball whose record is refused, nothing else can be said.
 * @returns why, by event; nothing of those that are the actor's to say
 */
function refusals({ players, before }: Facts, actor: Actor, sessionId: string, events: readonly ShotEvent[]): Map<string, string> {
  const inSession = new Set(players);
  const only = actor.kind === 'player' ? actor.playerId : null;
  const earlier = group(before, (row) => row.shotId);
  const why = (event: ShotEvent) => {
    const record = event.kind === 'record' ? event.payload : null;
    const said = earlier.get(event.shotId) ?? [];
    if (event.sessionId !== sessionId || (record && record.sessionId !== sessionId) || said.some((row) => row.sessionId !== sessionId))
      return 'This ball is of another session.';
    if (record && !inSession.has(record.playerId)) return 'Its player is not in this session.';
    if (only && (said.some((row) => row.playerId && row.playerId !== only) || (record && record.playerId !== only)))
      return 'This ball is another player’s.';
    return null;
  };
  const refused = new Map<string, string>();
  const balls = new Map<string, string>();
  for (const event of events) {
    const reason = why(event) ?? balls.get(event.shotId);
    if (!reason) continue;
    refused.set(event.eventId, reason);
    if (event.kind === 'record') balls.set(event.shotId, reason);
  }
  return refused;
}
