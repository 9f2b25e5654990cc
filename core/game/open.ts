import { unitOf } from '../golf/shot-types';
import type { Shot } from '../shot/shot';
import { NOTHING_PLANNED } from './calls';
import { freshKey, type GameSpec } from './spec';
import { NO_GROUND_SAID, NOWHERE_SAID, type Station } from './station';

/**
 * The stations of an open game: those it began with, and those that were called since, in the order of their first
 * balls. A ball carries all that its station is, so nothing else has to be kept or sent.
 */
export function stationsCalled(begun: readonly Station[], shots: readonly Shot[]): Station[] {
  const stations = [...begun];
  const known = new Set(begun.map((station) => station.key));
  for (const shot of shots.toSorted((a, b) => a.turnNo - b.turnNo)) {
    if (known.has(shot.stationKey)) continue;
    known.add(shot.stationKey);
    const { stationKey: key, shotType, surface, sit, stance, trajectory, shape, target, distanceM, par } = shot;
    const distanceUnit = unitOf(shotType, 'imperial');
    stations.push({
      key,
      ...NOWHERE_SAID,
      ...NO_GROUND_SAID,
      place: null,
      shotType,
      surface,
      sit,
      stance,
      trajectory,
      shape,
      target,
      distanceM,
      distanceUnit,
      club: null,
      carryM: null,
      par,
      balls: 1,
    });
  }
  return stations;
}

/** A key for the next station that is called. */
export function freshStationKey(stations: readonly Station[]): string {
  return freshKey(
    's',
    stations.map((station) => station.key),
  );
}

/**
 * What was called live, kept as a game: its stations with the balls that were played there, in the order of the calls.
 * @param played one player's balls
 * @returns null before the first ball
 */
export function keptAsGame(game: GameSpec, played: readonly Shot[], title: string): GameSpec | null {
  const balls = new Map<string, number>();
  for (const shot of played) balls.set(shot.stationKey, (balls.get(shot.stationKey) ?? 0) + 1);
  const stations = stationsCalled(game.stations, played).flatMap((station) => {
    const count = balls.get(station.key);
    return count ? [{ ...station, balls: count }] : [];
  });
  return stations.length === 0 ? null : { ...game, title, open: false, calls: NOTHING_PLANNED, stations };
}
