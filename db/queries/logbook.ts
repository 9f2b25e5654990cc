import type { ShotOut } from '@/core/formats/shot-table-out';
import type { GameSpec } from '@/core/game/spec';
import type { ScoreMade } from '@/core/logbook/figures';
import type { LogbookFilter, LogbookPlace, LogbookSort } from '@/core/logbook/asked';
import { group } from 'd3-array';
import { and, asc, desc, eq, exists, gte, ilike, inArray, isNotNull, lt, or, sql, type SQL } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { player, session, sessionPlayer, shot } from '../schema';
import { beginsOn } from './days';
import { finishedLines, type FinishedLine } from './sessions';
import { seen, seenSession } from './seen';
import { shotsOfSessions } from './shots';

/** A moment to the microsecond, as its text says it and reads it again. */
const moment = sql<string>`to_char(${session.startedAt} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`;

/** Words as they are looked for: what `like` takes for more than itself is escaped. */
const likely = (text: string) => `%${text.replaceAll(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** @param unfinished whether sessions that go on are found too */
function found(db: Db, actor: Actor, filter: LogbookFilter, unfinished = false): SQL | undefined {
  const { academyId } = actor;
  const { find, playerId, against, gameId, greenId, shotType, surface, ground, from, to, goal, several, tag, ids } = filter;
  const entry = and(eq(sessionPlayer.academyId, academyId), eq(sessionPlayer.sessionId, session.sessionId));
  const entered = (where?: SQL) =>
    exists(
      db
        .select({ one: sql`1` })
        .from(sessionPlayer)
        .where(and(entry, where)),
    );
  const named = (text: string) =>
    exists(
      db
        .select({ one: sql`1` })
        .from(sessionPlayer)
        .innerJoin(player, and(eq(player.academyId, sessionPlayer.academyId), eq(player.playerId, sessionPlayer.playerId)))
        .where(and(entry, ilike(player.name, text))),
    );
  // Most sessions have no tag: to look for that is cheaper than to go through none.
  const tagged = (text: string) =>
    sql`(cardinality(${session.tags}) > 0 and exists (select 1 from unnest(${session.tags}) tag where tag ilike ${text}))`;
  const words = find?.trim() ? likely(find.trim()) : null;
  return and(
    eq(session.academyId, academyId),
    unfinished ? undefined : or(isNotNull(session.completedAt), isNotNull(session.stoppedAt)),
    seenSession(db, actor, session.sessionId),
    words === null ? undefined : or(ilike(session.title, words), named(words), tagged(words)),
    playerId ? entered(eq(sessionPlayer.playerId, playerId)) : undefined,
    against ? entered(eq(sessionPlayer.playerId, against)) : undefined,
    goal ? entered(and(eq(sessionPlayer.met, goal === 'met'), playerId ? eq(sessionPlayer.playerId, playerId) : undefined)) : undefined,
    gameId ? eq(session.gameId, gameId) : undefined,
    greenId ? eq(session.greenId, greenId) : undefined,
    shotType || surface
      ? exists(
          db
            .select({ one: sql`1` })
            .from(shot)
            .where(
              and(
                eq(shot.academyId, academyId),
                eq(shot.sessionId, session.sessionId),
                shotType && eq(shot.shotType, shotType),
                surface && eq(shot.surface, surface),
              ),
            ),
        )
      : undefined,
    ground === 'wet' ? sql`(${session.conditions} ->> 'wet')::boolean` : ground && sql`${session.conditions} ->> 'firmness' = ${ground}`,
    from ? gte(session.startedAt, beginsOn(actor, from)) : undefined,
    to ? lt(session.startedAt, beginsOn(actor, to, 1)) : undefined,
    several ? sql`(select count(*) from ${sessionPlayer} where ${entry}) > 1` : undefined,
    ids ? inArray(session.sessionId, ids.split(',')) : undefined,
    tag ? sql`${session.tags} @> array[${tag}]::text[]` : undefined,
  );
}

const ORDER = {
  newest: { by: moment, order: [desc(session.startedAt), desc(session.sessionId)] },
  oldest: { by: moment, order: [asc(session.startedAt), asc(session.sessionId)] },
  game: { by: sql<string>`${session.title}`, order: [asc(session.title), asc(session.sessionId)] },
} as const;

/** What comes after a place: rows are compared as wholes, so that an index leads there at once. */
function beyond(sort: LogbookSort, { by, sessionId }: LogbookPlace): SQL {
  if (sort === 'game') return sql`(${session.title}, ${session.sessionId}) > (${by}, ${sessionId}::uuid)`;
  return sort === 'newest'
    ? sql`(${session.startedAt}, ${session.sessionId}) < (${by}::timestamptz, ${sessionId}::uuid)`
    : sql`(${session.startedAt}, ${session.sessionId}) > (${by}::timestamptz, ${sessionId}::uuid)`;
}

export type LogbookAt = { sort: LogbookSort; after: LogbookPlace | null; limit: number; unfinished?: boolean };

/** Sessions that are over (or, where that is asked for, those that go on too), in their order from a place on, and where the next ones begin; null: there are none. */
async function sessionsFrom(db: Db, actor: Actor, filter: LogbookFilter, { sort, after, limit, unfinished }: LogbookAt) {
  const { by, order } = ORDER[sort];
  const rows = await db
    .select({ session, by })
    .from(session)
    .where(and(found(db, actor, filter, unfinished), after ? beyond(sort, after) : undefined))
    .orderBy(...order)
    .limit(limit + 1);
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return {
    sessions: shown.map((row) => row.session),
    next: rows.length > limit && last ? { by: last.by, sessionId: last.session.sessionId } : null,
  };
}

/** A page of the sessions that are over, and where the next one begins; null: there is none. */
export async function logbookPage(
  db: Db,
  actor: Actor,
  filter: LogbookFilter,
  at: LogbookAt,
): Promise<{ lines: FinishedLine[]; next: LogbookPlace | null }> {
  const { sessions, next } = await sessionsFrom(db, actor, filter, at);
  return { lines: await finishedLines(db, actor, sessions), next };
}

/** The balls of a page of sessions, as a table has them: session after session, each in the order of play. */
export async function logbookShots(
  db: Db,
  actor: Actor,
  filter: LogbookFilter,
  at: LogbookAt,
): Promise<{ balls: ShotOut[]; next: LogbookPlace | null }> {
  const { sessions, next } = await sessionsFrom(db, actor, filter, at);
  const ids = sessions.map(({ sessionId }) => sessionId);
  if (ids.length === 0) return { balls: [], next };
  const shots = group(await shotsOfSessions(db, actor, ids), (one) => one.sessionId);
  const people = await db
    .selectDistinct({ playerId: player.playerId, name: player.name })
    .from(sessionPlayer)
    .innerJoin(player, and(eq(player.academyId, sessionPlayer.academyId), eq(player.playerId, sessionPlayer.playerId)))
    .where(and(eq(sessionPlayer.academyId, actor.academyId), inArray(sessionPlayer.sessionId, ids)));
  const names = new Map(people.map(({ playerId, name }) => [playerId, name]));
  return {
    balls: sessions.flatMap(({ sessionId, title, gameVersion }) =>
      (shots.get(sessionId) ?? []).map((shot) => ({ shot, player: names.get(shot.playerId) ?? '', game: title, gameVersion })),
    ),
    next,
  };
}

/** So many scores are looked at, the newest of them. */
const MOST_SCORES = 5000;

/** The scores in the sessions that are found of one game, each made alone in a game played to its end, or noted; with the game as it was last. */
export async function logbookScores(db: Db, actor: Actor, filter: LogbookFilter): Promise<{ spec: GameSpec; scores: ScoreMade[] } | null> {
  const rows = await db
    .select({ session, playerId: player.playerId, name: player.name, score: sessionPlayer.score })
    .from(session)
    .innerJoin(sessionPlayer, and(eq(sessionPlayer.academyId, session.academyId), eq(sessionPlayer.sessionId, session.sessionId)))
    .innerJoin(player, and(eq(player.academyId, sessionPlayer.academyId), eq(player.playerId, sessionPlayer.playerId)))
    .where(
      and(
        found(db, actor, filter),
        isNotNull(session.gameId),
        isNotNull(sessionPlayer.score),
        seen(actor, player.playerId),
        filter.playerId ? inArray(player.playerId, [filter.playerId, ...(filter.against ? [filter.against] : [])]) : undefined,
      ),
    )
    .orderBy(desc(session.startedAt))
    .limit(MOST_SCORES);
  const [last] = rows;
  return last
    ? {
        spec: last.session.spec,
        scores: rows.map(({ session: { gameVersion, startedAt, conditions }, playerId, name, score }) => ({
          ...{ playerId, name, conditions },
          version: gameVersion!,
          score: score!,
          at: startedAt,
        })),
      }
    : null;
}

/** How many sessions that are over are like that, counted up to so many. */
export async function logbookCount(db: Db, actor: Actor, filter: LogbookFilter, most: number): Promise<number> {
  return db.$count(
    db
      .select({ one: sql`1` })
      .from(session)
      .where(found(db, actor, filter))
      .limit(most)
      .as('found'),
  );
}

/** All that sessions were filed under, in the order of the alphabet. */
export async function listTags(db: Db, actor: Actor): Promise<string[]> {
  const tag = sql<string>`unnest(${session.tags})`.as('tag');
  const rows = await db
    .selectDistinct({ tag })
    .from(session)
    .where(and(eq(session.academyId, actor.academyId), sql`${session.tags} <> '{}'`, seenSession(db, actor, session.sessionId)))
    .orderBy(sql`tag`);
  return rows.map((row) => row.tag);
}

/** Files a session under some words, instead of those before. */
export async function saveTags(db: Db, actor: Actor, sessionId: string, tags: readonly string[]): Promise<void> {
  await db
    .update(session)
    .set({ tags: [...tags] })
    .where(and(eq(session.academyId, actor.academyId), eq(session.sessionId, sessionId)));
}
