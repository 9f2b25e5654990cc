import { ERASED, newPlayer } from '@/core/people/player';
import { and, eq, gt, inArray, isNotNull, isNull, lte, sql } from 'drizzle-orm';
import type { Actor, Program } from '../actor';
import type { Db } from '../client';
import {
  academy,
  authOrganization,
  club,
  player,
  playerLink,
  posterior,
  session,
  sessionPlayer,
  shot,
  shotEvent,
  squadMember,
} from '../schema';
import { getPlayer } from './players';
import { holdSession, projectAgain } from './projection';

/** What goes when a player is erased. */
export type Erasure = {
  balls: number;
  /** Sessions that they played alone: these go as a whole. */
  alone: number;
  /** Sessions with others: their place stays, without a name and without a ball. */
  withOthers: number;
  notes: number;
  links: number;
};

const theirs = (actor: Actor, playerId: string) => and(eq(sessionPlayer.academyId, actor.academyId), eq(sessionPlayer.playerId, playerId));

/** Whether somebody who was not erased plays beside a player in a session; of the table `session_player`, by its own name. */
const beside = sql<boolean>`exists (select 1 from session_player as other join player as who using (academy_id, player_id)
  where other.academy_id = session_player.academy_id and other.session_id = session_player.session_id
  and other.player_id <> session_player.player_id and who.erased_at is null)`;

/** The sessions of a player, and whether others play in them too. */
async function sessionsOf(db: Db, actor: Actor, playerId: string): Promise<{ sessionId: string; others: boolean }[]> {
  return db.select({ sessionId: sessionPlayer.sessionId, others: beside }).from(sessionPlayer).where(theirs(actor, playerId));
}

/** What would go if a player were erased; null if the academy has none of this id. */
export async function whatErasingTakes(db: Db, actor: Actor, playerId: string): Promise<Erasure | null> {
  if (!(await getPlayer(db, actor, playerId))) return null;
  const { academyId } = actor;
  const sessions = await sessionsOf(db, actor, playerId);
  const [balls, notes, links] = await Promise.all([
    db.$count(shot, and(eq(shot.academyId, academyId), eq(shot.playerId, playerId))),
    db
      .select({ notes: sql<number>`(count(nullif(own_note, '')) + count(nullif(coach_note, '')))::int` })
      .from(sessionPlayer)
      .where(theirs(actor, playerId)),
    db.$count(
      playerLink,
      and(
        eq(playerLink.academyId, academyId),
        eq(playerLink.playerId, playerId),
        isNull(playerLink.revokedAt),
        gt(playerLink.expiresAt, sql`now()`),
      ),
    ),
  ]);
  const withOthers = sessions.filter(({ others }) => others).length;
  return { balls, alone: sessions.length - withOthers, withOthers, notes: notes[0]!.notes, links };
}

/**
 * Erases a player: name, links, what is believed, and in every session their balls with all that was said about these, and the notes.
 * Sessions that they played alone go as a whole; in sessions with others their place stays, so that the others keep theirs, without a name.
 * First of all nothing is taken from them any more, so that it can be gone on with where it was interrupted.
 * @returns the sessions in which others see a change; null if the academy has none of this id
 */
export async function erasePlayer(db: Db, actor: Actor, playerId: string): Promise<string[] | null> {
  const { academyId } = actor;
  const mine = and(eq(player.academyId, academyId), eq(player.playerId, playerId));
  const marked = await db
    .update(player)
    .set({ ...nobody(), erasedAt: sql`coalesce(${player.erasedAt}, now())`, archivedAt: sql`coalesce(${player.archivedAt}, now())` })
    .where(mine)
    .returning({ id: player.playerId });
  if (marked.length === 0) return null;
  await db.delete(playerLink).where(and(eq(playerLink.academyId, academyId), eq(playerLink.playerId, playerId)));
  const sessions = await sessionsOf(db, actor, playerId);
  for (const { sessionId } of sessions) await eraseFromSession(db, actor, sessionId, playerId);
  await db.transaction(async (tx) => {
    for (const table of [club, posterior, squadMember])
      await tx.delete(table).where(and(eq(table.academyId, academyId), eq(table.playerId, playerId)));
    await tx.update(player).set({ evidenceRev: 0 }).where(mine);
    const placed = await tx.$count(sessionPlayer, theirs(actor, playerId));
    if (placed === 0) await tx.delete(player).where(mine);
  });
  return sessions.filter(({ others }) => others).map(({ sessionId }) => sessionId);
}

/** What a row says of somebody of whom nothing is known. */
function nobody() {
  const { clubs: _none, ...plain } = newPlayer(ERASED, 'metric');
  return { ...plain, roundMix: null, dreads: null };
}

async function eraseFromSession(db: Db, actor: Actor, sessionId: string, playerId: string): Promise<void> {
  const { academyId } = actor;
  await db.transaction(async (tx) => {
    const held = await holdSession(tx, actor, sessionId);
    if (!held) return;
    const inSession = and(eq(session.academyId, academyId), eq(session.sessionId, sessionId));
    const seat = and(theirs(actor, playerId), eq(sessionPlayer.sessionId, sessionId));
    const [place] = await tx.select({ others: beside }).from(sessionPlayer).where(seat);
    if (!place?.others) {
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
    await tx.update(sessionPlayer).set({ ownNote: '', coachNote: '', level: nobody().level, unitM: null }).where(seat);
    // What was over stays over, although balls are missing from it now.
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
 * Does what is due: deletes academies whose time has come, and goes on with erasures that were interrupted.
 * @returns how many of each
 */
export async function tidyUp(db: Db, now: Date): Promise<{ academies: number; players: number }> {
  const due = await db.select({ id: academy.academyId }).from(academy).where(lte(academy.deleteAt, now));
  for (const { id } of due) {
    const still = db
      .select({ id: academy.academyId })
      .from(academy)
      .where(and(eq(academy.academyId, id), lte(academy.deleteAt, now)));
    await db.delete(authOrganization).where(inArray(authOrganization.id, still));
  }
  // Still to be done: no place is left for the row, a session has nobody else, or there are balls.
  const places = sql`from session_player where session_player.academy_id = player.academy_id and session_player.player_id = player.player_id`;
  const balls = sql`from shot where shot.academy_id = player.academy_id and shot.player_id = player.player_id`;
  const begun = await db
    .select({ academyId: player.academyId, playerId: player.playerId })
    .from(player)
    .where(
      and(
        isNotNull(player.erasedAt),
        sql`(not exists (select 1 ${places}) or exists (select 1 ${places} and not ${beside}) or exists (select 1 ${balls}))`,
      ),
    );
  for (const { academyId, playerId } of begun) {
    const program: Program = { kind: 'program', academyId };
    await erasePlayer(db, program, playerId);
  }
  return { academies: due.length, players: begun.length };
}
