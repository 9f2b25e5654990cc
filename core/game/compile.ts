import { snap } from '../units/length';
import { gameFor, type Entrant } from './entrant';
import { phasesOf } from './phases';
import { schemeOf } from './scoring';
import type { KernelBall } from './scoring/scheme';
import type { GameSpec } from './spec';
import { costUnitM, priced } from './verdict';

/**
 * A game compiled for simulation: the phase that counts, for all who play, played with no allocation. It equals the
 * reducer of a real game (`playSession`) ball for ball. Balls that are hit again and time limits are not simulated;
 * where the player chooses, stations are played in the order of the list.
 */
export interface Stepper {
  /** Begins a new game. */
  reset(): void;
  /** Whose ball it is: a place among the players; −1 when all is over. */
  turn(): number;
  /** The station from which a player plays next. */
  station(seat: number): number;
  take(seat: number, ball: Readonly<KernelBall>): void;
  /** With allowance. */
  score(seat: number): number;
}

/** A ball to be filled in again and again. */
export function blankBall(): KernelBall {
  return { holed: false, leftM: 0, goodSide: true, onGreen: true, landed: false, strokes: 1, executed: false };
}

function copyBall(from: Readonly<KernelBall>, to: KernelBall) {
  to.holed = from.holed;
  to.leftM = from.leftM;
  to.goodSide = from.goodSide;
  to.onGreen = from.onGreen;
  to.landed = from.landed;
  to.strokes = from.strokes;
  to.executed = from.executed;
}

export function compile(game: GameSpec, entrants: readonly Entrant[], seed = 0): Stepper {
  const count = entrants.length;
  const phases = entrants.map((entrant) => phasesOf(gameFor(game, entrant), seed).at(-1)!);
  const { rules, scoring, lots, turns, stations } = phases[0]!;
  const scheme = schemeOf(scoring);
  const racing = scheme.race(scoring);
  const kernels = phases.map((phase) => scheme.compile(phase));
  const sequence = lots && Int32Array.from(lots, (lot) => lot.at);
  const lengthUnit = costUnitM(game.sizes);
  const wrongCost = priced(rules.goodSide === null ? 0 : rules.wrongSideCost, scoring, lengthUnit);
  const offCost = priced(rules.offGreenCost ?? 0, scoring, lengthUnit);
  const allowance = Float64Array.from(entrants, (entrant) => -priced(entrant.allowance, scoring, lengthUnit));
  const firstRound = rules.endOnPerfectRound ? stations.length : 0;

  const played = new Int32Array(count);
  const over = new Uint8Array(count);
  const perfect = new Uint8Array(count);
  const cost = new Float64Array(count);
  const won = new Float64Array(count);
  const held = Array.from({ length: count }, blankBall);
  let most = 0;
  let stopped = false;

  const station = (seat: number) => (sequence ? sequence[played[seat]!]! : kernels[seat]!.at!());

  /** Takes a ball into a player's game; `played` still says how many came before it. */
  const settle = (seat: number, at: number, ball: Readonly<KernelBall>, points: number) => {
    const kernel = kernels[seat]!;
    kernel.take(at, ball, points);
    if (!ball.holed && !ball.goodSide) cost[seat]! += wrongCost;
    if (!ball.holed && !ball.onGreen) cost[seat]! += offCost;
    if (firstRound > 0 && !kernel.worked!(at, ball)) perfect[seat] = 0;
  };
  const close = (seat: number) => {
    const done = played[seat]! >= turns || kernels[seat]!.over() || (firstRound > 0 && played[seat] === firstRound && perfect[seat] === 1);
    if (done) over[seat] = 1;
    if (racing && kernels[seat]!.over()) stopped = true;
  };

  return {
    reset() {
      for (let i = 0; i < count; i++) kernels[i]!.reset();
      played.fill(0);
      over.fill(0);
      perfect.fill(1);
      cost.fill(0);
      most = 0;
      stopped = false;
    },
    turn() {
      let next = -1;
      for (let i = 0; i < count; i++) {
        if (over[i] === 1 || (stopped && played[i]! >= most)) continue;
        if (next === -1 || played[i]! < played[next]!) next = i;
      }
      return next;
    },
    station,
    take(seat, ball) {
      const at = station(seat);
      if (!scheme.roundInto) {
        settle(seat, at, ball, 0);
        played[seat]! += 1;
        most = Math.max(most, played[seat]!);
        close(seat);
        return;
      }
      copyBall(ball, held[seat]!);
      played[seat]! += 1;
      most = Math.max(most, played[seat]!);
      for (let i = 0; i < count; i++) if (played[i]! < most) return;
      scheme.roundInto(held, phases[0]!, won);
      for (let i = 0; i < count; i++) {
        settle(i, at, held[i]!, won[i]!);
        close(i);
      }
    },
    score: (seat) => snap(snap(kernels[seat]!.score() + snap(cost[seat]!)) + allowance[seat]!),
  };
}
