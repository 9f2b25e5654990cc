import type { Spread } from '@/core/board/inside';
import type { Finish } from '@/core/board/inside';
import { formatLeft } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';

type Props = { label: string; finishes: readonly Finish[]; spread: Spread; system: UnitSystem };

const SIZE = 190;
const MIDDLE = SIZE / 2;

/** Where balls stopped, seen from above with the line of play upwards: the hole in the middle, the middle of the misses joined to it. */
export function Scatter({ label, finishes, spread, system }: Props) {
  const far = finishes.map(({ right, beyond }) => Math.hypot(right, beyond)).sort((a, b) => a - b);
  const reachM = Math.max(0.6, (far[Math.floor(far.length * 0.95)] ?? 1) * 1.12);
  const k = (MIDDLE - 4) / reachM;
  const at = ({ right, beyond }: Finish) => ({
    x: MIDDLE + Math.max(-MIDDLE + 4, Math.min(MIDDLE - 4, right * k)),
    y: MIDDLE - Math.max(-MIDDLE + 4, Math.min(MIDDLE - 4, beyond * k)),
  });
  const middle = at(spread.middle);
  const { ellipse } = spread;
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} width="100%" role="img" aria-label={label} style={{ background: 'var(--green)', borderRadius: 3 }}>
      {[1 / 3, 2 / 3, 1].map((share) => (
        <circle key={share} cx={MIDDLE} cy={MIDDLE} r={(MIDDLE - 4) * share} fill="none" stroke="var(--line-2)" strokeWidth={0.7} />
      ))}
      {ellipse && (
        <ellipse
          cx={middle.x}
          cy={middle.y}
          rx={ellipse.short * k}
          ry={ellipse.long * k}
          transform={`rotate(${ellipse.turnDeg} ${middle.x} ${middle.y})`}
          fill="var(--lose-2)"
          fillOpacity={0.55}
          stroke="var(--lose-ink)"
          strokeWidth={1}
        />
      )}
      {finishes.map((finish, i) => {
        const { x, y } = at(finish);
        return <circle key={i} cx={x} cy={y} r={2.3} fill="var(--ink)" />;
      })}
      <line x1={MIDDLE} y1={MIDDLE} x2={middle.x} y2={middle.y} stroke="var(--hole)" strokeWidth={2} />
      <circle cx={MIDDLE} cy={MIDDLE} r={4.4} fill="var(--hole)" />
      <text x={6} y={14} fontSize={11.5} fill="var(--ink-2)">
        long
      </text>
      <text x={6} y={SIZE - 6} fontSize={11.5} fill="var(--ink-2)">
        short
      </text>
      <text x={SIZE - 5} y={SIZE - 6} fontSize={11} textAnchor="end" fill="var(--ink-2)">
        edge {formatLeft(reachM, system)}
      </text>
    </svg>
  );
}
