import { aboutOf, activitiesOf, type ActivityAbout, type ActivityName } from '@/core/people/activity';
import type { ActivityAsked } from '@/core/people/activity-asked';
import { and, desc, eq, gte, inArray, lt, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { isId } from '../ids';
import { activity, authUser, player, playerLink } from '../schema';
import { beginsOn } from './days';

/** With what something was done, and what came of it in a word. */
export type Said = { about: string | null; more?: string | undefined };

/** Keeps that somebody did something. */
export async function noteActivity(db: Db, actor: Actor, what: ActivityName, { about, more }: Said): Promise<void> {
  await db.insert(activity).values({ academyId: actor.academyId, actor: actorName(actor), what, about, more: more ?? null });
}

/** Keeps that somebody took something out of the program as a file. @param about whose report; null: everybody's */
export function noteDownload(db: Db, actor: Actor, what: 'gotSessions' | 'gotBalls' | 'gotReport', about: string | null): Promise<void> {
  return noteActivity(db, actor, what, { about });
}

/** Keeps that somebody looked at something, once in 24 hours. */
export async function noteLook(db: Db, actor: Actor, what: ActivityName, about: string): Promise<void> {
  const { academyId } = actor;
  const before = sql`select 1 from ${activity} where academy_id = ${academyId} and about = ${about} and what = ${what}
    and actor = ${actorName(actor)} and happened_at > now() - interval '24 hours'`;
  await db.execute(sql`insert into ${activity} (academy_id, actor, what, about)
    select ${academyId}, ${actorName(actor)}, ${what}, ${about} where not exists (${before})`);
}

export type ActivityLine = {
  activityId: number;
  at: Date;
  /** Who, by name; null: somebody who has no account any more, or the program. */
  who: string | null;
  byProgram: boolean;
  what: string;
  about: string | null;
  /** What it was done with, by its name now; null: it has none, or is gone. */
  name: string | null;
  more: string | null;
};
/** What was done in the academy, the newest first, from a place on. */
export async function listActivity(
  db: Db,
  actor: Actor,
  { by, kind, player: playerId, from, to, before }: ActivityAsked,
  limit: number,
): Promise<ActivityLine[]> {
  const { academyId } = actor;
  const rows = await db
    .select()
    .from(activity)
    .where(
      and(
        eq(activity.academyId, academyId),
        before === undefined ? undefined : lt(activity.activityId, before),
        by === undefined ? undefined : eq(activity.actor, `user:${by}`),
        playerId === undefined ? undefined : eq(activity.about, playerId),
        kind === undefined ? undefined : inArray(activity.what, activitiesOf(kind)),
        from === undefined ? undefined : gte(activity.happenedAt, beginsOn(actor, from)),
        to === undefined ? undefined : lt(activity.happenedAt, beginsOn(actor, to, 1)),
      ),
    )
    .orderBy(desc(activity.activityId))
    .limit(limit);
  const people = await actorsNamed(db, actor, [...new Set(rows.map((row) => row.actor))]);
  const things = await thingsNamed(db, actor, rows);
  return rows.map(({ activityId, happenedAt, actor: by, what, about: id, more }) => ({
    ...{ activityId, at: happenedAt, what, about: id, more, byProgram: by === 'program' },
    who: people.get(by) ?? null,
    name: id === null ? null : (things.get(id) ?? null),
  }));
}

/** The names of those who did something, by the actor as it is kept. */
export async function actorsNamed(db: Db, actor: Actor, actors: readonly string[]): Promise<Map<string, string>> {
  const ids = (of: string) => actors.filter((name) => name.startsWith(of)).map((name) => name.slice(of.length));
  const [users, links] = await Promise.all([
    db
      .select({ id: authUser.id, name: authUser.name })
      .from(authUser)
      .where(inArray(authUser.id, ids('user:'))),
    db
      .select({ id: playerLink.linkId, name: player.name })
      .from(playerLink)
      .innerJoin(player, and(eq(player.academyId, playerLink.academyId), eq(player.playerId, playerLink.playerId)))
      .where(and(eq(playerLink.academyId, actor.academyId), inArray(playerLink.linkId, ids('link:').filter(isId)))),
  ]);
  return new Map([
    ...users.map(({ id, name }) => [`user:${id}`, name] as const),
    ...links.map(({ id, name }) => [`link:${id}`, name] as const),
  ]);
}

/** The names of what was done with, as they are now. */
async function thingsNamed(
  db: Db,
  { academyId }: Actor,
  rows: readonly { what: string; about: string | null }[],
): Promise<Map<string, string>> {
  const of = (kind: ActivityAbout) => rows.flatMap(({ what, about }) => (about !== null && aboutOf(what) === kind ? [about] : []));
  const some = (kind: ActivityAbout) => sql`${sql.param(of(kind).filter(isId))}::uuid[]`;
  const { rows: named } = await db.execute<{ id: string; name: string }>(sql`
    select id, name from auth_user where id = any(${sql.param(of('member'))}::text[])
    union all select player_id::text, name from player where academy_id = ${academyId} and player_id = any(${some('player')})
    union all select group_id::text, name from player_group where academy_id = ${academyId} and group_id = any(${some('group')})
    union all select session_id::text, title from session where academy_id = ${academyId} and session_id = any(${some('session')})
    union all select hour_id::text, hour ->> 'title' from hour where academy_id = ${academyId} and hour_id = any(${some('hour')})
    union all select weeks_id::text, weeks ->> 'title' from weeks where academy_id = ${academyId} and weeks_id = any(${some('weeks')})
    union all select import_id::text, file_name from import_file where academy_id = ${academyId} and import_id = any(${some('file')})
    union all (select distinct on (game_id) game_id::text, spec ->> 'title' from game_version
      where academy_id = ${academyId} and game_id = any(${some('game')}) order by game_id, version desc)
    union all (select distinct on (green_id) green_id::text, plan ->> 'title' from green_version
      where academy_id = ${academyId} and green_id = any(${some('green')}) order by green_id, version desc)`);
  return new Map(named.map(({ id, name }) => [id, name]));
}
