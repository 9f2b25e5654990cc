import type { GivenReport } from '@/core/report/given-report';
import { and, desc, eq, gt, isNull, or, sql } from 'drizzle-orm';
import type { Actor } from '../actor';
import type { Db } from '../client';
import { player, report } from '../schema';

/** A link to a report as the coach sees it. */
export type ReportLine = { reportId: string; period: string; createdAt: Date; expiresAt: Date };

const holding = (now: Date) => and(isNull(report.revokedAt), gt(report.expiresAt, now));

/** Keeps a report of a player, or of the squad (null), under a link; false if the academy has no such player. */
export async function keepReport(
  db: Db,
  actor: Actor,
  playerId: string | null,
  kept: { reportId: string; report: GivenReport; tokenHash: Buffer; expiresAt: Date },
): Promise<boolean> {
  const { academyId } = actor;
  if (playerId !== null) {
    const known = await db.$count(player, and(eq(player.academyId, academyId), eq(player.playerId, playerId)));
    if (known === 0) return false;
  }
  await db.insert(report).values({ academyId, playerId, ...kept });
  return true;
}

/** The links to reports of a player, or of the squad (null), that hold at a moment, the newest first. */
export async function reportsOf(db: Db, actor: Actor, playerId: string | null, now: Date): Promise<ReportLine[]> {
  const { reportId, createdAt, expiresAt } = report;
  return db
    .select({ reportId, period: sql<string>`${report.report} ->> 'period'`, createdAt, expiresAt })
    .from(report)
    .where(
      and(eq(report.academyId, actor.academyId), playerId === null ? isNull(report.playerId) : eq(report.playerId, playerId), holding(now)),
    )
    .orderBy(desc(report.createdAt));
}

/** Ends a link to a report at once, and forgets what it showed. */
export async function revokeReport(db: Db, actor: Actor, reportId: string): Promise<void> {
  await db.delete(report).where(and(eq(report.academyId, actor.academyId), eq(report.reportId, reportId)));
}

/** Keeps what the coach writes under a player's report. */
export async function saveReportWords(db: Db, actor: Actor, playerId: string, reportWords: string): Promise<void> {
  await db
    .update(player)
    .set({ reportWords })
    .where(and(eq(player.academyId, actor.academyId), eq(player.playerId, playerId)));
}

/** The report that a link shows, by the hash of its token; null where it does not hold at this moment, or its player was put away. */
export async function reportByToken(
  db: Db,
  academyId: string,
  tokenHash: Buffer,
  now: Date,
): Promise<{ report: GivenReport; expiresAt: Date } | null> {
  const [row] = await db
    .select({ report: report.report, expiresAt: report.expiresAt })
    .from(report)
    .leftJoin(player, and(eq(player.academyId, report.academyId), eq(player.playerId, report.playerId)))
    .where(
      and(
        eq(report.academyId, academyId),
        eq(report.tokenHash, tokenHash),
        holding(now),
        or(isNull(report.playerId), and(eq(player.playerId, report.playerId), isNull(player.erasedAt))),
      ),
    );
  return row ?? null;
}
