import type { Shot } from '../../shot/shot';
import type { UnitSystem } from '../../units/length';
import type { Rules } from '../rules';
import type { Sizes } from '../sizes';
import type { Station } from '../station';

/** What a ball was, as a scheme sees it. */
export type Ball = Pick<
  Shot,
  'holed' | 'leftM' | 'leftMinM' | 'leftMaxM' | 'bearingDeg' | 'strokes' | 'penalty' | 'finish' | 'landed' | 'executed' | 'clubLabel'
>;

/** What a player says of a ball; what is not said is not known. */
export type Result = Pick<Shot, 'holed' | 'leftM' | 'leftMinM' | 'leftMaxM' | 'bearingDeg' | 'measured'> &
  Partial<Pick<Shot, 'strokes' | 'landed' | 'executed' | 'swingWidth' | 'nBalls' | 'sumLeftM' | keyof Details>>;

/** What can be marked on any ball beside its result: all of it optional. */
export type Details = Partial<
  Pick<
    Shot,
    | 'surface'
    | 'sit'
    | 'stance'
    | 'trajectory'
    | 'shape'
    | 'clubId'
    | 'clubLabel'
    | 'swingMark'
    | 'intendedM'
    | 'landingErrorM'
    | 'mishit'
    | 'finish'
    | 'penalty'
    | 'counts'
    | 'note'
    | 'leftM'
    | 'measured'
  >
>;

/** A result as a scheme sees it: what was not said is not known. */
export function ballOf(result: Result): Ball {
  return { strokes: null, penalty: 0, finish: null, landed: null, executed: null, clubLabel: null, ...result };
}

/** A result of which nothing is known yet. */
export const UNKNOWN: Result = { holed: false, leftM: null, leftMinM: null, leftMaxM: null, bearingDeg: null, measured: 'ring' };

/** One key that a player can press to end a ball: what it stands for, and what it is worth. */
export type AnswerKey = {
  key: string;
  /** `word`: what stands on it is `text`; the others are named by whoever shows them. */
  kind: 'holed' | 'ring' | 'outside' | 'word';
  text: string | null;
  /** The outer edge of the ring in metres; for `outside`, the edge it is outside of; else null. */
  edgeM: number | null;
  /** What it earns, where that does not hang on the balls before. */
  worth: number | null;
  result: Result;
};

/** What the score counts, so that it can be said with its unit. */
export type ScoreUnit = 'points' | 'hits' | 'length' | 'strokes' | 'balls' | 'rungs' | 'cells' | 'in a row';

/** What is asked of one ball beyond its station. */
export type Asked = Partial<Pick<Shot, 'trajectory' | 'shape' | 'swingWidth'>> & { club?: string };

/** A ball that the game has: which of its station it is (from 1), and what is asked of it. */
export type Lot = { at: number; ballNo: number; asked: Asked };

/** One phase of a game as it is for one player: radii and pars are theirs. */
export type Phase<Scoring> = {
  scoring: Scoring;
  stations: readonly Station[];
  sizes: Sizes;
  rules: Rules;
  /** Balls that are played, at most. */
  turns: number;
};

/** A fact for the summary: "up and down 4 of 7". */
export type Note = { label: string; value: string };

/** A ball as simulation makes it: everything about it is known. One is used again and again. */
export type KernelBall = {
  holed: boolean;
  leftM: number;
  /** Finished on the side that counts. */
  goodSide: boolean;
  onGreen: boolean;
  landed: boolean;
  /** To hole out, this one included, penalties too. */
  strokes: number;
  executed: boolean;
};

/** What some schemes look at beyond where a ball stopped. */
export type Seen = 'strokes' | 'landed' | 'executed';

/** A phase compiled for simulation: one player's game in a few numbers, without allocation. */
export interface Kernel {
  reset(): void;
  /**
   * Takes a ball.
   * @param at the station's place in the list
   * @param won points of the round, in schemes that compare players
   */
  take(at: number, ball: KernelBall, won: number): void;
  score(): number;
  /** Whether the game ends here, in schemes that may end before the last ball. */
  over?(): boolean;
  /** Where the next ball is played from, in schemes that decide it. */
  at?(): number;
  /** Whether a ball did what was wanted, in schemes that know a perfect round. */
  worked?(at: number, ball: KernelBall): boolean;
}

/** Rules that not every way of scoring can have. */
export type Allowed = {
  /** One-sided: its zone, or what a ball costs, can hang on the side of the hole. */
  side: boolean;
  /** Zones that grow with the level. */
  scaled: boolean;
  /** Costs: there is something to take them from. */
  cost: boolean;
  /** A ball is hit again until it works. */
  again: boolean;
  /** A perfect first round ends the game. */
  perfect: boolean;
  /** Head starts. */
  allowances: boolean;
};
export const ALL_RULES: Allowed = { side: true, scaled: true, cost: true, again: true, perfect: true, allowances: true };
export const NO_RULES: Allowed = { side: false, scaled: false, cost: false, again: false, perfect: false, allowances: false };

/**
 * A way of scoring. Play, summary, forecast and set-up sheet go through this interface and know no scheme by name:
 * a new scheme is one file that meets it and one line in `index.ts`.
 */
