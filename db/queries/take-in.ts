import { allStations } from '@/core/game/station';
import { storedConditions, type SessionFacts } from '@/core/shot/conditions';
import type { RefusedEvent, ShotEvent, Taken } from '@/core/shot/shot';
import { group } from 'd3-array';
import { and, eq, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { session, shotEvent } from '../schema';
import { columnsOf } from './rows';
import { projectAgain, projectNew, settle, type NewEvent } from './projection';

/** What one device says about the balls of one session. */
export type Post = {
  actor: Actor;
  events: readonly ShotEvent[];
  /** By how much the device's clock was behind when it sent this; null where it did not say. */
  clockBehindMs: number | null;
};

/** What was known of sessions when balls were last taken in: it saves asking for it before each ball. */
export type Memory = { get(name: string): object | undefined; set(name: string, facts: object): unknown };

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
 * The same for what several say at once about one session: together, which costs hardly more than one of them alone.
 * @param memory of what was known of sessions: new balls are worked out with it, and stored at once where it still holds
 * @returns what became of each, in their order
 */
export async function takeInAll(
  db: Db,
  actor: Actor,
  sessionId: string,
  posts: readonly Post[],
  memory: Memory = new Map(),
): Promise<Taken[]> {
  const all = posts.flatMap(({ events }) => events);
  if (all.length === 0) return posts.map(() => ({ stored: 0, known: 0, refused: [] }));
  const name = `${actor.academyId}/${sessionId}`;
  const remembered = memory.get(name) as Remembered | undefined;
  if (remembered && all.every(({ kind }) => kind === 'record')) {
    const { facts, places } = remembered;
    const { taken, first } = sorted(facts, places, { before: [], known: [] }, posts);
    if (first.length > 0 && (await projectNew(db, actor, heldOf(facts), first, facts)) !== null) return taken;
  }
  return db.transaction(async (tx) => {
    const found = await holdWithFacts(tx, actor, sessionId, all);
    if (!found) return posts.map(({ events }) => ({ stored: 0, known: 0, refused: events.map(noSession) }));
    const { overFrom, before, known, ...facts } = found;
    const places = remembered?.places ?? (await placesOf(tx, actor, sessionId));
    memory.set(name, { facts, places } satisfies Remembered);
    const held = heldOf(facts);
    const { taken, first, again } = sorted(facts, places, { before, known }, posts);
    if (again.length > 0) await tx.insert(shotEvent).values(again);
    const balls = first.length > 0 ? await projectNew(tx, actor, held, first) : null;
    if (again.length > 0) await projectAgain(tx, actor, held, [...new Set(again.map(({ shotId }) => shotId))]);
    else if (balls !== null && overFrom !== null && balls >= overFrom) await settle(tx, actor, sessionId);
    return taken;
  });
}

/** What of several posts is to be stored: events about balls of which nothing was said before, and about others. */
function sorted(
  facts: Facts,
  places: Places,
  said: Said,
  posts: readonly Post[],
): { taken: Taken[]; first: NewEvent[]; again: NewEvent[] } {
  const receivedAt = new Date();
  const ballsBefore = new Set(said.before.map(({ shotId }) => shotId));
  const stored = new Set(said.known);
  const rows: NewEvent[] = [];
  const taken = posts.map((post) => {
    const { own, refused } = judge(facts, places, said, post);
    // What two say in the same moment is stored for the first.
    const fresh = own.filter(({ eventId }) => !stored.has(eventId) && stored.add(eventId));
    rows.push(...fresh.map((event) => rowOf(event, post, receivedAt)));
    return { stored: fresh.length, known: own.length - fresh.length, refused };
  });
  return {
    taken,
    first: rows.filter(({ shotId }) => !ballsBefore.has(shotId)),
    again: rows.filter(({ shotId }) => ballsBefore.has(shotId)),
  };
}

const noSession = ({ eventId }: ShotEvent) => ({ eventId, why: 'There is no such session.' });

function rowOf(event: ShotEvent, { actor, clockBehindMs }: Post, receivedAt: Date): NewEvent {
  return { ...columnsOf(event), academyId: actor.academyId, actor: actorName(actor), clockBehindMs, receivedAt };
}

/** What has to be known of a session to take balls in, as the database says it. */
type Facts = SessionFacts & {
  sessionId: string;
  startedAt: string;
  players: string[];
};

/** The keys of the stations of a session's game; open where they are called while it is played. They never change. */
type Places = ReadonlySet<string> | 'open';

type Remembered = { facts: Facts; places: Places };

type Said = {
  /** What was said before about the same balls; whose ball it is stands in its record. */
  before: { shotId: string; sessionId: string; playerId: string | null }[];
  /** Events that are there already. */
  known: string[];
};

const heldOf = ({ sessionId, startedAt, conditions, stations }: Facts) => ({
  sessionId,
  startedAt: new Date(startedAt),
  conditions: storedConditions.read(conditions),
  stations,
});

/** Takes a session, as `holdSession` does, and gives all that has to be known to take these events in. */
async function holdWithFacts(tx: Db, { academyId }: Actor, sessionId: string, events: readonly ShotEvent[]) {
  const balls = sql.param([...new Set(events.map(({ shotId }) => shotId))]);
  const ids = sql.param(events.map(({ eventId }) => eventId));
  const { rows } = await tx.execute<{ held: (Facts & Said & { balls: number; overFrom: number | null }) | null }>(
    sql`select hold_session(${academyId}, ${sessionId}, ${balls}::uuid[], ${ids}::uuid[]) as held`,
  );
  if (!rows[0]!.held) return null;
  const { balls: _now, ...held } = rows[0]!.held;
  return held;
}

async function placesOf(tx: Db, { academyId }: Actor, sessionId: string): Promise<Places> {
  const [found] = await tx
    .select({ spec: session.spec, given: session.given })
    .from(session)
    .where(and(eq(session.academyId, academyId), eq(session.sessionId, sessionId)));
  const { spec, given } = found!;
  // A result that was noted by hand takes no balls.
  if (given !== null) return new Set();
  return spec.open ? 'open' : new Set(allStations(spec).map(({ key }) => key));
}

/**
 * Balls go to players and stations of the session, nobody speaks about a ball of another session, and a personal link speaks about its own player's
 * balls only. Of a ball whose record is refused, nothing else can be said. What is good is noted in `before`.
 */
function judge(
  { sessionId, players }: Facts,
  places: Places,
  { before }: Said,
  { actor, events }: Post,
): { own: ShotEvent[]; refused: RefusedEvent[] } {
  const inSession = new Set(players);
  const only = actor.kind === 'player' ? actor.playerId : null;
  const earlier = group(before, (row) => row.shotId);
  const why = (event: ShotEvent) => {
    const record = event.kind === 'record' ? event.payload : null;
    const station = event.kind === 'void' ? undefined : event.payload.stationKey;
    const said = earlier.get(event.shotId) ?? [];
    if (event.sessionId !== sessionId || (record && record.sessionId !== sessionId) || said.some((row) => row.sessionId !== sessionId))
      return 'This ball is of another session.';
    if (record && !inSession.has(record.playerId)) return 'Its player is not in this session.';
    if (places !== 'open' && station !== undefined && !places.has(station)) return 'Its station isn’t in this game.';
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
