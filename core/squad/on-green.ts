import { conflictsOf } from '../green/conflicts';
import { partiesOf } from '../green/parties';
import type { GreenPlan } from '../green/plan';
import type { InTheWay } from './rounds';

/** Which stations of a green are in each other's way when both are in use: where one's balls may well hit who stands at the other. */
export function inTheWayOn(plan: GreenPlan): InTheWay {
  const alone = { ...plan, groups: [] };
  const red = conflictsOf(partiesOf(alone)).filter(({ level }) => level === 'red');
  return plan.stations.map((a) =>
    plan.stations.map(
      (b) => a !== b && red.some(({ from, to }) => (from.key === a.key && to.key === b.key) || (from.key === b.key && to.key === a.key)),
    ),
  );
}
