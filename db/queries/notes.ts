import type { Notes } from '@/core/exchange/bundle';
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import { actorName, type Actor } from '../actor';
import type { Db } from '../client';
import { authUser, note, player, sessionPlayer } from '../schema';
import { BY_PLAYER } from '../schema/notes';

/** Whose note about a session: the player's own, or that of the coach who asks. */
export type Whose = 'own' | 'coach';

/** How an author is called: as the account has it now, else as it was when the note was written. */
const called = sql<string>`coalesce(${authUser.name}, ${note.authorName})`;
const account = eq(note.author, sql`'user:' || ${authUser.id}`);
/** Whoever asks, as the author of notes; a player’s name stands with the player. */
export async function authorOf(db: Db, actor: Actor): Promise<{ author: string; authorName: string }> {
  const author = actorName(actor);
  if (!('userId' in actor)) return { author, authorName: '' };
  const [found] = await db.select({ name: authUser.name }).from(authUser).where(eq(authUser.id, actor.userId));
  return { author, authorName: found?.name ?? '' };
}

/** Keeps what a player or a coach wrote about a session, in place of what they wrote before; an empty text takes it away. */
export async function saveNote(db: Db, actor: Actor, sessionId: string, playerId: string, whose: Whose, text: string): Promise<void> {
  const { academyId } = actor;
  const { author, authorName } = whose === 'own' ? { author: BY_PLAYER, authorName: '' } : await authorOf(db, actor);
  if (text === '') {
    await db
      .delete(note)
      .where(and(eq(note.academyId, academyId), eq(note.sessionId, sessionId), eq(note.playerId, playerId), eq(note.author, author)));
    return;
  }
  await db.execute(sql`insert into ${note} (academy_id, note_id, player_id, session_id, author, author_name, text)
    select academy_id, gen_random_uuid(), player_id, session_id, ${author}, ${authorName}, ${text}
    from ${sessionPlayer} where academy_id = ${academyId} and session_id = ${sessionId} and player_id = ${playerId}
    on conflict on constraint note_of_session do update set text = excluded.text, author_name = excluded.author_name, changed_at = now()
    where ${note.text} <> excluded.text`);
}

/** What was written about a session, for each of these players. For a player by a link, `coach` is what a coach wrote last. */
export async function notesIn(db: Db, actor: Actor, sessionId: string, playerIds: readonly string[]): Promise<Notes[]> {
  const rows = await db
    .select({ playerId: note.playerId, author: note.author, by: called, text: note.text, at: note.changedAt })
    .from(note)
    .leftJoin(authUser, account)
    .where(and(eq(note.academyId, actor.academyId), eq(note.sessionId, sessionId)))
    .orderBy(asc(note.changedAt));
  const [me, isCoach] = [actorName(actor), 'userId' in actor];
  return playerIds.map((playerId) => {
    const theirs = rows.filter((row) => row.playerId === playerId);
    const others = theirs.filter(({ author }) => author !== BY_PLAYER && !(isCoach && author === me));
    return {
      own: theirs.find(({ author }) => author === BY_PLAYER)?.text ?? '',
      coach: (isCoach ? theirs.find(({ author }) => author === me) : others.at(-1))?.text ?? '',
      coaches: others.map(({ by, text, at }) => ({ by, text, at: at.toISOString() })),
    };
  });
}

/** What players and coaches wrote about sessions, in the order in which they wrote. */
export async function notesOfSessions(
  db: Db,
  actor: Actor,
  ids: readonly string[],
): Promise<{ sessionId: string; playerId: string; by: string | null; text: string }[]> {
  const rows = await db
    .select({ sessionId: note.sessionId, playerId: note.playerId, author: note.author, by: called, text: note.text })
    .from(note)
    .leftJoin(authUser, account)
    .where(and(eq(note.academyId, actor.academyId), inArray(note.sessionId, [...ids])))
    .orderBy(asc(note.writtenAt), asc(note.noteId));
  return rows.map(({ author, by, sessionId, ...row }) => ({ ...row, sessionId: sessionId!, by: author === BY_PLAYER ? null : by }));
}

/** A coach's note about a player. */
export type NoteLine = { noteId: string; by: string; text: string; writtenAt: Date; mine: boolean };

/** What coaches wrote about a player, for coaches, the newest first. */
export async function notesAbout(db: Db, actor: Actor, playerId: string): Promise<NoteLine[]> {
  const { noteId, author, text, writtenAt } = note;
  const rows = await db
    .select({ noteId, author, by: called, text, writtenAt })
    .from(note)
    .leftJoin(authUser, account)
    .where(and(eq(note.academyId, actor.academyId), eq(note.playerId, playerId), sql`${note.sessionId} is null`))
    .orderBy(desc(note.writtenAt), asc(note.noteId));
  return rows.map(({ author, ...row }) => ({ ...row, mine: author === actorName(actor) }));
}

/** Keeps a note about a player; saying it twice with the same id keeps one. @returns false if the academy has no such player */
export async function addNote(db: Db, actor: Actor, playerId: string, noteId: string, text: string): Promise<boolean> {
  const { academyId } = actor;
  const known = await db.$count(player, and(eq(player.academyId, academyId), eq(player.playerId, playerId)));
  if (known === 0) return false;
  await db
    .insert(note)
    .values({ academyId, noteId, playerId, text, ...(await authorOf(db, actor)) })
    .onConflictDoNothing();
  return true;
}

/** Takes away a note about a player, which whoever wrote it may do. */
export async function removeNote(db: Db, actor: Actor, noteId: string): Promise<void> {
  await db
    .delete(note)
    .where(
      and(eq(note.academyId, actor.academyId), eq(note.noteId, noteId), eq(note.author, actorName(actor)), sql`${note.sessionId} is null`),
    );
}
