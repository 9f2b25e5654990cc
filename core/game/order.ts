import type { GameSpec, Station } from './spec';

/** One ball to be played: where in the game it comes, and which ball of its station it is (from 1). */
export type Turn = { turnNo: number; station: Station; stationNo: number; ballNo: number };

/** Every turn of a game in the order of play: station after station, all balls at each. */
export function turnsOf(game: GameSpec): Turn[] {
  let turnNo = 0;
  return game.stations.flatMap((station, i) =>
    Array.from({ length: station.balls }, (_, ball) => ({ turnNo: turnNo++, station, stationNo: i + 1, ballNo: ball + 1 })),
  );
}
