'use client';

import { createContext, memo, use, type ReactNode } from 'react';
import type { Item } from '@/core/green/edit';
import type { StationFacts } from '@/core/green/facts';
import { greenPlanSchema, type GreenPlan, type PlanStation } from '@/core/green/plan';
import type { UnitSystem } from '@/core/units/length';

/** What every panel of the editor works with. */
export type Editing = {
  plan: GreenPlan;
  system: UnitSystem;
  /** The coach's own pace, in metres; null where it was never measured. */
  paceM: number | null;
  /** Whether something is being dragged just now. */
  dragging: boolean;
  item: Item | null;
  choose: (item: Item | null) => void;
  change: (plan: GreenPlan, tag?: string | null) => void;
  factsFor: (station: PlanStation) => StationFacts;
  /** Says that what stands in a field cannot be used, or can again. */
  report: (field: string, wrong: boolean) => void;
};

export const EditingContext = createContext<Editing | null>(null);

export function useEditing(): Editing {
  const editing = use(EditingContext);
  if (!editing) throw new Error('Outside the green editor.');
  return editing;
}

/** Holds still what stands in it while something is dragged: what nobody reads then is not worth a frame. */
export function Still({ children }: { children: ReactNode }) {
  const editing = useEditing();
  return <Held editing={editing}>{children}</Held>;
}
const Held = memo(
  function Held({ editing, children }: { editing: Editing; children: ReactNode }) {
    return <EditingContext value={editing}>{children}</EditingContext>;
  },
  (_, next) => next.editing.dragging,
);

/** What is wrong with a plan at one of its paths, in a sentence. */
export function faultAt(plan: GreenPlan, path: string): string | undefined {
  return greenPlanSchema.safeParse(plan).error?.issues.find((issue) => issue.path.join('.') === path)?.message;
}
