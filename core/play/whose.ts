import type { Standing, Table } from './play';

/** How several players take turns on one device: ball by ball, or each all balls of a station before the next player. */
export const ROTATIONS = ['ball', 'station'] as const;
export type Rotation = (typeof ROTATIONS)[number];

/**
 * Whose ball it is: with `ball` that of the earliest turn; with `station` one player plays out the station before it is
 * the next player's, and all are through with it before anybody goes on.
 * @returns a place in `standings`; null when all is over
 */
export function whoseBall(table: Table, rotation: Rotation): number | null {
  if (rotation === 'ball') return table.turn;
  const waiting = table.standings.flatMap((standing, seat) => (standing.next ? [{ seat, ...visitOf(standing) }] : []));
  if (waiting.length === 0) return null;
  const first = Math.min(...waiting.map((one) => one.start));
  const here = waiting.filter((one) => one.start === first);
  return (here.find((one) => one.begun) ?? here[0]!).seat;
}

/** The balls in a row at the station of the next one: the turn of the first of them, and whether any was played. */
function visitOf({ next, phase, played }: Standing): { start: number; begun: boolean } {
  const turnNo = next!.turnNo;
  if (phase.lots === null) return { start: turnNo, begun: false };
  let at = turnNo - phase.firstTurn;
  while (at > 0 && phase.lots[at - 1]!.at === phase.lots[at]?.at) at--;
  const start = phase.firstTurn + at;
  return { start, begun: played.some((shot) => shot.turnNo >= start && shot.turnNo < turnNo) };
}
