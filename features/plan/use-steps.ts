import { useState } from 'react';

/** So many steps can be taken back. */
const MOST = 50;

/** What is being planned, step by step: `change` can be taken back, `set` is what came of it by itself; `back` is null where nothing can be. */
export function useSteps<T>(first: T) {
  const [now, set] = useState(first);
  const [past, setPast] = useState<readonly T[]>([]);
  const last = past.at(-1);
  return {
    now,
    set,
    change(next: T) {
      setPast((all) => [...all, now].slice(-MOST));
      set(next);
    },
    back:
      last === undefined
        ? null
        : () => {
            setPast(past.slice(0, -1));
            set(last);
          },
  };
}
