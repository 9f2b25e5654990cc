import { and, eq } from 'drizzle-orm';
import type { Settings } from '@/core/people/account';
import type { Actor, Coach } from '../actor';
import type { Db } from '../client';
import { academy, authMember, authOrganization, session } from '../schema';

export type Academy = {
  academyId: string;
  slug: string;
  name: string;
  /** When all of it is deleted; null: not at all. */
  deleteAt: Date | null;
} & Settings;

/** Who works in an academy as a coach: whoever founded it. Others who belong to it get in nowhere. */
const COACH = 'owner';

/** The academies in which a user is a coach. */
function coached(db: Db, userId: string) {
  return db
    .select({
      academyId: authOrganization.id,
      slug: authOrganization.slug,
      name: authOrganization.name,
      units: academy.units,
      timeZone: academy.timeZone,
      paceM: academy.paceM,
      clubM: academy.clubM,
      putterM: academy.putterM,
      flagstickM: academy.flagstickM,
      halfLifeDays: academy.halfLifeDays,
      deleteAt: academy.deleteAt,
    })
    .from(authMember)
    .innerJoin(authOrganization, eq(authOrganization.id, authMember.organizationId))
    .innerJoin(academy, eq(academy.academyId, authOrganization.id))
    .where(and(eq(authMember.userId, userId), eq(authMember.role, COACH)))
    .$dynamic();
}

const asCoach = (userId: string, row: Academy | undefined): { actor: Coach; academy: Academy } | null =>
  row ? { actor: { kind: 'coach', academyId: row.academyId, userId }, academy: row } : null;

/**
 * The academy of this address, if the user is a coach there, and the user as an actor in it: where every query's actor
 * comes from.
 */
export async function coachIn(db: Db, userId: string, slug: string): Promise<{ actor: Coach; academy: Academy } | null> {
  const rows = await coached(db, userId);
  return asCoach(
    userId,
    rows.find((row) => row.slug === slug),
  );
}

/** The academy of the user that has this session, if there is one: play addresses name a session only. */
export async function coachOfSession(db: Db, userId: string, sessionId: string): Promise<{ actor: Coach; academy: Academy } | null> {
  const has = and(eq(session.academyId, authOrganization.id), eq(session.sessionId, sessionId));
  const [row] = await coached(db, userId).innerJoin(session, has).limit(1);
  return asCoach(userId, row);
}

/** The address of the first academy a user belongs to; null before there is one that was made to its end. */
export async function homeOf(db: Db, userId: string): Promise<string | null> {
  const [row] = await db
    .select({ slug: authOrganization.slug })
    .from(authMember)
    .innerJoin(authOrganization, eq(authOrganization.id, authMember.organizationId))
    .innerJoin(academy, eq(academy.academyId, authOrganization.id))
    .where(and(eq(authMember.userId, userId), eq(authMember.role, COACH)))
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
