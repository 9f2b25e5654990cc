import { snap } from '../units/length';
import { gameFor, type Entrant } from '../game/entrant';
import { phasesOf } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { KernelBall } from '../game/scoring/kernel';
import type { GameSpec } from '../game/spec';
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
  /**
   * Begins a new game and plays it to its end.
   * @param sources by player, where their balls come from
   * @returns balls played
   */
  play(sources: readonly BallSource[]): number;
  /** With allowance. */
  score(seat: number): number;
  /** Whether a perfect first round ended a player's game. */
  perfect(seat: number): boolean;
}

/** Who hits the balls of a simulated game: fills in a ball that is hit at a station. */
export interface BallSource {
  hit(at: number, ball: KernelBall): void;
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

  const charge = (seat: number, ball: Readonly<KernelBall>) => {
    if (!ball.holed && !ball.goodSide) cost[seat]! += wrongCost;
    if (!ball.holed && !ball.onGreen) cost[seat]! += offCost;
  };
  /** Takes a ball into a player's game; `played` still says how many came before it. */
  const settle = (seat: number, at: number, ball: Readonly<KernelBall>, points: number) => {
    const kernel = kernels[seat]!;
    kernel.take(at, ball, points);
    charge(seat, ball);
    if (firstRound > 0 && !kernel.worked!(at, ball)) perfect[seat] = 0;
  };
  const close = (seat: number) => {
    const through = kernels[seat]!.over?.() === true;
    if (through || played[seat]! >= turns || (firstRound > 0 && played[seat] === firstRound && perfect[seat] === 1)) over[seat] = 1;
    if (racing && through) stopped = true;
  };

  const reset = () => {
    for (let i = 0; i < count; i++) {
      kernels[i]!.reset();
      played[i] = over[i] = cost[i] = 0;
      perfect[i] = 1;
    }
    most = 0;
    stopped = false;
  };
  const turn = () => {
    let next = -1;
    for (let i = 0; i < count; i++) {
      if (over[i] === 1 || (stopped && played[i]! >= most)) continue;
      if (next === -1 || played[i]! < played[next]!) next = i;
    }
    return next;
  };
  const take = (seat: number, ball: Readonly<KernelBall>) => {
    const at = station(seat);
    if (!scheme.roundInto) {
      settle(seat, at, ball, 0);
      played[seat]! += 1;
      if (played[seat]! > most) most = played[seat]!;
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
  };
  const thrown = blankBall();

  /** A game in which nobody has to be waited for: the same, in the fewest steps. */
  const alone = (source: BallSource): number => {
    const kernel = kernels[0]!;
    const ball = thrown;
    const order = sequence;
    const most = turns;
    const ends = kernel.over !== undefined;
    const simple = wrongCost === 0 && offCost === 0 && firstRound === 0;
    let balls = 0;
    while (balls < most) {
      const at = order === null ? kernel.at!() : order[balls]!;
      source.hit(at, ball);
      kernel.take(at, ball, 0);
      balls += 1;
      if (ends && kernel.over!()) break;
      if (simple) continue;
      charge(0, ball);
      if (balls > firstRound) continue;
      if (!kernel.worked!(at, ball)) perfect[0] = 0;
      if (balls === firstRound && perfect[0] === 1) break;
    }
    played[0] = balls;
    over[0] = 1;
    return balls;
  };

  return {
    reset,
    turn,
    station,
    take,
    play(sources) {
      reset();
      if (count === 1) return alone(sources[0]!);
      let balls = 0;
      for (let seat = turn(); seat >= 0; seat = turn(), balls++) {
        sources[seat]!.hit(station(seat), thrown);
        take(seat, thrown);
      }
      return balls;
    },
    score: (seat) => snap(snap(kernels[seat]!.score() + snap(cost[seat]!)) + allowance[seat]!),
    perfect: (seat) => firstRound > 0 && over[seat] === 1 && perfect[seat] === 1 && played[seat] === firstRound,
  };
}
