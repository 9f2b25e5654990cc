import { phasesOf, type GamePhase } from './phases';
import type { ShotAsked } from './scoring/ball';
import type { Lot } from './scoring/scheme';
import type { GameSpec } from './spec';
import type { Station } from './station';

/** One ball to be played: where in the game it comes, and which ball of its station it is (from 1). */
export type Turn = {
  turnNo: number;
  phase: number;
  station: Station;
  stationNo: number;
  ballNo: number;
  asked: ShotAsked;
  /** From 1; more where a ball is hit again until it works. */
  attempt: number;
};

/** The turn in which a ball of a phase is played. */
export function turnOf(phase: GamePhase, lot: Lot, turnNo: number): Turn {
  const station = phase.stations[lot.at]!;
  return { turnNo, phase: phase.index, station, stationNo: lot.at + 1, ballNo: lot.ballNo, asked: lot.asked, attempt: 1 };
}

/** The turns that a game has from the start, in the order of play: none in phases that decide as they go. */
export function turnsOf(game: GameSpec, seed = 0): Turn[] {
  return phasesOf(game, seed).flatMap((phase) => (phase.lots ?? []).map((lot, n) => turnOf(phase, lot, phase.firstTurn + n)));
}
