/**
 * Who asks, and in which academy. Every query takes one, and looks nowhere but in its academy.
 * Coaches work at the desk and at the green; the two others get their rights with personal links and live boards.
 */
export type Coach = { kind: 'coach'; academyId: string; userId: string };
export type PlayerByLink = { kind: 'player'; academyId: string; playerId: string; linkId: string };
export type Reader = { kind: 'reader'; academyId: string };
/** The program itself, where it does at once what several asked for, or looks after what is kept. */
export type Program = { kind: 'program'; academyId: string };
export type Actor = Coach | PlayerByLink | Reader | Program;

/** The name under which an actor's facts are kept. */
export function actorName(actor: Actor): string {
  if (actor.kind === 'coach') return `user:${actor.userId}`;
  return actor.kind === 'player' ? `link:${actor.linkId}` : actor.kind;
}