export interface Scheme<Scoring, State> {
  kind: string;
  /** As a coach calls it. */
  label: string;
  /** How it is scored, in one line for who designs a game. */
  about: string;
  /** The fewest who can play it. */
  players: 1 | 2;
  /** Whether a station's `balls` say how many are played there; else every visit is one ball. */
  countsBalls: boolean;
  /** Which of the rules that combine with a scheme it can have. */
  allows(scoring: Scoring): Allowed;
  /** What it looks at beyond where a ball stopped: what a simulated ball must say too. */
  sees(scoring: Scoring): readonly Seen[];
  /** Whether a measured distance says all that is asked, so that it can be typed or tapped instead. */
  takesDistance(scoring: Scoring): boolean;
  unit(scoring: Scoring): ScoreUnit;
  better(scoring: Scoring): 'higher' | 'lower';
  /** What a new game of this kind starts from. */
  fresh(system: UnitSystem): Scoring;
  /** With every radius passed through `fit`: the zones as they are for one player. */
  fitted(scoring: Scoring, fit: (radiusM: number) => number): Scoring;
  /** What to ask for each ball, best first. */
  asks(phase: Phase<Scoring>, station: Station): AnswerKey[];
  /** The balls of the game, station by station; without it, each station's `balls`. */
  lots?(scoring: Scoring, stations: readonly Station[]): Lot[];
  /** The most balls that are played, where stations are visited as it goes. */
  most?(scoring: Scoring, stations: readonly Station[]): number;
  /** The state before the first ball. */
  start(phase: Phase<Scoring>): State;
  /**
   * The state after a ball; the state before it is left as it was.
   * @param won points of the round, in schemes that compare players
   */
  step(state: State, ball: Ball, lot: Lot, phase: Phase<Scoring>, won: number): State;
  /** The score a state stands for. */
  score(state: State, phase: Phase<Scoring>): number;
  /** The par of what was played, in a scheme that has one. */
  par?(state: State): number;
  /** Whether the game ends here although balls are left. */
  over(state: State, phase: Phase<Scoring>): boolean;
  /** Whether everybody is through as soon as somebody is, after equal turns. */
  race(scoring: Scoring): boolean;
  /** The station to play from next, where the scheme decides it. */
  route?(state: State, phase: Phase<Scoring>): number;
  /** Whether a ball did what was wanted; null where this scheme knows no such thing. */
  success(ball: Ball, station: Station, phase: Phase<Scoring>): boolean | null;
  /** What each player's ball of one round earns, in schemes that compare players. */
  round?(balls: readonly Ball[], phase: Phase<Scoring>): number[];
  /** The same for simulated balls: writes into `won`. */
  roundInto?(balls: readonly KernelBall[], phase: Phase<Scoring>, won: Float64Array): void;
  /** The best score there is. */
  best(phase: Phase<Scoring>): number;
  /** The worst score with which it was done, in schemes that count what it took and may end undone; null where any score is one. */
  lastDone?(phase: Phase<Scoring>): number | null;
  /** What one ball came to, in a word or two; empty where its distance says it all. */
  verdict(ball: Ball, station: Station, phase: Phase<Scoring>): string;
  /** How it stands, beyond the score: "rung 3 of 7". */
  now(state: State, phase: Phase<Scoring>): string;
  notes(state: State, phase: Phase<Scoring>): Note[];
  compile(phase: Phase<Scoring>): Kernel;
}

/** What most ways of scoring have in common; a scheme names what is different. */
export const PLAIN = {
  players: 1,
  countsBalls: true,
  sees: () => [],
  over: () => false,
  race: () => false,
  success: () => null,
  verdict: () => '',
  now: () => '',
  notes: () => [],
} as const satisfies Partial<Scheme<never, unknown>>;

/** What is left of a ball where nobody measures beyond some distance, in metres: a farther one counts as that far. */
export function cappedM(ball: Ball, capM: number): number {
  return Math.min(farM(ball), capM);
}

/** The farthest a ball may lie from the hole by what is known of it, in metres: a doubt never earns anything. */
export function farM(ball: Ball): number {
  return ball.holed ? 0 : (ball.leftM ?? ball.leftMaxM ?? Infinity);
}

/** Whether a ball is inside a zone round the hole, its edge included; a zone of radius 0 is the hole itself. */
export function inside(ball: Ball, radiusM: number): boolean {
  return ball.holed || (radiusM > 0 && farM(ball) <= radiusM);
}

/** The same for a simulated ball. */
export function kernelInside(ball: KernelBall, radiusM: number): boolean {
  return ball.holed || (radiusM > 0 && ball.goodSide && ball.leftM <= radiusM);
}

const key = (name: string, kind: AnswerKey['kind'], more: Partial<AnswerKey>, result: Partial<Result>): AnswerKey => ({
  key: name,
  kind,
  text: null,
  edgeM: null,
  worth: null,
  ...more,
  result: { ...UNKNOWN, ...result },
});

export const holedKey = (worth: number | null = null) => key('holed', 'holed', { worth }, { holed: true });
/** Between two edges, in metres. */
export const ringKey = (name: string, innerM: number, edgeM: number, worth: number | null = null) =>
  key(name, 'ring', { edgeM, worth }, { leftMinM: innerM, leftMaxM: edgeM });
/** Outside of an edge in metres; of none, the ball is simply not holed. */
export const outsideKey = (edgeM: number, worth: number | null = null) => key('outside', 'outside', { edgeM, worth }, { leftMinM: edgeM });
/** Outside of an edge in metres beyond which nobody measures; the key names it. */
export const farKey = (edgeM: number) => key('outside', 'outside', { edgeM, text: 'outside' }, { leftMinM: edgeM });
export const wordKey = (name: string, text: string, result: Partial<Result>, worth: number | null = null) =>
  key(name, 'word', { text, worth }, result);

/** The keys for one zone: holed, inside it, outside it; where only the hole counts, holed or not. */
export function zoneKeys(radiusM: number): AnswerKey[] {
  if (radiusM === 0) return [holedKey(), outsideKey(0)];
  return [holedKey(), ringKey('in', 0, radiusM), outsideKey(radiusM)];
}
