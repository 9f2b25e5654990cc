import type { Hour } from '@/core/hour/hour';
import type { Run } from '@/core/hour/run-schema';
import styles from './hour.module.scss';

/** The hour as a tape: yellow as far as it has gone, a long mark wherever a part ends. */
export function HourTape({ hour, run, goneS = 0 }: { hour: Hour; run: Run | null; goneS?: number }) {
  const parts = run ? run.parts.filter(({ state }) => state !== 'skipped') : hour.parts;
  const ends: number[] = [];
  for (const { minutes } of parts) ends.push((ends.at(-1) ?? 0) + minutes);
  const total = Math.max(1, ends.at(-1) ?? 1, goneS / 60);
  const x = (minute: number) => (360 * minute) / total;
  return (
    <svg
      viewBox="0 0 360 22"
      preserveAspectRatio="none"
      className={styles.tape}
      role="progressbar"
      aria-label="The hour"
      aria-valuemin={0}
      aria-valuemax={Math.round(total)}
      aria-valuenow={Math.round(goneS / 60)}
    >
      <rect width={360} height={22} fill="var(--line)" />
      <rect width={run ? x(goneS / 60) : 360} height={22} fill="var(--tape)" />
      {Array.from({ length: Math.ceil(total) - 1 }, (_, i) => i + 1).map((minute) => (
        <line
          key={minute}
          x1={x(minute)}
          x2={x(minute)}
          y1={22}
          y2={17}
          stroke="var(--tape-ink)"
          strokeWidth={0.8}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {ends.slice(0, -1).map((minute, i) => (
        <line
          key={i}
          x1={x(minute)}
          x2={x(minute)}
          y1={22}
          y2={0}
          stroke="var(--tape-ink)"
          strokeWidth={2}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
