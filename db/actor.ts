/** What somebody who works in an academy may be there: whoever founded it, another coach, or somebody who helps. */
export const MEMBER_ROLES = ['owner', 'coach', 'assistant'] as const;
export type MemberRole = (typeof MEMBER_ROLES)[number];

/**
 * Who asks, as what, and in which academy. Every query takes one, and looks nowhere but in its academy; which queries there are
 * for whom says `server/rights.ts`.
 */
export type Member = { kind: 'owner' | 'coach'; academyId: string; userId: string } | Assistant;
/** Somebody who helps: with the players of their groups, and with nobody else. */
export type Assistant = { kind: 'assistant'; academyId: string; userId: string; players: readonly string[] };
/** Somebody who looks after players at home: reads about them, and about nobody else. */
export type Guardian = { kind: 'guardian'; academyId: string; userId: string; players: readonly string[] };
/** A player by a personal link. */
export type PlayerByLink = { kind: 'player'; academyId: string; playerId: string; linkId: string };
/** A device that reads distances for a session. */
export type Reader = { kind: 'reader'; academyId: string };
/** The program itself, where it does at once what several asked for, or looks after what is kept. */
export type Program = { kind: 'program'; academyId: string };
export type Actor = Member | Guardian | PlayerByLink | Reader | Program;
export type Role = Actor['kind'];
/** Who sees some of the players only. */
export type Limited = Assistant | Guardian;

/** The players of whom an actor sees anything; null: all of the academy. */
export function seenBy(actor: Actor): readonly string[] | null {
  if ('players' in actor) return actor.players;
  return actor.kind === 'player' ? [actor.playerId] : null;
}

/** The name under which an actor's facts are kept. */
export function actorName(actor: Actor): string {
  if ('userId' in actor) return `user:${actor.userId}`;
  return actor.kind === 'player' ? `link:${actor.linkId}` : actor.kind;
}
