import { ballsPlanned } from '../game/calls';
import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';
import { sayScore, scoreFigure } from '../game/words/say-score';
import { listed } from '../units/format';
import type { UnitSystem } from '../units/length';
import { goalMet, type Table } from './play';

/** How a session ended, as far as a list shows it. */
export type Outcome = {
  /** Whether everybody got to the end that the game itself has. */
  through: boolean;
  /** In the order in which they play; whether each met the goal: null where there is none, or it was still open. */
  scores: { playerId: string; score: number; met: boolean | null }[];
  /** Who won, or led when it was ended; several where it was level. Empty alone. */
  ahead: string[];
};

/** How a session stood at its end. */
export function outcomeOf(spec: GameSpec, { standings, over, ahead }: Table): Outcome {
  const higher = schemeOf(spec.scoring).better(spec.scoring) === 'higher';
  return {
    through: over || (spec.open && ballsPlanned(spec.calls) === null),
    scores: standings.map((standing) => {
      const met = goalMet(spec, standing.score, standing.early);
      // Where less is better, a few balls are under any goal: that is reached at the end only, and missed before.
      const settled = standing.over || !higher === !met;
      return { playerId: standing.entrant.playerId, score: standing.score, met: settled ? met : null };
    }),
    ahead: ahead.map((seat) => standings[seat]!.entrant.playerId),
  };
}

/** How a result ended that was noted by hand: nothing but its score is known. */
export function givenOutcome(players: readonly { playerId: string; score: number | null; met: boolean | null }[]): Outcome {
  return { through: true, scores: players.map(({ playerId, score, met }) => ({ playerId, score: score ?? 0, met })), ahead: [] };
}

/** A score made alone, without a head start, with the one before it in the same version of the game and the best until then. */
export type ScoredBefore = { score: number; last: number; best: number };

/** How a score compares with those before: "best so far", "4 better than last time", "same as last time". */
export function sayChange(spec: GameSpec, { score, last, best }: ScoredBefore, system: UnitSystem): string {
  const { better, unit } = schemeOf(spec.scoring);
  const gain = (over: number) => (better(spec.scoring) === 'higher' ? score - over : over - score);
  if (gain(best) > 0) return 'best so far';
  if (gain(last) === 0) return 'same as last time';
  const figure = scoreFigure(Math.abs(score - last), unit(spec.scoring), system);
  return `${figure} ${gain(last) > 0 ? 'better' : 'worse'} than last time`;
}

/** An outcome in a figure and a few words: "38 points" and "goal met"; "3–0" and "Mia won". */
export function sayOutcome(
  spec: GameSpec,
  { through, scores, ahead }: Outcome,
  nameOf: (playerId: string) => string,
  system: UnitSystem,
): { figure: string; words: string } {
  const unit = schemeOf(spec.scoring).unit(spec.scoring);
  const say = (score: number) => sayScore(score, unit, system);
  const [first, second] = scores;
  if (!first) return { figure: '', words: '' };
  if (!second) return { figure: say(first.score), words: first.met === null ? '' : first.met ? 'goal met' : 'goal missed' };
  const best = scores.find(({ playerId }) => playerId === ahead[0]);
  if (!best) return { figure: '', words: 'no ball' };
  const level = ahead.length > 1;
  const names = listed(ahead.map(nameOf));
  const words = level ? (ahead.length === scores.length ? 'level' : `level: ${names}`) : `${names} ${through ? 'won' : 'led'}`;
  if (scores.length > 2) return { figure: say(best.score), words };
  const other = first === best ? second : first;
  return { figure: `${scoreFigure(best.score, unit, system)}–${scoreFigure(other.score, unit, system)}`, words };
}
