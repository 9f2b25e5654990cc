import { and, eq, getTableColumns, inArray, sql } from 'drizzle-orm';
import type { Settings } from '@/core/people/account';
import { MEMBER_ROLES, seenBy, type Actor, type Member, type MemberRole } from '../actor';
import type { Db } from '../client';
import { academy, authMember, authOrganization, groupCoach, groupPlayer, session } from '../schema';
import { seesSessions } from './seen';

export type Academy = {
  academyId: string;
  slug: string;
  name: string;
  /** For how many years sessions are kept; null: for ever. */
  keepYears: number | null;
  /** When all of it is deleted; null: not at all. */
  deleteAt: Date | null;
} & Settings;

/** Whoever works in an academy. Others who belong to it get in nowhere. */
const works = inArray(authMember.role, [...MEMBER_ROLES]);

/** The academies in which a user works. */
function workplaces(db: Db, userId: string) {
  return db
    .select({
      role: sql<MemberRole>`${authMember.role}`,
      academyId: authOrganization.id,
      slug: authOrganization.slug,
      name: authOrganization.name,
      units: academy.units,
      timeZone: academy.timeZone,
      paceM: academy.paceM,
      clubM: academy.clubM,
      putterM: academy.putterM,
      flagstickM: academy.flagstickM,
      shoeM: academy.shoeM,
      halfLifeDays: academy.halfLifeDays,
      strokesAs: academy.strokesAs,
      keepYears: academy.keepYears,
      deleteAt: academy.deleteAt,
    })
    .from(authMember)
    .innerJoin(authOrganization, eq(authOrganization.id, authMember.organizationId))
    .innerJoin(academy, eq(academy.academyId, authOrganization.id))
    .where(and(eq(authMember.userId, userId), works))
    .$dynamic();
}

/** Who somebody is in an academy, and what holds there. */
export type At = { actor: Member; academy: Academy };

async function asMember(db: Db, userId: string, row: (Academy & { role: MemberRole }) | undefined): Promise<At | null> {
  if (!row) return null;
  const { role, ...academy } = row;
  const { academyId } = academy;
  if (role !== 'assistant') return { actor: { kind: role, academyId, userId }, academy };
  const theirs = await db
    .selectDistinct({ playerId: groupPlayer.playerId })
    .from(groupCoach)
    .innerJoin(groupPlayer, and(eq(groupPlayer.academyId, groupCoach.academyId), eq(groupPlayer.groupId, groupCoach.groupId)))
    .where(and(eq(groupCoach.academyId, academyId), eq(groupCoach.userId, userId)));
  return { actor: { kind: role, academyId, userId, players: theirs.map(({ playerId }) => playerId) }, academy };
}

/**
 * The academy of this address, if the user works there, and the user as an actor in it: where every query's actor
 * comes from.
 */
export async function memberIn(db: Db, userId: string, slug: string): Promise<At | null> {
  const rows = await workplaces(db, userId);
  return asMember(
    db,
    userId,
    rows.find((row) => row.slug === slug),
  );
}

/** The same by the academy's id. */
export async function memberOf(db: Db, userId: string, academyId: string): Promise<At | null> {
  const rows = await workplaces(db, userId);
  return asMember(
    db,
    userId,
    rows.find((row) => row.academyId === academyId),
  );
}

/** What holds in an academy; null where it was not made to its end, or is no more. */
export async function academyOf(db: Db, actor: Actor): Promise<Academy | null> {
  const { academyId: id, ...kept } = getTableColumns(academy);
  const [row] = await db
    .select({ ...kept, academyId: id, slug: authOrganization.slug, name: authOrganization.name })
    .from(academy)
    .innerJoin(authOrganization, eq(authOrganization.id, id))
    .where(eq(id, actor.academyId));
  return row ?? null;
}

/** The academy of the user that has this session, if there is one in which they see it: play addresses name a session only. */
export async function memberOfSession(db: Db, userId: string, sessionId: string): Promise<At | null> {
  const has = and(eq(session.academyId, authOrganization.id), eq(session.sessionId, sessionId));
  const [row] = await workplaces(db, userId).innerJoin(session, has).limit(1);
  const found = await asMember(db, userId, row);
  return found && (seenBy(found.actor) === null || (await seesSessions(db, found.actor, [sessionId]))) ? found : null;
}

/** The academies in which a user works, by name, and as what. */
export async function workplacesOf(db: Db, userId: string): Promise<{ slug: string; name: string; role: MemberRole }[]> {
  const rows = await workplaces(db, userId).orderBy(authOrganization.name);
  return rows.map(({ slug, name, role }) => ({ slug, name, role }));
}

/** The address of the first academy a user belongs to; null before there is one that was made to its end. */
export async function homeOf(db: Db, userId: string): Promise<string | null> {
  const [row] = await db
    .select({ slug: authOrganization.slug })
    .from(authMember)
    .innerJoin(authOrganization, eq(authOrganization.id, authMember.organizationId))
    .innerJoin(academy, eq(academy.academyId, authOrganization.id))
    .where(and(eq(authMember.userId, userId), works))
    .orderBy(authMember.createdAt)
    .limit(1);
  return row?.slug ?? null;
}

/** Sets what holds for a whole academy. */
export async function saveAcademy(db: Db, actor: Actor, settings: Partial<Settings> & Pick<Settings, 'units' | 'timeZone'>): Promise<void> {
  await db
    .insert(academy)
    .values({ academyId: actor.academyId, ...settings })
    .onConflictDoUpdate({ target: academy.academyId, set: settings });
}
