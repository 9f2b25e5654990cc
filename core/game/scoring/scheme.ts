import type { Shot } from '../../shot/shot';

/** Where one ball ended, as a scheme sees it. */
export type Result = Pick<Shot, 'holed' | 'leftM' | 'leftMinM' | 'leftMaxM' | 'bearingDeg' | 'measured'>;

/** One key that a player can press to end a ball: what it stands for, and what it is worth. */
export type AnswerKey = {
  key: string;
  kind: 'holed' | 'ring' | 'outside';
  /** The outer edge of the ring in metres; for `outside`, the edge it is outside of; null for `holed`. */
  edgeM: number | null;
  points: number;
  result: Result;
};

/**
 * A way of scoring. Play, summary, forecast and set-up sheet go through this interface and know no scheme by name:
 * a new scheme is one file that meets it and one line in `index.ts`.
 */
export interface Scheme<Scoring, State> {
  kind: string;
  /** As a coach calls it. */
  label: string;
  better: 'higher' | 'lower';
  /** What to ask for each ball, best first. */
  asks(scoring: Scoring): AnswerKey[];
  /** The state before the first ball. */
  start(scoring: Scoring): State;
  /** The state after a ball; the state before it is left as it was. */
  step(state: State, ball: Result, scoring: Scoring): State;
  /** The score a state stands for. */
  score(state: State): number;
  /** Whether the game ends here although turns are left. */
  over(state: State, scoring: Scoring): boolean;
  /** The best score that `balls` balls can give. */
  best(scoring: Scoring, balls: number): number;
}
