'use client';

import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import type { Part } from '@/core/hour/hour';
import { gripProps } from '@/ui/grip';
import styles from './hour.module.scss';

type Props = {
  parts: readonly Part[];
  /** Moves the end of a part to a minute of the hour. */
  onMove: (at: number, minute: number) => void;
};

/** The minutes of an hour as a tape, with a handle wherever one part ends and the next begins. */
export function MinutesTape({ parts, onMove }: Props) {
  const tape = useRef<HTMLDivElement>(null);
  const total = parts.reduce((sum, { minutes }) => sum + minutes, 0);
  const bind = useDrag(
    ({ args: [at], xy: [x], event }) => {
      event.preventDefault();
      const box = tape.current?.getBoundingClientRect();
      if (box) onMove(at as number, Math.round(((x - box.left) / box.width) * total));
    },
    { filterTaps: true, pointer: { keys: false } },
  );
  const step = total > 60 ? 10 : 5;
  const ends = parts.map((_, at) => parts.slice(0, at + 1).reduce((sum, { minutes }) => sum + minutes, 0));
  return (
    <div className={styles.tape} ref={tape}>
      <svg viewBox={`0 0 ${total} 10`} preserveAspectRatio="none" aria-hidden="true">
        {Array.from({ length: total - 1 }, (_, i) => i + 1).map((minute) => (
          <line
            key={minute}
            x1={minute}
            x2={minute}
            y1={10}
            y2={minute % step === 0 ? 4 : 8}
            stroke="var(--tape-ink)"
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      {Array.from({ length: Math.max(0, Math.ceil(total / step) - 2) }, (_, i) => (i + 1) * step).map((minute) => (
        <span key={minute} className={styles.mark} style={{ left: `${(100 * minute) / total}%` }}>
          {minute}
        </span>
      ))}
      <span className={styles.total}>{total} min</span>
      {parts.slice(0, -1).map((part, at) => {
        const here = ends[at]!;
        return (
          <div
            key={part.key}
            {...(bind(at) as object)}
            {...gripProps({
              name: `Where ${part.title} ends`,
              says: `${here} minutes`,
              value: here,
              most: total,
              onStep: (steps) => onMove(at, here + steps),
            })}
            className={styles.handle}
            style={{ left: `${(100 * here) / total}%` }}
          />
        );
      })}
    </div>
  );
}
