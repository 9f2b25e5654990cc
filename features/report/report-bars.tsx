import type { ReportShot } from '@/core/report/report';
import type { StrokesAs } from '@/core/units/strokes';

const WIDTH = 170;
const HEIGHT = 18;

/** A shot of a report as a point with its range; the dashed line is the level, and what is worse than it lies to the right. */
export function ReportBars({ shot: { mean, low, high }, all, as }: { shot: ReportShot; all: readonly ReportShot[]; as: StrokesAs }) {
  const sign = as === 'lost' ? 1 : -1;
  const ends = [0, ...all.flatMap((one) => [one.low, one.high])].map((value) => sign * value);
  const [from, to] = [Math.min(...ends), Math.max(...ends)];
  const x = (value: number) => 5 + ((WIDTH - 10) * (sign * value - from)) / Math.max(1e-9, to - from);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width={WIDTH} height={HEIGHT} aria-hidden="true">
      <line x1={x(0)} x2={x(0)} y1={1} y2={HEIGHT - 1} stroke="var(--level)" strokeWidth={1.4} strokeDasharray="3 2" />
      <line x1={x(low)} x2={x(high)} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--ink)" strokeWidth={2} />
      <circle cx={x(mean)} cy={HEIGHT / 2} r={4.2} fill="var(--ink)" />
    </svg>
  );
}
