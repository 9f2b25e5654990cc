import { inOrder } from '../shot/order';
import type { Shot } from '../shot/shot';
import { snap } from '../units/length';
import { gameFor, type Entrant } from '../game/entrant';
import { phasesOf, type GamePhase } from '../game/phases';
import { schemeOf, type Scoring } from '../game/scoring';
import type { Lot, Scheme } from '../game/scoring/scheme';
import type { GameSpec } from '../game/spec';
import type { Station } from '../game/station';
import { costOf, costUnitM, priced, seen, takesTurn } from './verdict';

/** A recorded ball and the ball of the game that it is. */
export type Played = { shot: Shot; lot: Lot };

export type StationScore = { station: Station; stationNo: number; score: number; balls: number };

/** A phase while it is being played through for one player. */
export type PhaseState = {
  scheme: Scheme<Scoring, unknown>;
  state: unknown;
  cost: number;
  score: number;
  played: Played[];
  over: boolean;
};

/** A player at the table, while the session is being played through. */
export type Seat = {
  entrant: Entrant;
  game: GameSpec;
  phases: GamePhase[];
  states: PhaseState[];
  /** Turn-taking balls by phase, in order. */
  balls: Played[][];
  extras: Shot[];
  doubled: Shot[];
  late: Shot[];
  running: number[];
  scores: StationScore[];
  /** Why the game ended before its last ball, where it did. */
  early: 'perfect' | 'time' | null;
  startedMs: number | null;
  /** Where the others played each turn, by the station's key: who is compared plays the same shot. */
  others: ReadonlyMap<number, string>;
};

/** Seats a player: the game as it is for them, and their balls in order, each with the ball of the game that it is. */
export function takeSeat(called: GameSpec, entrant: Entrant, shots: readonly Shot[], seed: number): Seat {
  const game = gameFor(called, entrant);
  const phases = phasesOf(game, seed);
  const mine = shots.filter((shot) => shot.playerId === entrant.playerId);
  const { shots: ordered, doubled } = inOrder(mine.filter(takesTurn));
  const limitS = game.rules.timeLimitS;
  const startedMs = ordered[0] ? Date.parse(ordered[0].playedAt) : null;
  const seat: Seat = {
    entrant,
    game,
    phases,
    states: [],
    balls: phases.map(() => []),
    extras: mine.filter((shot) => !takesTurn(shot)),
    doubled: [...doubled],
    late: [],
    running: [],
    scores: game.stations.map((station, i) => ({ station, stationNo: i + 1, score: 0, balls: 0 })),
    early: null,
    startedMs,
    others: new Map(
      shots.flatMap((shot) => (shot.playerId !== entrant.playerId && takesTurn(shot) ? [[shot.turnNo, shot.stationKey] as const] : [])),
    ),
  };
  const slots = phases.map((phase) => slotsOf(phase, game.open));
  for (const shot of ordered) {
    if (limitS !== null && Date.parse(shot.playedAt) > startedMs! + limitS * 1000) seat.late.push(shot);
    else {
      const lot = slots[shot.phase]?.(shot);
      if (lot) seat.balls[shot.phase]!.push({ shot: ofTotal(shot), lot });
      else seat.doubled.push(shot);
      // Several balls that were entered as one total take the next balls of their station too.
      for (let more = 1; lot && more < shot.nBalls; more++) {
        const next = slots[shot.phase]!({ ...shot, ballNo: shot.ballNo + more });
        if (next) seat.balls[shot.phase]!.push({ shot: ofTotal(shot), lot: next });
      }
    }
  }
  return seat;
}

/** One of several balls that were entered as one total: its share of what was left. */
function ofTotal(shot: Shot): Shot {
  return shot.nBalls > 1 && shot.sumLeftM !== null ? { ...shot, leftM: snap(shot.sumLeftM / shot.nBalls) } : shot;
}

/**
 * Which ball of a phase a recorded one is: each is given out once. Where stations are visited as it goes, any ball at
 * one of them is; undefined for one that the phase does not have, or whose place is taken.
 */
