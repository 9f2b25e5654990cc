import { inOrder } from '../shot/order';
import type { Shot } from '../shot/shot';
import { turnsOf, type Turn } from './order';
import { schemeOf } from './scoring';
import type { GameSpec, Station } from './spec';

export type StationScore = { station: Station; stationNo: number; score: number; balls: number };

/** How a game stands for one player. */
export type Standing = {
  score: number;
  /** The score after each ball. */
  running: number[];
  stations: StationScore[];
  played: Shot[];
  /** Recorded for a turn that was already taken, or for one the game does not have; they do not score. */
  doubled: Shot[];
  /** The ball to play now, and the one after it; null at the end. */
  next: Turn | null;
  after: Turn | null;
  over: boolean;
  turns: number;
};

/**
 * Plays a game: a pure function of the game and the balls recorded in it, so that a phone, the server and a test
 * always agree.
 * @param shots one player's balls of one session, in the order in which they were taken in
 */
export function play(game: GameSpec, shots: readonly Shot[]): Standing {
  const scheme = schemeOf(game.scoring);
  const turns = turnsOf(game);
  const ordered = inOrder(shots);
  const stations = game.stations.map((station, i): StationScore => ({ station, stationNo: i + 1, score: 0, balls: 0 }));
  const byKey = new Map(stations.map((entry) => [entry.station.key, entry]));
  const standing: Standing = {
    score: 0,
    running: [],
    stations,
    played: [],
    doubled: [...ordered.doubled],
    next: null,
    after: null,
    over: false,
    turns: turns.length,
  };

  let state = scheme.start(game.scoring);
  for (const shot of ordered.shots) {
    const entry = byKey.get(shot.stationKey);
    if (!entry || shot.turnNo >= turns.length) {
      standing.doubled.push(shot);
      continue;
    }
    const before = scheme.score(state);
    state = scheme.step(state, shot, game.scoring);
    entry.score += scheme.score(state) - before;
    entry.balls += 1;
    standing.played.push(shot);
    standing.running.push(scheme.score(state));
  }
  standing.score = scheme.score(state);

  const taken = new Set(standing.played.map((shot) => shot.turnNo));
  const left = turns.filter((turn) => !taken.has(turn.turnNo));
  standing.over = left.length === 0 || scheme.over(state, game.scoring);
  if (!standing.over) [standing.next = null, standing.after = null] = left;
  return standing;
}

/** Whether a score is at least as good as the goal; null where the game has none. */
export function goalMet(game: GameSpec, score: number): boolean | null {
  if (game.goal === null) return null;
  return schemeOf(game.scoring).better === 'higher' ? score >= game.goal : score <= game.goal;
}

/** The best of several scores by this game's own direction; null of none. */
export function bestScore(game: GameSpec, scores: readonly number[]): number | null {
  if (scores.length === 0) return null;
  return schemeOf(game.scoring).better === 'higher' ? Math.max(...scores) : Math.min(...scores);
}
