import type { UnitSystem } from '../units/length';
import type { Conflict, Party } from './conflicts';
import { groupAt } from './edit';
import { factsOf, type StationFacts } from './facts';
import type { GreenPlan, PlanStation } from './plan';
import { fromMetres } from '../units/length';

/** Somebody alone at a station: how far they stand from it, in metres. */
const ALONE_M = 0.5;

/**
 * Who uses the green: the groups; where there are none, somebody alone at every station.
 * @param facts what the place says about a station; given by whoever knows it already
 */
export function partiesOf(
  plan: GreenPlan,
  facts: (station: PlanStation) => Pick<StationFacts, 'hole' | 'shotType'> = (station) => factsOf(plan, station, 'imperial'),
): Party[] {
  const plays = (station: PlanStation): Party['plays'] => {
    const { hole, shotType } = facts(station);
    return { to: hole.at, holeKey: hole.key, holeName: `hole ${hole.label}`, shotType };
  };
  if (plan.groups.length === 0)
    return plan.stations.map((station, i) => ({
      key: station.key,
      name: `Station ${i + 1}`,
      at: station.at,
      radiusM: ALONE_M,
      hands: 'mixed',
      plays: plays(station),
      collects: false,
      alone: true,
    }));
  return plan.groups.map((group) => {
    const station = plan.stations.find((one) => one.key === group.station);
    return {
      key: group.key,
      name: `Group ${group.label}`,
      at: groupAt(plan, group),
      radiusM: group.radiusM,
      hands: group.hands,
      plays: station ? plays(station) : null,
      collects: station !== undefined,
      alone: false,
    };
  });
}

/** What stands under every list of conflicts, and under none as well. */
export const NO_WARNING = 'No warning does not mean safe; the coach decides.';
export const WHAT_TO_DO = 'Stop, move, or take turns.';

/** A possible conflict as a sentence: "Group 2 stands in the line of Group 1, 64 yd on." */
export function sayConflict({ from, to, why, where, distanceM }: Conflict, system: UnitSystem): string {
  const unit = system === 'metric' ? 'm' : 'yd';
  const far = `${Math.max(1, Math.round(fromMetres(distanceM, unit)))} ${unit}`;
  const who = where === 'standing' ? to.name : `${to.name}, collecting at ${to.plays!.holeName},`;
  if (why === 'swing') return `${who} is within the swing of ${from.name}, ${far} away.`;
  if (why === 'shank') return `${who} is on the shank side of ${from.name}, ${far} away.`;
  if (where === 'collecting' && from.plays!.holeKey === to.plays!.holeKey) return `${who} is where ${from.name} plays to, ${far} on.`;
  return `${who} stands in the line of ${from.name}, ${far} on.`;
}
