import type { Shot } from '../../shot/shot';
import type { UnitSystem } from '../../units/length';
import { ORDERS, type PlayingOrder, type Rules } from '../rules';
import type { Sizes } from '../sizes';
import type { Station } from '../station';
import type { AnswerKey } from './answer-keys';
import type { ShotAsked, ScoredBall } from './ball';
import type { Kernel, KernelBall, Seen } from './kernel';
import type { ScoreUnit } from './score-unit';
import type { Words } from './words';
import type { Zone } from './zone';

/** A ball that the game has: which of its station it is (from 1), and what is asked of it. */
export type Lot = { at: number; ballNo: number; asked: ShotAsked };

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

/** What is wrong, and where in the game. */
export type Refusal = { path: readonly (string | number)[]; message: string };

/** A game that is being designed, as a way of scoring looks at it. */
export type Designed<Scoring> = { scoring: Scoring; stations: readonly Station[]; open: boolean; rules: Rules };

/** A phase that leads in: its scoring, and the balls at each station. */
export type LeadingIn<Scoring> = { scoring: Scoring; balls: number };

/** What a game compares: clubs, or shots that are played in several ways. */
export type Compared = {
  what: 'club' | 'shot';
  /** Which of them a ball is, in words: "PW", "low"; null where it says none. */
  wayOf(shot: Pick<Shot, 'clubLabel' | 'trajectory' | 'shape' | 'swingWidth' | 'called'>): string | null;
};

/**
 * A way of scoring: all that is particular to it. Whoever designs, plays, forecasts or says a game goes through this
 * interface and knows no scheme by name: a new one is one file here that meets it and one line in `index.ts`, and one
 * file for its fields and its drawing in the screens.
 */
export interface Scheme<Scoring, State> {
  kind: string;
  /** As a coach calls it. */
  label: string;
  /** The same beside its drawing, in a few words. */
  inShort: string;
  /** How it is scored, in one line for who designs a game. */
  about: string;

  // What games it makes.

  /** The fewest who can play it. */
  players: 1 | 2;
  /** Whether a station's `balls` say how many are played there; else every visit is one ball. */
  countsBalls: boolean;
  /** In which orders its stations can be played. */
  orders: readonly PlayingOrder[];
  /** Why it can be played in no other order. */
  whyOrder: string;
  /** Whether it can be what counts; else it is only ever a phase before that. */
  counts: boolean;
  /** Whether it can be a phase before the one that counts. */
  leadsIn: boolean;
  /** Whether it can begin without stations, which are called while it is played. */
  opens: boolean;
  /** Whether a shot is called before it is played. */
  calls(scoring: Scoring): boolean;
  /** Whether the balls of a set may be counted together when they are collected: their order says nothing. */
  tallies: boolean;
  /** Whether a shorter version is the same game. */
  shortens: boolean;
  /** What each of its stations must say beyond the shot. */
  stationSays: readonly ('carryM' | 'par')[];
  /** Which of the rules that combine with a scheme it can have. */
  allows(scoring: Scoring): Allowed;
  /** Rules that it has no use for, because it says as much itself. */
  without: readonly (keyof Rules)[];
  /** Whether a ball on the wrong side of a one-sided game counts as it lies, and costs; else it is in no zone. */
  wrongSideCounts: boolean;
  /** Whether every ball is putted out. */
  puttedOut: boolean;
  /** The clubs it is played with, from the longest to the shortest, where it says so. */
  clubs?(scoring: Scoring): readonly string[];
  /** What it compares by the distance left; null where nothing. */
  compares?(scoring: Scoring): Compared | null;
  /** What of a game with it makes no sense, beyond what holds for every way of scoring. */
  refuses(game: Designed<Scoring>): Refusal[];
  /** The same of a phase that leads in; paths within the phase. */
  refusesLeadIn(phase: LeadingIn<Scoring>, stations: readonly Station[]): Refusal[];
  /**
   * What a new game of this kind starts from.
   * @param putts whether all its stations are putts
   */
  fresh(system: UnitSystem, putts?: boolean): Scoring;
  /** So many balls it takes at least. */
  fewestBalls(scoring: Scoring): number;
  /** For a version with a share of the balls: so many in all. */
  shorter(scoring: Scoring, share: number, balls: number, stations: readonly Station[]): Scoring;
  /** By how many strokes each par is higher for a player of this level. */
  extraPar(scoring: Scoring, level: number): number;