function slotsOf(phase: GamePhase, open: boolean): (shot: Shot) => Lot | undefined {
  const at = new Map(phase.stations.map((station, i) => [station.key, i]));
  if (phase.lots === null || open)
    return ({ stationKey, ballNo }) => (at.has(stationKey) ? { at: at.get(stationKey)!, ballNo, asked: {} } : undefined);
  const free = phase.stations.map(() => new Map<number, Lot>());
  for (const lot of phase.lots) free[lot.at]!.set(lot.ballNo, lot);
  return ({ stationKey, ballNo }) => {
    const lots = free[at.get(stationKey) ?? -1];
    const lot = lots?.get(ballNo);
    if (lot) lots!.delete(ballNo);
    return lot;
  };
}

/**
 * Plays one phase for all, round by round: a round is the next ball of everybody. Where players are compared, each ball
 * earns its points once the round is complete, and none where nobody is left to compare with; where all stop together,
 * nothing scores after the round in which somebody was through.
 */
export function playPhase(seats: Seat[], p: number) {
  const parts = seats.map((seat) => begin(seat, p));
  const phase = seats[0]!.phases[p]!;
  const { scheme } = parts[0]!;
  const racing = scheme.race(phase.scoring);
  const rounds = Math.max(...seats.map((seat) => seat.balls[p]!.length));
  let stopped = false;
  for (let n = 0; n < rounds; n++) {
    const won =
      scheme.round && seats.length >= scheme.players && seats.every((seat) => seat.balls[p]!.length > n)
        ? scheme.round(
            seats.map((seat) => seat.balls[p]![n]!.shot),
            phase,
          )
        : undefined;
    seats.forEach((seat, s) => {
      const ball = seat.balls[p]![n];
      if (!ball) return;
      if (stopped || parts[s]!.over) seat.doubled.push(ball.shot);
      else stepSeat(seat, parts[s]!, p, ball, won?.[s] ?? 0);
    });
    stopped ||= racing && parts.some((part) => part.over);
  }
}

function begin(seat: Seat, p: number): PhaseState {
  const phase = seat.phases[p]!;
  const scheme = schemeOf(phase.scoring);
  const part: PhaseState = { scheme, state: scheme.start(phase), cost: 0, score: 0, played: [], over: false };
  seat.states.push(part);
  return part;
}

function stepSeat(seat: Seat, part: PhaseState, p: number, ball: Played, won: number) {
  const phase = seat.phases[p]!;
  const { scheme } = part;
  const { shot, lot } = ball;
  const before = part.score;
  part.state = scheme.step(part.state, seen(shot, phase.rules, phase.scoring), lot, phase, won);
  part.cost = snap(part.cost + costOf(shot, phase.rules, phase.scoring, costUnitM(phase.sizes)));
  part.score = snap(scheme.score(part.state, phase) + part.cost);
  part.played.push(ball);
  if (p === seat.phases.length - 1) {
    const station = seat.scores[lot.at]!;
    station.score = snap(station.score + part.score - before);
    station.balls += 1;
    seat.running.push(snap(part.score + allowanceOf(seat)));
    if (perfectRound(phase, scheme, part.played)) seat.early = 'perfect';
  }
  part.over = seat.early !== null || scheme.over(part.state, phase);
}

/** Whether the first round was perfect, in a game that ends then: one ball at every station, and each did what was wanted. */
function perfectRound(phase: GamePhase, scheme: PhaseState['scheme'], played: readonly Played[]): boolean {
  if (!phase.rules.endOnPerfectRound || played.length !== phase.stations.length) return false;
  if (new Set(played.map(({ lot }) => lot.at)).size < phase.stations.length) return false;
  return played.every(({ shot, lot }) => worked(phase, scheme, shot, lot));
}

/** Whether a ball did what was wanted, by the scheme and the rules. */
export function worked(phase: GamePhase, scheme: PhaseState['scheme'], shot: Shot, lot: Lot): boolean {
  return scheme.success(seen(shot, phase.rules, phase.scoring), phase.stations[lot.at]!, phase) === true;
}

/** A player's head start, as a change of the score. */
export function allowanceOf(seat: Pick<Seat, 'game' | 'entrant'>): number {
  return -priced(seat.entrant.allowance, seat.game.scoring, costUnitM(seat.game.sizes));
}
