import type { Shot } from '../shot/shot';
import { snap } from '../units/length';
import { plainEntrant, type Entrant } from '../game/entrant';
import { choices, nextTurnNo, openTurns, retry } from './next';
import { toPuttOut } from './putting-out';
import { ballsPlanned } from '../game/calls';
import { stationsCalled } from '../game/open';
import type { GamePhase } from '../game/phases';
import { schemeOf } from '../game/scoring';
import type { Note } from '../game/scoring/scheme';
import { allowanceOf, playPhase, takeSeat, type Seat, type StationScore } from './seat';
import type { GameSpec } from '../game/spec';
import type { Turn } from '../game/turn';

export type PhaseScore = { title: string; score: number; balls: number; turns: number; over: boolean };

/** How a game stands for one player. */
export type Standing = {
  entrant: Entrant;
  /** The game as it is for this player, with the stations that were called so far. */
  game: GameSpec;
  /** Of the phase that counts, allowance included; of the first phase while that one is still to come: nothing yet. */
  score: number;
  /** The score after each ball of the phase that is being played, or was played last. */
  running: number[];
  stations: StationScore[];
  phases: PhaseScore[];
  /** The phase that is being played, or was played last. */
  phase: GamePhase;
  /** All balls of the game in their order: those that took a turn. */
  played: Shot[];
  /** Recorded and marked, without a turn: hit again, a rejected lie, no ball. */
  extras: Shot[];
  /** Recorded for a turn that was already taken, or for one the game does not have; they do not score. */
  doubled: Shot[];
  /** Played after the time was over; they do not score. */
  late: Shot[];
  /** The ball to play now, and the one after it; null at the end. */
  next: Turn | null;
  after: Turn | null;
  /** In an open game, the number of the ball with which another station is called. */
  callNo: number;
  /** All balls of the phase that could be played now, in their order. */
  open: Turn[];
  /** Where the player chooses: one ball of each station, or each kind, that is left. */
  choice: Turn[];
  /** Balls that were hit and are putted out now, before anything else is played. */
  toPuttOut: Shot[];
  over: boolean;
  /** Why it ended before its last ball, where it did. */
  early: Seat['early'];
  turns: number;
  /** Whether this player has got to the end, though others may still play. */
  through: boolean;
  /** The par of what was played, in games against one; else 0. */
  par: number;
  /** How it stands, beyond the score: "rung 3 of 7". */
  now: string;
  notes: Note[];
};

/** How a session stands for all who play in it. */
export type Table = {
  standings: Standing[];
  /** Whose ball it is: a place in `standings`; null when all is over. */
  turn: number | null;
  over: boolean;
  /** The places of those who lead, several where it is level; when it is over, the winners. Empty alone. */
  ahead: number[];
};

export type PlayOptions = {
  /** Decides a random order; a session takes it from its id (`seedOf`). */
  seed?: number;
  /** The moment at which a time limit is looked at, in milliseconds; without it only recorded balls say that time is over. */
  atMs?: number;
};

/**
 * Plays a session: a pure function of the game, who plays and the balls recorded, so that a phone, the server and a
 * test always agree.
 * @param shots of the session, in the order in which they were taken in
 */
export function playSession(game: GameSpec, entrants: readonly Entrant[], shots: readonly Shot[], options: PlayOptions = {}): Table {
  const called = game.open ? { ...game, stations: stationsCalled(game.stations, shots) } : game;
  const seats = entrants.map((entrant) => takeSeat(called, entrant, shots, options.seed ?? 0));
  seats[0]?.phases.forEach((_, p) => playPhase(seats, p));
  const standings = seats.map((seat) => standingOf(seat, options.atMs));
  endTogether(standings);
  const waiting = standings.map((standing, i) => ({ i, at: turnWaiting(standing) }));
  const first = waiting.reduce((a, b) => (b.at < a.at ? b : a), { i: -1, at: Infinity });
  const over = standings.every((standing) => standing.over);
  return { standings, turn: first.at === Infinity ? null : first.i, over, ahead: leaders(over ? standings : afterEqualBalls()) };

  /** How it stood when everybody had played as many balls as whoever has played fewest: who is ahead only of the others' next balls leads nobody. */
  function afterEqualBalls(): Standing[] {
    const least = Math.min(...standings.map(({ played }) => played.length));
    if (standings.every(({ played }) => played.length === least)) return standings;
    const equal = standings.flatMap(({ played }) => played.slice(0, least));
    return playSession(game, entrants, equal, options.seed === undefined ? {} : { seed: options.seed }).standings;
  }
}

/** The turn for which a player waits: between the last of the balls that are putted out and the next one; Infinity for whoever is through. */
function turnWaiting({ next, toPuttOut: hit }: Standing): number {
  return hit.length > 0 ? hit.at(-1)!.turnNo + 0.5 : (next?.turnNo ?? Infinity);
}

/** The same for one player, of whom the game takes nothing. */
export function play(game: GameSpec, shots: readonly Shot[], options: PlayOptions = {}): Standing {
  const playerId = shots[0]?.playerId ?? '';
  return playSession(game, [plainEntrant(playerId)], shots, options).standings[0]!;
}

