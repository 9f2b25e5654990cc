type Props = { mean: number; low: number; high: number; from: number; to: number; label: string };

const WIDTH = 160;
const HEIGHT = 20;

/** A figure as a point with its interval as a line; the dashed line is nothing lost, the level. */
export function Interval({ mean, low, high, from, to, label }: Props) {
  const x = (value: number) => 4 + ((WIDTH - 8) * (Math.min(to, Math.max(from, value)) - from)) / Math.max(1e-9, to - from);
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" height={HEIGHT} preserveAspectRatio="none" role="img" aria-label={label}>
      <line x1={x(0)} x2={x(0)} y1={1} y2={HEIGHT - 1} stroke="var(--level)" strokeWidth={1.4} strokeDasharray="3 2" />
      <line x1={x(low)} x2={x(high)} y1={HEIGHT / 2} y2={HEIGHT / 2} stroke="var(--ink)" strokeWidth={2} />
      <ellipse cx={x(mean)} cy={HEIGHT / 2} rx={4.5} ry={4.5} fill="var(--ink)" />
    </svg>
  );
}
