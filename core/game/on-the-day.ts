import type { StationDistance } from '../shot/conditions';
import type { GameSpec } from './spec';

/** A game as it was set up for a session: stations stand where they were measured, not where they were meant to be. */
export function onTheDay(spec: GameSpec, corrected: readonly StationDistance[]): GameSpec {
  if (corrected.length === 0) return spec;
  const distanceOf = (key: string) => corrected.find((station) => station.key === key)?.distanceM;
  const measured = (stations: GameSpec['stations']) => stations.map((one) => ({ ...one, distanceM: distanceOf(one.key) ?? one.distanceM }));
  return {
    ...spec,
    stations: measured(spec.stations),
    leadIn: spec.leadIn.map((phase) => ({ ...phase, stations: phase.stations && measured(phase.stations) })),
  };
}
