import { conflictsOf, type Party } from '@/core/green/conflicts';
import type { Item } from '@/core/green/edit';
import type { GreenPlan } from '@/core/green/plan';

/** Which conflicts are shown: those of groups; without groups, those in which the chosen station has a part. */
export function relevant(parties: readonly Party[], plan: GreenPlan, chosen: Item | null) {
  if (plan.groups.length > 0) return conflictsOf(parties);
  if (chosen?.kind !== 'station') return [];
  return conflictsOf(parties, chosen.key);
}

/** Whose fans are drawn, and who is marked: of the chosen one, or of those in the worst conflict. */
export function marks(parties: readonly Party[], conflicts: ReturnType<typeof conflictsOf>, plan: GreenPlan, chosen: Item | null) {
  const warned = new Set(conflicts.flatMap(({ from, to }) => [from.key, to.key]));
  const station = chosen?.kind === 'station' ? chosen.key : null;
  if (station) warned.delete(station);
  if (plan.groups.length === 0) return { warned, fanned: parties.filter((party) => party.key === station) };
  const group = chosen?.kind === 'group' ? chosen.key : (plan.groups.find((one) => one.station === station)?.key ?? conflicts[0]?.from.key);
  return { warned, fanned: parties.filter((party) => party.key === group) };
}
