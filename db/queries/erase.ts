import { subDays, subYears } from 'date-fns';
import { and, eq, gt, inArray, isNotNull, isNull, lte, sql } from 'drizzle-orm';
import type { Actor, Program } from '../actor';
import type { Db } from '../client';
import {
  academy,
  activity,
  authOrganization,
  authSession,
  authVerification,
  device,
  importFile,
  importRow,
  invitation,
  player,
  playerLink,
  session,
  note,
  refusedEvent,
  report,
  sessionPlayer,
  shot,
  shotEvent,
} from '../schema';
import { noteActivity } from './activity';
import { erasePlans, plansAlone } from './erase-plans';
import { getPlayer } from './players';
import { forgetOld } from './retention';
import { holdSession, projectAgain } from './projection';

/** What goes when a player is erased. */
export type Erasure = {
  balls: number;
  /** Sessions that they played alone: these go as a whole. */
  alone: number;
  /** Sessions with others: these go on without them. */
  withOthers: number;
  notes: number;
  links: number;
  /** Hours and weeks that are planned for them alone. */
  plans: number;
};

const theirs = (actor: Actor, playerId: string) => and(eq(sessionPlayer.academyId, actor.academyId), eq(sessionPlayer.playerId, playerId));

/** Whether others play in a session beside a player; of the table `session_player`, by its own name. */
const beside = sql<boolean>`exists (select 1 from session_player as other where other.academy_id = session_player.academy_id
  and other.session_id = session_player.session_id and other.player_id <> session_player.player_id)`;

/** The sessions of a player, and whether others play in them too. */
async function sessionsOf(db: Db, actor: Actor, playerId: string): Promise<{ sessionId: string; others: boolean }[]> {
  return db.select({ sessionId: sessionPlayer.sessionId, others: beside }).from(sessionPlayer).where(theirs(actor, playerId));
}

/** What would go if a player were erased; null if the academy has none of this id. */
export async function whatErasingTakes(db: Db, actor: Actor, playerId: string): Promise<Erasure | null> {
  if (!(await getPlayer(db, actor, playerId))) return null;
  const { academyId } = actor;
  const sessions = await sessionsOf(db, actor, playerId);
  const [balls, notes, links, plans] = await Promise.all([
    db
      .select({ balls: sql<number>`coalesce(sum(${shot.nBalls}), 0)::int` })
      .from(shot)
      .where(and(eq(shot.academyId, academyId), eq(shot.playerId, playerId))),
    db.$count(note, and(eq(note.academyId, academyId), eq(note.playerId, playerId))),
    db.$count(
      playerLink,
      and(
        eq(playerLink.academyId, academyId),
        eq(playerLink.playerId, playerId),
        isNull(playerLink.revokedAt),
        gt(playerLink.expiresAt, sql`now()`),
      ),
    ),
    plansAlone(db, actor, playerId),
  ]);
  const withOthers = sessions.filter(({ others }) => others).length;
  return { balls: balls[0]!.balls, alone: sessions.length - withOthers, withOthers, notes, links, plans };
}

/**
 * Erases a player: name, links, plans, what is believed, and in every session their place and their balls with all that was said about these.
 * Sessions that they played alone go as a whole; the others go on without them. First of all nothing is taken from them any more, so that it
 * can be gone on with where it was interrupted.
 * @returns the sessions in which others see a change; null if the academy has none of this id
 */
export async function erasePlayer(db: Db, actor: Actor, playerId: string): Promise<string[] | null> {
  const { academyId } = actor;
  const mine = and(eq(player.academyId, academyId), eq(player.playerId, playerId));
  const marked = await db.transaction(async (tx) => {
    const theirs = await tx
      .update(player)
      .set({ erasedAt: sql`coalesce(${player.erasedAt}, now())` })
      .where(mine)
      .returning({ id: player.playerId });
    if (theirs.length > 0 && actor.kind !== 'program') await noteActivity(tx, actor, 'erasePlayer', { about: playerId });
    return theirs;
  });
  if (marked.length === 0) return null;
  await db.delete(playerLink).where(and(eq(playerLink.academyId, academyId), eq(playerLink.playerId, playerId)));
  // The squad's reports have every name in them.
  await db.delete(report).where(and(eq(report.academyId, academyId), isNull(report.playerId)));
  // What came with a file and is not kept yet.
  await db.delete(importRow).where(and(eq(importRow.academyId, academyId), eq(importRow.playerId, playerId)));
  const sessions = await sessionsOf(db, actor, playerId);
  for (const { sessionId } of sessions) await eraseFromSession(db, actor, sessionId, playerId);
  await erasePlans(db, actor, playerId);
  // Clubs, what is believed and squads go with the row.
  await db.delete(player).where(mine);
  return sessions.filter(({ others }) => others).map(({ sessionId }) => sessionId);
}