function standingOf(seat: Seat, atMs: number | undefined): Standing {
  const { phases, states, game, entrant } = seat;
  const scoreOfPhases = states.map((part, p): PhaseScore => ({
    title: phases[p]!.title,
    score: part.score,
    balls: part.played.length,
    turns: phases[p]!.turns,
    over: part.over || (hasEnd(game, phases[p]!) && part.played.length >= phases[p]!.turns),
  }));
  const limitMs = (game.rules.timeLimitS ?? Infinity) * 1000;
  const timeOver = seat.late.length > 0 || (atMs !== undefined && seat.startedMs !== null && atMs - seat.startedMs > limitMs);
  const current = timeOver ? -1 : scoreOfPhases.findIndex((phase) => !phase.over);
  const again = timeOver ? null : retry(seat);
  const counting = states.at(-1)!.played.map(({ shot }) => shot);
  const hit = timeOver ? [] : toPuttOut(game, phases.at(-1)!, counting);
  const over = current === -1 && !again && hit.length === 0;
  const shown = over || hit.length > 0 ? states.length - 1 : again ? again.phase : current;
  const last = states.at(-1)!;
  const played = states.flatMap((part) => part.played.map(({ shot }) => shot));
  const options = over || again || current === -1 ? [] : openTurns(seat, current);
  const phase = phases[shown]!;
  const chooses = phase.order === 'choice' && options.length > 0;
  return {
    entrant,
    game,
    score: snap(last.score + (last.played.length > 0 || phases.length === 1 ? allowanceOf(seat) : 0)),
    running: seat.running,
    stations: seat.scores,
    phases: scoreOfPhases,
    phase,
    played,
    extras: seat.extras,
    doubled: seat.doubled,
    late: seat.late,
    next: again ?? options[0] ?? null,
    after: again ? (openTurns(seat, current)[0] ?? null) : chooses ? null : (options[1] ?? openTurns(seat, current + 1)[0] ?? null),
    callNo: nextTurnNo(seat, phase),
    open: options,
    choice: chooses ? choices(options) : [],
    toPuttOut: hit,
    over,
    early: seat.early ?? (timeOver && scoreOfPhases.some((one) => !one.over) ? 'time' : null),
    turns: phases.reduce((sum, one) => sum + one.turns, 0),
    through: last.over,
    par: last.scheme.par?.(last.state) ?? 0,
    now: states[shown]!.scheme.now(states[shown]!.state, phase),
    notes: last.scheme.notes(last.state, phases.at(-1)!),
  };
}

/** Whether a phase is through after so many balls, and does not go on as long as somebody likes. */
function hasEnd({ open, calls }: GameSpec, { lots }: GamePhase): boolean {
  return open ? ballsPlanned(calls) !== null : lots !== null;
}

/** Where everybody stops as soon as somebody is through: after equal turns, nobody has a ball left to play. */
function endTogether(standings: Standing[]) {
  const scoring = standings[0]?.game.scoring;
  if (!scoring || !schemeOf(scoring).race(scoring)) return;
  const counting = standings.map((standing) => standing.phases.at(-1)!.balls);
  const most = Math.max(...counting);
  const through = standings.some((standing) => standing.through);
  for (const [i, standing] of standings.entries()) {
    if (!through || counting[i]! < most || standing.toPuttOut.length > 0) continue;
    standing.over = true;
    standing.next = standing.after = null;
    standing.choice = standing.open = [];
  }
}

/** Whether a score is at least as good as the goal; null where the game has none. A perfect round that ends a game reaches any. */
export function goalMet(game: GameSpec, score: number, early: Seat['early'] = null): boolean | null {
  if (game.goal === null) return null;
  if (early === 'perfect') return true;
  return schemeOf(game.scoring).better(game.scoring) === 'higher' ? score >= game.goal : score <= game.goal;
}

/**
 * What somebody scored in a session, looked at alone and without a head start: a mark to beat.
 * @returns null in games that compare players, where a score is won from the others, and where all was perfect early
 */
export function scoreAlone(game: GameSpec, entrant: Entrant, shots: readonly Shot[], seed: number): number | null {
  if (schemeOf(game.scoring).players > 1) return null;
  const { early, score } = playSession(game, [{ ...entrant, allowance: 0 }], shots, { seed }).standings[0]!;
  return early === 'perfect' ? null : score;
}

/** The best of several scores by this game's own direction; null of none. */
export function bestScore(game: GameSpec, scores: readonly number[]): number | null {
  if (scores.length === 0) return null;
  return schemeOf(game.scoring).better(game.scoring) === 'higher' ? Math.max(...scores) : Math.min(...scores);
}

/** Who leads, among several, after equal balls: by the score; where the par hangs on the level, by strokes against it. */
function leaders(standings: readonly Standing[]): number[] {
  if (standings.length < 2 || standings.every((standing) => standing.phases.at(-1)!.balls === 0)) return [];
  const figures = standings.map((standing) => standing.score - standing.par);
  const { scoring } = standings[0]!.game;
  const best = schemeOf(scoring).better(scoring) === 'higher' ? Math.max(...figures) : Math.min(...figures);
  return figures.flatMap((figure, i) => (figure === best ? [i] : []));
}
