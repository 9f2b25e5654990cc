import { schemeOf } from '../game/scoring';
import { farM } from '../game/scoring/ball';
import { BLUR } from '../golf/blur';
import type { Shot } from '../shot/shot';
import type { Table } from './play';

/** A round of a game that compares players, once everybody has played in it. */
export type Round = {
  /** From 1. */
  no: number;
  /** By seats. */
  balls: Shot[];
  /** The seats of those who took a point; nobody where it is halved. */
  winners: number[];
  /**
   * The two nearest, where they were judged so roughly that nobody can tell which is nearer, nobody has said so, and no ball came after:
   * their seats, the nearer figure first.
   */
  tooClose: [number, number] | null;
};

/** The last round that everybody has played; null before the first, and in games that compare nobody. */
export function lastRound({ standings }: Table): Round | null {
  const { phase } = standings[0]!;
  const { round } = schemeOf(phase.scoring);
  if (!round || standings.length < schemeOf(phase.scoring).players) return null;
  const of = standings.map(({ played }) => played.filter((shot) => shot.phase === phase.index));
  const no = Math.min(...of.map((balls) => balls.length));
  if (no === 0) return null;
  const balls = of.map((all) => all[no - 1]!);
  const newest = of.every((all) => all.length === no);
  return {
    no,
    balls,
    winners: round(balls, phase).flatMap((won, seat) => (won > 0 ? [seat] : [])),
    tooClose: newest ? tooClose(balls) : null,
  };
}

/** Distances differ where the difference of their logarithms is more than the two ways of measuring blur it (`BLUR`). */
function tooClose(balls: readonly Shot[]): [number, number] | null {
  if (balls.some(({ nearer }) => nearer !== null)) return null;
  const [first, second] = balls.map((shot, seat) => ({ seat, shot })).sort((a, b) => farM(a.shot) - farM(b.shot));
  const exact = [first!.shot, second!.shot].every(({ leftM, holed }) => leftM !== null && leftM > 0 && !holed);
  if (!exact) return null;
  const apart = Math.log(second!.shot.leftM! / first!.shot.leftM!);
  return apart < Math.hypot(BLUR[first!.shot.measured], BLUR[second!.shot.measured]) ? [first!.seat, second!.seat] : null;
}

/** What a player has to be nearer than in the round that they are about to play. */
export type ToBeat = {
  /** Metres of the nearest that was measured, or the edge inside which it lies; null where nobody measured. */
  leftM: number | null;
  /** Whether somebody's ball is down of whom no figure is known: whoever comes after says who is nearer. */
  unmeasured: boolean;
  holed: boolean;
};

/** What the others' balls of the round are that a player is about to play; null where none is down, or nobody is compared. */
export function toBeat({ standings }: Table, seat: number): ToBeat | null {
  const { next, phase } = standings[seat]!;
  if (!next || !schemeOf(phase.scoring).round) return null;
  const down = standings.flatMap((one, i) => (i === seat ? [] : one.played.filter((shot) => shot.turnNo === next.turnNo)));
  if (down.length === 0) return null;
  const nearest = Math.min(...down.filter(({ leftM, holed }) => holed || leftM !== null).map(farM));
  return {
    leftM: Number.isFinite(nearest) ? nearest : null,
    unmeasured: down.some(({ leftM, holed, leftMaxM }) => !holed && leftM === null && leftMaxM !== null),
    holed: down.some(({ holed }) => holed),
  };
}
