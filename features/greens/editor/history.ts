import type { GreenPlan } from '@/core/green/plan';

const MOST_STEPS = 200;

/** A plan being edited, with the steps that can be taken back and done again. */
export type History = {
  past: GreenPlan[];
  now: GreenPlan;
  future: GreenPlan[];
  /** What changed last: a change of the same thing is the same step. */
  tag: string | null;
  /** The plan before something was taken hold of, while it is being dragged. */
  held: GreenPlan | null;
};

export function historyOf(plan: GreenPlan): History {
  return { past: [], now: plan, future: [], tag: null, held: null };
}

/** After a change; one with the tag of the last is the same step, such as typing in one field. */
export function changed(history: History, plan: GreenPlan, tag: string | null = null): History {
  const { past, now } = history;
  if (plan === now) return history;
  const goesOn = tag !== null && tag === history.tag;
  return { past: goesOn ? past : [...past, now].slice(-MOST_STEPS), now: plan, future: [], tag, held: null };
}

/** While something is dragged: one step, however often it moves. */
export function dragged(history: History, plan: GreenPlan): History {
  return { ...history, now: plan, held: history.held ?? history.now };
}

export function dropped(history: History): History {
  const { past, now, held } = history;
  if (!held) return history;
  return held === now
    ? { ...history, tag: null, held: null }
    : { past: [...past, held].slice(-MOST_STEPS), now, future: [], tag: null, held: null };
}

export function undone(history: History): History {
  const { past, now, future } = history;
  const before = past.at(-1);
  return before ? { past: past.slice(0, -1), now: before, future: [now, ...future], tag: null, held: null } : history;
}

export function redone(history: History): History {
  const { past, now, future } = history;
  const after = future[0];
  return after ? { past: [...past, now], now: after, future: future.slice(1), tag: null, held: null } : history;
}
