import { useMemo } from 'react';
import { factsFrom, type StationFacts } from '@/core/green/facts';
import type { GreenPlan, PlanStation } from '@/core/green/plan';
import type { UnitSystem } from '@/core/units/length';

/** What the place says about each station, kept as long as neither the station nor the place changes. */
export function useFacts(plan: GreenPlan, system: UnitSystem): (station: PlanStation) => StationFacts {
  const { outline, areas, fringeM, around, holes, slope } = plan;
  return useMemo(
    () => factsFrom({ outline, areas, fringeM, around, holes, slope }, system),
    [outline, areas, fringeM, around, holes, slope, system],
  );
}
