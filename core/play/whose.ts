import type { Standing, Table } from './play';

/**
 * How several players take turns on one device: ball by ball; each all balls of a station before the next player; or everybody at their
 * own pace, at stations of their own.
 */
export const ROTATIONS = ['ball', 'station', 'own'] as const;
export type Rotation = (typeof ROTATIONS)[number];

/**
 * Whose ball it is: with `ball` that of the earliest turn; with `station` one player plays out the station before it is
 * the next player's, and all are through with it before anybody goes on; with `own` it stays that of whoever is at it.
 * @param at the place of whoever is at it: of the last ball, or chosen by hand
 * @returns a place in `standings`; null when all is over
 */
export function whoseBall(table: Table, rotation: Rotation, at: number | null = null): number | null {
  if (rotation === 'own' && at !== null && table.standings[at] && hasBall(table.standings[at])) return at;
  if (rotation !== 'station') return table.turn;
  const waiting = table.standings.flatMap((standing, seat) => (hasBall(standing) ? [{ seat, ...visitOf(standing) }] : []));
  if (waiting.length === 0) return null;
  const first = Math.min(...waiting.map((one) => one.start));
  const here = waiting.filter((one) => one.start === first);
  return (here.find((one) => one.begun) ?? here[0]!).seat;
}

/** Whether a player has something to play: a ball, or one to putt out. */
const hasBall = ({ next, toPuttOut }: Standing) => next !== null || toPuttOut.length > 0;

/** The balls in a row at the station of the next one: the turn of the first of them, and whether any was played. */
function visitOf({ next, phase, played, toPuttOut }: Standing): { start: number; begun: boolean } {
  const turnNo = toPuttOut[0]?.turnNo ?? next!.turnNo;
  if (toPuttOut.length > 0) return { start: turnNo, begun: true };
  if (phase.lots === null) return { start: turnNo, begun: false };
  let at = turnNo - phase.firstTurn;
  while (at > 0 && phase.lots[at - 1]!.at === phase.lots[at]?.at) at--;
  const start = phase.firstTurn + at;
  return { start, begun: played.some((shot) => shot.turnNo >= start && shot.turnNo < turnNo) };
}
