'use client';

import { HOLE_R, type PuttGround } from '@/core/physics/putt';
import { pathOf, type PacePlayed, type PuttPlan } from '@/core/tools/putt-line';
import { sayAim, sayPace } from '@/core/tools/say-putt';
import { formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { divide, marks } from '@/ui/scale';
import styles from './putts.module.scss';

type Props = {
  distanceM: number;
  ground: PuttGround;
  plans: readonly { key: PacePlayed; plan: PuttPlan }[];
  chosen: PacePlayed;
  units: UnitSystem;
};

const HEIGHT = 520;
const BOTTOM = 36;
const TOP = 74;
const MOST_WIDTH = 460;
const LEAST_WIDTH = 250;
const TAPE = 44;

/** A putt from above, to scale: the ball below, the hole above, the way of each pace, and the spot to aim at. */
export function PuttView({ distanceM, ground, plans, chosen, units }: Props) {
  const paths = plans.map(({ key, plan }) => ({ key, plan, path: pathOf(distanceM, plan, ground) }));
  const reach = Math.max(
    HOLE_R * 5,
    ...plans.map(({ plan }) => Math.abs(plan.asideM) * 1.2),
    ...paths.flatMap(({ path }) => path.map(([x]) => Math.abs(x) * 1.2)),
  );
  const k = Math.min((HEIGHT - TOP - BOTTOM) / distanceM, (MOST_WIDTH - TAPE) / 2 / reach);
  const width = Math.max(LEAST_WIDTH, TAPE + 2 * reach * k + 40);
  const middle = TAPE + (width - TAPE) / 2;
  const x = (right: number) => middle + right * k;
  const y = (ahead: number) => TOP + (distanceM - ahead) * k;
  const height = y(0) + BOTTOM;
  const [rightUp, up] = ground.slopeAt([0, distanceM / 2]);
  const steep = Math.hypot(rightUp, up);
  const division = divide(distanceM, units, 9);
  const mark = plans.find(({ key }) => key === chosen)!;
  // The hole is drawn no smaller than can be seen.
  const holeR = Math.max(6, HOLE_R * k);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={styles.view}
      style={{ maxWidth: width * 1.05 }}
      role="img"
      aria-label={`From above: aim ${sayAim(mark.plan.asideM, units)}, ${sayPace(chosen, units).toLowerCase()}`}
    >
      <rect width={width} height={height} rx={4} fill="var(--green)" />
      <rect x={8} y={y(distanceM)} width={18} height={distanceM * k} fill="var(--tape)" />
      {marks(distanceM, division).map(({ atM, label }) => (
        <g key={atM}>
          <line
            x1={8}
            x2={label ? 20 : 14}
            y1={y(distanceM - atM)}
            y2={y(distanceM - atM)}
            stroke="var(--tape-ink)"
            strokeWidth={label ? 2 : 1.2}
          />
          {label && atM > 0 && (
            <text x={30} y={y(distanceM - atM) + 4} fontSize={12} fontWeight={700}>
              {label}
            </text>
          )}
        </g>
      ))}
      <line x1={x(0)} x2={x(0)} y1={y(0)} y2={y(distanceM)} stroke="var(--line-2)" strokeDasharray="2 6" />
      {steep > 5e-4 && <Falls x={width - 34} y={height - 42} right={-rightUp / steep} ahead={-up / steep} percent={100 * steep} />}
      {paths
        .filter(({ key }) => key !== chosen)
        .map(({ key, path }) => (
          <polyline
            key={key}
            points={path.map(([px, py]) => `${x(px).toFixed(1)},${y(py).toFixed(1)}`).join(' ')}
            fill="none"
            stroke="var(--line-2)"
            strokeWidth={1.6}
            strokeDasharray={key === 'firm' ? '8 5' : '2 5'}
          />
        ))}
      <line x1={x(0)} x2={x(mark.plan.asideM)} y1={y(0)} y2={y(distanceM)} stroke="var(--ink)" strokeWidth={1.2} strokeDasharray="6 5" />
      <rect
        x={x(mark.plan.window.fromM)}
        y={y(distanceM) - 4}
        width={Math.max(2, (mark.plan.window.toM - mark.plan.window.fromM) * k)}
        height={8}
        fill="var(--tape)"
        stroke="var(--tape-ink)"
        strokeWidth={0.8}
      />
      <polyline
        points={paths
          .find(({ key }) => key === chosen)!
          .path.map(([px, py]) => `${x(px).toFixed(1)},${y(py).toFixed(1)}`)
          .join(' ')}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={3.4}
        strokeLinejoin="round"
      />
      <circle cx={x(0)} cy={y(distanceM)} r={holeR} fill="var(--ink)" />
      <path d={`M${x(0)},${y(distanceM)} v-52 l20,8 l-20,8`} fill="var(--hole)" stroke="var(--hole)" strokeWidth={2} />
      <g stroke="var(--ink)" strokeWidth={2.6}>
        <line x1={x(mark.plan.asideM) - 7} x2={x(mark.plan.asideM) + 7} y1={y(distanceM) - 7} y2={y(distanceM) + 7} />
        <line x1={x(mark.plan.asideM) - 7} x2={x(mark.plan.asideM) + 7} y1={y(distanceM) + 7} y2={y(distanceM) - 7} />
      </g>
      <circle cx={x(0)} cy={y(0)} r={6.5} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />
      <text x={x(0) + 14} y={y(0) + 5} fontSize={14} fontWeight={700}>
        {formatLength(distanceM, units === 'metric' ? 'm' : 'ft')}
      </text>
    </svg>
  );
}

/** An arrow down the slope. */
function Falls({ x, y, right, ahead, percent }: { x: number; y: number; right: number; ahead: number; percent: number }) {
  const angle = (Math.atan2(right, ahead) * 180) / Math.PI;
  return (
    <g transform={`translate(${x} ${y})`}>
      <g transform={`rotate(${angle})`}>
        <path d="M0,15 V-9" stroke="var(--level)" strokeWidth={4} />
        <path d="M0,-18 l8,12 h-16 z" fill="var(--level)" />
      </g>
      <text y={36} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--level)">
        {percent.toFixed(1)}%
      </text>
    </g>
  );
}
