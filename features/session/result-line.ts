import type { SchemeKind } from '@/core/game/scoring';
import { ballsOf } from '@/core/game/phases';
import { sayChange, sayOutcome } from '@/core/play/outcome';
import { counted } from '@/core/units/format';
import type { FinishedLine } from '@/server/data';

/** A session that is over, as lists show it. */
export type ResultLine = {
  sessionId: string;
  who: string;
  title: string;
  kind: SchemeKind;
  atMs: number;
  /** "38 points", "3–0". */
  figure: string;
  /** "goal met", "Mia won". */
  words: string;
  /** "2 better than last time"; empty where nothing compares. */
  change: string;
  /** "30 balls", "12 of 30 balls, stopped". */
  balls: string;
  /** Whether the goal was met; null where there was none, or several played. */
  met: boolean | null;
  players: number;
};

/** A score with the unit that somebody wrote beside it: "7.5 s", "88%". */
export function sayGiven(score: number, unit: string): string {
  return unit === '%' ? `${score}%` : `${score} ${unit}`.trim();
}

/** A session that is over in figures and words; lengths as its first player reads them. */
export function resultLine({ session, players, balls, outcome, before }: FinishedLine): ResultLine {
  const { spec, sessionId, startedAt, given } = session;
  const nameOf = (playerId: string) => players.find((player) => player.playerId === playerId)?.name ?? '';
  const system = players[0]?.units ?? 'imperial';
  const all = ballsOf(spec) * players.length;
  return {
    sessionId,
    who: players.map((player) => player.name).join(', '),
    title: spec.title,
    kind: spec.scoring.scheme,
    atMs: startedAt.getTime(),
    ...(session.gameId !== null || (given === null && session.importId === null)
      ? sayOutcome(spec, outcome, nameOf, system)
      : given === null
        ? { figure: '', words: 'not scored' }
        : { figure: sayGiven(outcome.scores[0]?.score ?? 0, given), words: '' }),
    change: before ? sayChange(spec, before, system) : '',
    balls:
      given !== null
        ? 'entered by hand'
        : session.gameId === null && spec.open
          ? counted(balls, 'ball')
          : outcome.through
            ? counted(balls, 'ball')
            : `${balls} of ${counted(all, 'ball')}, stopped`,
    met: players.length === 1 ? (outcome.scores[0]?.met ?? null) : null,
    players: players.length,
  };
}