  // Its zones, and its words.

  /** Its zones as they are drawn, those of one kind from the smallest to the largest. */
  zones(scoring: Scoring): Zone[];
  /** With every radius passed through `fit`: the zones as they are for one player. */
  fitted(scoring: Scoring, fit: (radiusM: number) => number): Scoring;
  /** How it is scored, in a sentence or two, with its figures. */
  says(scoring: Scoring, words: Words): string;
  /** What a goal means, exactly: "17 over seven stations: four in two, three in three." */
  saysGoal(goal: number, phase: Phase<Scoring>, words: Words): string;
  unit(scoring: Scoring): ScoreUnit;
  better(scoring: Scoring): 'higher' | 'lower';

  // Playing it.

  /** What it looks at beyond where a ball stopped: what a simulated ball must say too. */
  sees(scoring: Scoring): readonly Seen[];
  /** Whether a measured distance says all that is asked, so that it can be typed or tapped instead. */
  takesDistance(scoring: Scoring): boolean;
  /** Whether it matters where on or off the green a ball from this station finished. */
  asksFinish(station: Station): boolean;
  /**
   * What to ask for each ball, best first.
   * @param left balls of the same kind that are still to be played there, this one included
   */
  asks(phase: Phase<Scoring>, station: Station, left?: number): AnswerKey[];
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
  step(state: State, ball: ScoredBall, lot: Lot, phase: Phase<Scoring>, won: number): State;
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
  success(ball: ScoredBall, station: Station, phase: Phase<Scoring>): boolean | null;
  /** What each player's ball of one round earns, in schemes that compare players. */
  round?(balls: readonly ScoredBall[], phase: Phase<Scoring>): number[];
  /** The same for simulated balls: writes into `won`. */
  roundInto?(balls: readonly KernelBall[], phase: Phase<Scoring>, won: Float64Array): void;
  /** The best score there is. */
  best(phase: Phase<Scoring>): number;
  /** The worst score with which it was done, in schemes that count what it took and may end undone; null where any score is one. */
  lastDone?(phase: Phase<Scoring>): number | null;
  /** What one ball came to, in a word or two; empty where its distance says it all. */
  verdict(ball: ScoredBall, station: Station, phase: Phase<Scoring>): string;
  /** The same in one sign or figure, on a card; without it, whether it did what was wanted. */
  mark?(ball: ScoredBall, phase: Phase<Scoring>): string;
  /** The one thing to think of with each ball, where it says one. */
  cue?(scoring: Scoring): string;
  /** How it stands, beyond the score: "rung 3 of 7". */
  now(state: State, phase: Phase<Scoring>): string;
  notes(state: State, phase: Phase<Scoring>): Note[];
  compile(phase: Phase<Scoring>): Kernel;
}

/** What most ways of scoring have in common; a scheme names what is different. */
export const PLAIN = {
  players: 1,
  countsBalls: true,
  orders: ORDERS,
  whyOrder: '',
  counts: true,
  leadsIn: true,
  opens: true,
  calls: () => false,
  tallies: false,
  shortens: true,
  stationSays: [],
  without: [],
  wrongSideCounts: false,
  puttedOut: false,
  refuses: () => [],
  refusesLeadIn: () => [],
  fewestBalls: () => 1,
  shorter: <Scoring>(scoring: Scoring) => scoring,
  extraPar: () => 0,
  sees: () => [],
  asksFinish: () => false,
  over: () => false,
  race: () => false,
  success: () => null,
  verdict: () => '',
  now: () => '',
  notes: () => [],
} as const satisfies Partial<Scheme<never, unknown>>;
