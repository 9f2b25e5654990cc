import { memo } from 'react';
import { boxOf } from '@/core/geometry/polygon';
import { along, distance, leftOf, unit, type Point } from '@/core/geometry/point';
import type { GreenPlan } from '@/core/green/plan';
import type { Routes } from '@/core/tools/landing-routes';
import type { UnitSystem } from '@/core/units/length';
import { Ground } from '../../greens/ground';
import { HoleMark, PlayLine, ScaleTape } from '../../greens/marks';
import { toPixels, type PlanView } from '../../greens/plan-view';
import type { Flown } from './fly-option';

type Props = {
  plan: GreenPlan;
  ball: Point;
  hole: Point;
  label: string;
  flown: readonly Flown[];
  chosen: number;
  routes: Routes | null;
  units: UnitSystem;
};

const WIDE = 640;
const HIGH = 400;
/** Room round the shot, in metres. */
const ROOM_M = 7;

/** While a spot is moved the green below it is not drawn anew. */
const StillGround = memo(
  Ground,
  (one, other) => one.plan === other.plan && one.system === other.system && JSON.stringify(one.view) === JSON.stringify(other.view),
);

/** The shot on the plan of its green, to scale: where each flight lands, and where to aim to be careful. */
export function ShotPlan({ plan, ball, hole, label, flown, chosen, routes, units }: Props) {
  const forward = unit(ball, hole);
  const right = leftOf(forward).map((x) => -x) as unknown as Point;
  const place = (metres: number, aside = 0) => along(along(ball, forward, metres), right, aside);
  const careful = routes?.careful && routes.careful.aim;
  const angle = careful ? (careful.rightDeg * Math.PI) / 180 : 0;
  const elsewhere = careful && (careful.rightDeg !== 0 || !routes?.bold || careful.distanceM !== routes.bold.aim.distanceM);
  const aimed = elsewhere ? place(careful.distanceM * Math.cos(angle), careful.distanceM * Math.sin(angle)) : null;
  const view = viewOf([ball, hole, ...(aimed ? [aimed] : [])]);
  const aim = aimed && toPixels(view, aimed);
  const at = (metres: number, aside = 0) => toPixels(view, place(metres, aside));
  const holeM = distance(ball, hole);
  const [bx, by] = at(0);
  const [hx, hy] = toPixels(view, hole);
  const across = unit([0, 0], [forward[1], forward[0]]);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width="100%" role="img" aria-label={label} style={{ display: 'block', borderRadius: 4 }}>
      <StillGround plan={plan} view={view} system={units} />
      <PlayLine x1={bx} y1={by} x2={hx} y2={hy} />
      <HoleMark
        x={hx}
        y={hy}
        label={plan.holes.find((one) => one.at[0] === hole[0] && one.at[1] === hole[1])?.label ?? ''}
        peg={false}
        chosen={false}
      />
      {flown.map(({ name, landsM, driftM }, i) => {
        // Aimed off by as much as the slope takes it back.
        const [x, y] = at(landsM, (-driftM * landsM) / holeM);
        const half = i === chosen ? 15 : 9;
        return (
          <line
            key={name}
            x1={x - half * across[0]}
            y1={y - half * across[1]}
            x2={x + half * across[0]}
            y2={y + half * across[1]}
            stroke="var(--ink)"
            strokeWidth={i === chosen ? 5 : 2.5}
          />
        );
      })}
      {aim && (
        <>
          <line x1={bx} y1={by} x2={aim[0]} y2={aim[1]} stroke="var(--level)" strokeWidth={1.8} strokeDasharray="7 5" />
          <g stroke="var(--level)" strokeWidth={3}>
            <line x1={aim[0] - 7} y1={aim[1] - 7} x2={aim[0] + 7} y2={aim[1] + 7} />
            <line x1={aim[0] - 7} y1={aim[1] + 7} x2={aim[0] + 7} y2={aim[1] - 7} />
          </g>
          <text
            x={aim[0]}
            y={aim[1] - 13}
            fontSize={14}
            fontWeight={750}
            textAnchor="middle"
            fill="var(--level)"
            stroke="var(--green)"
            strokeWidth={3.5}
            paintOrder="stroke"
          >
            careful
          </text>
        </>
      )}
      <circle cx={bx} cy={by} r={6.5} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />
      <ScaleTape view={view} system={units} />
    </svg>
  );
}

/** So near that all of the shot is in sight. */
function viewOf(points: readonly Point[]): PlanView {
  const { min, max } = boxOf(points);
  return {
    middle: [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2],
    perM: Math.min(WIDE / (max[0] - min[0] + 2 * ROOM_M), HIGH / (max[1] - min[1] + 2 * ROOM_M)),
    wide: WIDE,
    high: HIGH,
  };
}
