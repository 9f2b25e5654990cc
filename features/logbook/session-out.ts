import type { SessionOut } from '@/core/formats/session-table';
import type { Answer, FinishedLine } from '@/server/data';

/** Of a coach's note it is known who wrote it. */
const isCoach = (one: Notes[number]): one is Notes[number] & { by: string } => one.by !== null;

type Notes = Answer<'notesOfSessions'>;

/** A session as a row of a file, with the notes about it. */
export function sessionOut({ session, players, balls, outcome }: FinishedLine, notes: Notes): SessionOut {
  const { sessionId, startedAt, gameId, gameVersion, spec, conditions, tags, given } = session;
  return {
    ...{ sessionId, startedAt, gameVersion, spec, conditions, tags, balls, outcome, given: gameId === null ? given : null },
    players: players.map(({ playerId, name }) => {
      const said = notes.filter((one) => one.sessionId === sessionId && one.playerId === playerId);
      return { playerId, name, ownNote: said.find(({ by }) => by === null)?.text ?? '', coachNotes: said.filter(isCoach) };
    }),
  };
}
