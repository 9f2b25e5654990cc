import { freshKey, type GameSpec, type Station } from '@/core/game/spec';
import { toMetres, type UnitSystem } from '@/core/units/length';

/** The station with which a game begins. */
export function firstStation(units: UnitSystem): Station {
  const distanceUnit = units === 'metric' ? 'm' : 'yd';
  return {
    key: 's1',
    shotType: 'chip',
    surface: 'fairway',
    sit: 'clean',
    stance: 'flat',
    trajectory: null,
    distanceM: toMetres(10, distanceUnit),
    distanceUnit,
    balls: 6,
  };
}

/** Another station, like the last one but for its key: most games change one thing at a time. */
export function nextStation(stations: readonly Station[], units: UnitSystem): Station {
  const last = stations.at(-1) ?? firstStation(units);
  return {
    ...last,
    key: freshKey(
      's',
      stations.map((station) => station.key),
    ),
  };
}

/** What the form of a new game starts from: one station and three rings, which a coach changes. */
export function newGame(units: UnitSystem): GameSpec {
  const ringUnit = units === 'metric' ? 'm' : 'ft';
  const edges = units === 'metric' ? [0.6, 1.5, 3] : [2, 5, 9];
  return {
    format: 'inch-game',
    version: 1,
    title: '',
    stations: [firstStation(units)],
    scoring: {
      scheme: 'ring_points',
      ringUnit,
      holedPoints: 6,
      rings: edges.map((edge, i) => ({ key: `r${i + 1}`, radiusM: toMetres(edge, ringUnit), points: [4, 2, 1][i]! })),
    },
    goal: null,
  };
}
