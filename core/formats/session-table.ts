import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import type { Outcome } from '../play/outcome';
import type { Conditions } from '../shot/conditions';
import { writeCells } from './cells';

/** A session that is over, as a table holds it: a row for each who played. */
export type SessionOut = {
  sessionId: string;
  startedAt: Date;
  gameVersion: number | null;
  spec: GameSpec;
  conditions: Conditions;
  tags: readonly string[];
  balls: number;
  /** The unit of a result that was noted by hand and is of no game of ours; else null. */
  given: string | null;
  outcome: Outcome;
  players: readonly { playerId: string; name: string; ownNote: string; coachNotes: readonly { by: string; text: string }[] }[];
};

export const SESSION_TABLE_COLUMNS = [
  'session_id',
  'played_at',
  'player',
  'game',
  'game_version',
  'score',
  'unit',
  'goal',
  'goal_met',
  'to_the_end',
  'balls',
  'stimp_ft',
  'firmness',
  'wet',
  'wind',
  'tags',
  'note',
  'coach_note',
] as const;

/** Sessions as CSV, a row for each who played. Lengths are in metres; `balls` are those of all. */
export function writeSessionTable(sessions: readonly SessionOut[], withHead = true): string {
  const rows = sessions.flatMap(({ sessionId, startedAt, gameVersion, spec, conditions, tags, balls, given, outcome, players }) => {
    const unit = given ?? schemeOf(spec.scoring).unit(spec.scoring);
    return players.map(({ playerId, name, ownNote, coachNotes }) => {
      const scored = outcome.scores.find((one) => one.playerId === playerId);
      return {
        session_id: sessionId,
        played_at: startedAt.toISOString(),
        player: name,
        game: spec.title,
        game_version: gameVersion,
        score: scored?.score ?? null,
        unit: unit === 'length' ? 'm' : unit,
        goal: spec.goal,
        goal_met: scored?.met ?? null,
        to_the_end: outcome.through,
        balls,
        stimp_ft: conditions.stimpFt ?? null,
        firmness: conditions.firmness ?? null,
        wet: conditions.wet ?? null,
        wind: conditions.wind ?? null,
        tags: tags.join(', '),
        note: ownNote,
        // Of several coaches, each says who writes.
        coach_note: coachNotes.map(({ by, text }) => (coachNotes.length > 1 && by ? `${by}: ${text}` : text)).join('\n'),
      };
    });
  });
  return writeCells(SESSION_TABLE_COLUMNS, rows, withHead);
}
