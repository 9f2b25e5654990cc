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
      {Array.from({ length: Math.ceil(total) - 1 }, (_, i) => (
        <Tick key={i} x={x(i + 1)} from={17} width={0.8} />
      ))}
      {ends.slice(0, -1).map((minute, i) => (
        <Tick key={`end ${i}`} x={x(minute)} from={0} width={2} />
      ))}
    </svg>
  );
}

const Tick = ({ x, from, width }: { x: number; from: number; width: number }) => (
  <line x1={x} x2={x} y1={22} y2={from} stroke="var(--tape-ink)" strokeWidth={width} vectorEffect="non-scaling-stroke" />
);
