import { schemeOf } from '../game/scoring';
import type { GameSpec } from '../game/spec';

/** Who is to play: with which clubs, by their names; none where nobody said. */
export type Entering = { clubs: readonly string[] };

/** Whether a game can be put before these players as it is: enough of them, its clubs in every bag that is on record, its stations known. */
export function canPlay({ open, stations, scoring }: GameSpec, players: readonly Entering[]): boolean {
  const scheme = schemeOf(scoring);
  if (open || stations.length === 0 || players.length < scheme.players) return false;
  const clubs = [...stations.flatMap(({ club }) => club ?? []), ...(scheme.clubs?.(scoring) ?? [])].map((club) => club.toLowerCase());
  return players.every(({ clubs: own }) => own.length === 0 || clubs.every((club) => own.some((one) => one.toLowerCase() === club)));
}
