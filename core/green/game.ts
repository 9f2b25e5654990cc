import { unitOf } from '../golf/shot-types';
import { freshKey, gameSpecSchema, type GameSpec } from '../game/spec';
import { NO_GROUND_SAID, NOWHERE_SAID, type Station } from '../game/station';
import { sayPath } from '../problem';
import { snap, type UnitSystem } from '../units/length';
import { factsOf } from './facts';
import type { GreenPlan, PlanStation } from './plan';

/** What a plan says of a station of a game. */
type Placed = Pick<Station, 'hole' | 'shotType' | 'surface' | 'sit' | 'stance' | 'target' | 'distanceM'>;

/** What a game takes from a plan for one of its stations. */
function placed(plan: GreenPlan, station: PlanStation): Placed {
  const { line, surface, shotType, hole } = factsOf(plan, station, 'imperial');
  return {
    shotType,
    surface,
    sit: station.sit,
    stance: station.stance,
    hole: hole.label,
    target: hole.target,
    distanceM: snap(line.distanceM),
  };
}

/**
 * The stations of a plan as stations of a game, in the plan's order.
 * @param balls at each
 */
export function gameStations(plan: GreenPlan, system: UnitSystem, balls: number): Station[] {
  return plan.stations.map((station) => {
    const facts = placed(plan, station);
    const distanceUnit = unitOf(facts.shotType, system);
    return {
      key: station.key,
      ...NOWHERE_SAID,
      ...NO_GROUND_SAID,
      place: station.key,
      trajectory: null,
      shape: null,
      club: null,
      carryM: null,
      par: null,
      balls,
      distanceUnit,
      ...facts,
    };
  });
}

/** Stations of a plan that a game does not have yet, with keys that are free in it. */
export function missingStations(spec: Pick<GameSpec, 'stations'>, plan: GreenPlan, system: UnitSystem, balls: number): Station[] {
  const keys = spec.stations.map((station) => station.key);
  return gameStations(plan, system, balls)
    .filter((station) => spec.stations.every((one) => one.place !== station.place))
    .map((station) => {
      const key = keys.includes(station.key) ? freshKey('s', keys) : station.key;
      keys.push(key);
      return { ...station, key };
    });
}

export type Followed = { spec: GameSpec; changed: boolean } | { refused: string };

/**
 * A game after the green under it was changed. Of every station that was taken from the plan, what the coach has not
 * changed in the game follows the plan; a station that the plan no longer has stays as it was and stands on no plan.
 * @returns the game, or why it cannot follow: what no game can be
 */
export function followGreen(spec: GameSpec, before: GreenPlan, after: GreenPlan): Followed {
  const stations = spec.stations.map((station): Station => {
    if (station.place === null) return station;
    const now = after.stations.find((one) => one.key === station.place);
    if (!now) return { ...station, place: null };
    const then = before.stations.find((one) => one.key === station.place);
    const [was, is] = [then ? placed(before, then) : null, placed(after, now)];
    const names = Object.keys(is) as (keyof Placed)[];
    const follows = names.filter((name) => was === null || station[name] === was[name]);
    return { ...station, ...Object.fromEntries(follows.map((name) => [name, is[name]])) };
  });
  const changed = JSON.stringify(stations) !== JSON.stringify(spec.stations);
  if (!changed) return { spec, changed };
  const parsed = gameSpecSchema.safeParse({ ...spec, stations });
  if (parsed.success) return { spec: parsed.data, changed };
  const issue = parsed.error.issues[0]!;
  return { refused: `${sayPath(issue.path)}: ${issue.message}` };
}

/** By how much the stations of a game stand elsewhere than on the plan, as the place they have and the distance there, in metres. */
export function elsewhere(spec: Pick<GameSpec, 'stations'>, plan: GreenPlan): { stationNo: number; planM: number }[] {
  return spec.stations.flatMap((station, i) => {
    const there = plan.stations.find((one) => one.key === station.place);
    if (!there) return [];
    const { distanceM } = placed(plan, there);
    return Math.abs(distanceM - station.distanceM) > 0.05 ? [{ stationNo: i + 1, planM: distanceM }] : [];
  });
}
