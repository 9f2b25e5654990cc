import type { SessionFacts } from '@/core/shot/conditions';
import type { RefusedEvent, ShotEvent, Taken } from '@/core/shot/shot';
import { group } from 'd3-array';
import { sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { shotEvent } from '../schema';
import { holdSession, projectAgain, projectNew } from './projection';

/** What one device says about the balls of one session. */
export type Post = {
  actor: Actor;
  events: readonly ShotEvent[];
  /** By how much the device's clock was behind when it sent this; null where it did not say. */
  clockBehindMs: number | null;
};

/**
 * Takes in what a device says about the balls of one session. An event that is already there is passed over, so the
 * same batch may come any number of times; one that is not the actor's to say is refused, and the others are stored.
 */
export async function takeIn(
  db: Db,
  actor: Actor,
  sessionId: string,
  events: readonly ShotEvent[],
  clockBehindMs: number | null = null,
): Promise<Taken> {
  const [taken] = await takeInAll(db, actor, sessionId, [{ actor, events, clockBehindMs }]);
  return taken!;
}

/**
 * The same for what several say at once about one session: in one transaction, which costs hardly more than one of them alone.
 * @returns what became of each, in their order
 */
export async function takeInAll(db: Db, actor: Actor, sessionId: string, posts: readonly Post[]): Promise<Taken[]> {
  const all = posts.flatMap(({ events }) => events);
  if (all.length === 0) return posts.map(() => ({ stored: 0, known: 0, refused: [] }));
  return db.transaction(async (tx) => {
    const held = await holdSession(tx, actor, sessionId);
    if (!held) return posts.map(({ events }) => ({ stored: 0, known: 0, refused: events.map(noSession) }));
    const facts = await factsFor(tx, actor, sessionId, all);
    const known = new Set(facts.before.map(({ shotId }) => shotId));
    const judged = posts.map((post) => judge(facts, sessionId, post));
    const rows = judged.flatMap(({ own }, i) => own.map((event) => rowOf(event, posts[i]!)));
    const stored = rows.length > 0 ? await store(tx, rows) : [];
    const [again, fresh] = [stored.filter(({ shotId }) => known.has(shotId)), stored.filter(({ shotId }) => !known.has(shotId))];
    if (fresh.length > 0) await projectNew(tx, actor, held, facts.stations, fresh);
    if (again.length > 0) await projectAgain(tx, actor, held, [...new Set(again.map(({ shotId }) => shotId))]);
    // What two said in the same moment was stored for the first.
    const left = new Set(stored.map(({ eventId }) => eventId));
    return judged.map(({ own, refused }) => {
      const mine = own.filter(({ eventId }) => left.delete(eventId)).length;
      return { stored: mine, known: own.length - mine, refused };
    });
  });
}

const noSession = ({ eventId }: ShotEvent) => ({ eventId, why: 'There is no such session.' });

function rowOf({ deviceAt, ...event }: ShotEvent, { actor, clockBehindMs }: Post) {
  return { ...event, academyId: actor.academyId, actor: actorName(actor), deviceAt: new Date(deviceAt), clockBehindMs };
}

/** Stores events, and gives the rows of those that were not there. */
async function store(tx: Db, rows: ReturnType<typeof rowOf>[]) {
  const { eventId, serverSeq, receivedAt } = shotEvent;
  const numbered = await tx.insert(shotEvent).values(rows).onConflictDoNothing().returning({ eventId, serverSeq, receivedAt });
  const at = new Map(numbered.map((row) => [row.eventId, row]));
  return rows.flatMap((row) => {
    const stored = at.get(row.eventId);
    at.delete(row.eventId);
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
 * balls only. Of a ball whose record is refused, nothing else can be said. What is good is noted in `before`.
 */
function judge({ players, before }: Facts, sessionId: string, { actor, events }: Post): { own: ShotEvent[]; refused: RefusedEvent[] } {
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
  const balls = new Map<string, string>();
  const judged: ReturnType<typeof judge> = { own: [], refused: [] };
  for (const event of events) {
    const reason = why(event) ?? balls.get(event.shotId);
    if (!reason) judged.own.push(event);
    else {
      judged.refused.push({ eventId: event.eventId, why: reason });
      if (event.kind === 'record') balls.set(event.shotId, reason);
    }
  }
  for (const { shotId, kind, payload } of judged.own)
    before.push({ shotId, sessionId, playerId: kind === 'record' ? payload.playerId : null });
  return judged;
}
