import type { GreenPlan } from '@/core/green/plan';
import type { UnitSystem } from '@/core/units/length';
import { Ground } from './ground';
import { HoleMark, PlayLine, ScaleTape, StationMark } from './marks';
import { fitted, toPixels } from './plan-view';

type Props = {
  plan: GreenPlan;
  system: UnitSystem;
  label: string;
  wide?: number;
  high?: number;
  /** The stations to show by their keys, in the order of their numbers; without it all of the plan. */
  stations?: readonly { place: string | null }[];
  /** A small one has no scale and no lines. */
  small?: boolean;
};

/** A plan as a picture, to scale: for lists, for the page of a game, and for paper. */
export function PlanPicture({ plan, system, label, wide = 640, high = 440, stations, small = false }: Props) {
  const shown = stations ? stations.map(({ place }) => plan.stations.find((one) => one.key === place)) : plan.stations;
  const holes = new Set(shown.map((station) => station?.hole));
  const view = fitted({ ...plan, areas: small ? [] : plan.areas, groups: [] }, wide, high, small ? 3 : 4);
  return (
    <svg viewBox={`0 0 ${wide} ${high}`} width="100%" role="img" aria-label={label} style={{ display: 'block', maxWidth: wide * 1.5 }}>
      <Ground plan={plan} view={view} system={system} grid={!small} />
      {shown.map((station, i) => {
        const hole = plan.holes.find((one) => one.key === station?.hole);
        if (!station || !hole || small) return null;
        const [[x1, y1], [x2, y2]] = [toPixels(view, station.at), toPixels(view, hole.at)];
        return <PlayLine key={i} x1={x1} y1={y1} x2={x2} y2={y2} />;
      })}
      {plan.holes.map((hole) => {
        const [x, y] = toPixels(view, hole.at);
        if (stations && !holes.has(hole.key)) return null;
        if (small) return <circle key={hole.key} cx={x} cy={y} r={4} fill="var(--flag)" />;
        return <HoleMark key={hole.key} x={x} y={y} label={hole.label} peg={hole.target === 'peg'} chosen={false} />;
      })}
      {shown.map((station, i) => {
        if (!station) return null;
        const [x, y] = toPixels(view, station.at);
        if (small)
          return <rect key={i} x={x - 4} y={y - 4} width={8} height={8} fill="var(--card)" stroke="var(--ink)" strokeWidth={1.5} />;
        return <StationMark key={i} x={x} y={y} no={i + 1} chosen={false} warned={false} />;
      })}
      {!small && <ScaleTape view={view} system={system} />}
    </svg>
  );
}
