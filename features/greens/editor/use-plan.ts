'use client';

import { useReducer } from 'react';
import type { GreenPlan } from '@/core/green/plan';

const MOST_STEPS = 200;

type State = {
  past: GreenPlan[];
  now: GreenPlan;
  future: GreenPlan[];
  /** What changed last: a change of the same thing is the same step. */
  tag: string | null;
  /** The plan before something was taken hold of, while it is being dragged. */
  held: GreenPlan | null;
};
type Step = { do: 'change'; plan: GreenPlan; tag: string | null } | { do: 'drag'; plan: GreenPlan } | { do: 'drop' | 'undo' | 'redo' };

function next(state: State, step: Step): State {
  const { past, now, future, tag, held } = state;
  switch (step.do) {
    case 'change': {
      if (step.plan === now) return state;
      const goesOn = step.tag !== null && step.tag === tag;
      return { past: goesOn ? past : [...past, now].slice(-MOST_STEPS), now: step.plan, future: [], tag: step.tag, held: null };
    }
    case 'drag':
      return { ...state, now: step.plan, held: held ?? now };
    case 'drop':
      if (!held) return state;
      return {
        past: held === now ? past : [...past, held].slice(-MOST_STEPS),
        now,
        future: held === now ? future : [],
        tag: null,
        held: null,
      };
    case 'undo': {
      const before = past.at(-1);
      return before ? { past: past.slice(0, -1), now: before, future: [now, ...future], tag: null, held: null } : state;
    }
    case 'redo': {
      const after = future[0];
      return after ? { past: [...past, now], now: after, future: future.slice(1), tag: null, held: null } : state;
    }
  }
}

/** A plan being edited, with undo: a drag is one step, and so is typing in one field. */
export function usePlan(initial: GreenPlan) {
  const [state, dispatch] = useReducer(next, { past: [], now: initial, future: [], tag: null, held: null });
  return {
    plan: state.now,
    dragging: state.held !== null,
    canUndo: state.past.length > 0,
    canRedo: state.future.length > 0,
    change: (plan: GreenPlan, tag: string | null = null) => dispatch({ do: 'change', plan, tag }),
    drag: (plan: GreenPlan) => dispatch({ do: 'drag', plan }),
    drop: () => dispatch({ do: 'drop' }),
    undo: () => dispatch({ do: 'undo' }),
    redo: () => dispatch({ do: 'redo' }),
  };
}