async function eraseFromSession(db: Db, actor: Actor, sessionId: string, playerId: string): Promise<void> {
  const { academyId } = actor;
  await db.transaction(async (tx) => {
    const held = await holdSession(tx, actor, sessionId);
    if (!held) return;
    const inSession = and(eq(session.academyId, academyId), eq(session.sessionId, sessionId));
    const seat = and(theirs(actor, playerId), eq(sessionPlayer.sessionId, sessionId));
    const [place] = await tx.select({ others: beside }).from(sessionPlayer).where(seat);
    if (!place) return;
    if (!place.others) {
      await tx.delete(session).where(inSession);
      return;
    }
    const said = and(eq(shotEvent.academyId, academyId), eq(shotEvent.sessionId, sessionId));
    const balls = tx
      .select({ shotId: shotEvent.shotId })
      .from(shotEvent)
      .where(and(said, eq(shotEvent.kind, 'record'), sql`${shotEvent.payload} ->> 'playerId' = ${playerId}`));
    await tx.delete(shotEvent).where(and(said, inArray(shotEvent.shotId, balls)));
    await tx.delete(shot).where(and(eq(shot.academyId, academyId), eq(shot.sessionId, sessionId), eq(shot.playerId, playerId)));
    await tx.delete(sessionPlayer).where(seat);
    // What was over stays over, although a game for several may not end for those who are left.
    await tx
      .update(session)
      .set({ stoppedAt: sql`coalesce(${session.stoppedAt}, ${session.completedAt})` })
      .where(inSession);
    await projectAgain(tx, actor, held, []);
  });
}

/** Says when all of an academy is to be deleted; null takes it back. */
export async function deleteAcademyAt(db: Db, actor: Actor, deleteAt: Date | null): Promise<void> {
  await db.update(academy).set({ deleteAt }).where(eq(academy.academyId, actor.academyId));
}

/**
 * Does what is due: deletes academies whose time has come, sessions that are kept no longer, activity that is a year old, sign-ins and links that have ended with what they showed,
 * rows of files that were left lying, and goes on with erasures that were interrupted.
 * @param told hears of each academy before it goes
 * @returns how many of each
 */
export async function tidyUp(
  db: Db,
  now: Date,
  told: (academyId: string) => Promise<void> = () => Promise.resolve(),
): Promise<{ academies: number; players: number; sessions: number }> {
  const due = await db.select({ id: academy.academyId }).from(academy).where(lte(academy.deleteAt, now));
  for (const { id } of due) {
    await told(id);
    const still = db
      .select({ id: academy.academyId })
      .from(academy)
      .where(and(eq(academy.academyId, id), lte(academy.deleteAt, now)));
    await db.delete(authOrganization).where(inArray(authOrganization.id, still));
  }
  await db.delete(activity).where(lte(activity.happenedAt, subYears(now, 1)));
  // Sign-ins, links of e-mails and invitations that have ended open nothing any more.
  for (const table of [authSession, authVerification, invitation]) await db.delete(table).where(lte(table.expiresAt, now));
  await db.delete(refusedEvent).where(lte(refusedEvent.refusedAt, subDays(now, 90)));
  await db.delete(device).where(lte(device.lastAt, subYears(now, 1)));
  const sessions = await forgetOld(db, now);
  // A link that has ended shows nothing; a file that nobody went on with for a week is not gone on with.
  await db.delete(report).where(lte(report.expiresAt, now));
  const left = db
    .select({ id: importFile.importId })
    .from(importFile)
    .where(and(eq(importFile.academyId, importRow.academyId), lte(importFile.createdAt, subDays(now, 7))));
  await db.delete(importRow).where(inArray(importRow.importId, left));
  const begun = await db.select({ academyId: player.academyId, playerId: player.playerId }).from(player).where(isNotNull(player.erasedAt));
  for (const { academyId, playerId } of begun) {
    const program: Program = { kind: 'program', academyId };
    await erasePlayer(db, program, playerId);
  }
  return { academies: due.length, players: begun.length, sessions };
}
