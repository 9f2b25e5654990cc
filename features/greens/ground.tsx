import { memo } from 'react';
import { polygonCentroid } from 'd3-polygon';
import { boxOf, contains, type Outline } from '@/core/geometry/polygon';
import type { Point } from '@/core/geometry/point';
import type { GreenPlan } from '@/core/green/plan';
import { fallOf, gradientOf } from '@/core/green/slope';
import { say } from '@/core/golf/words';
import type { UnitSystem } from '@/core/units/length';
import { toPixels, type PlanView } from './plan-view';

/** A closed path, in metres with up pointing up. */
const pathOf = (outline: Outline) => (outline.length === 0 ? '' : `M${outline.map(([x, y]) => `${x},${y}`).join('L')}Z`);

const FILL = {
  sand: 'var(--sand)',
  fairway: 'var(--fairway)',
  light_rough: 'var(--rough)',
  heavy_rough: 'var(--rough-2)',
  bare: 'var(--bare)',
} as const;

type ShapesProps = Pick<GreenPlan, 'outline' | 'fringeM' | 'areas'>;

/** The shapes of the place in metres: it is drawn once and only moved, however the view changes. */
const Shapes = memo(function Shapes({ outline, fringeM, areas }: ShapesProps) {
  return (
    <>
      {areas.map(
        (area) =>
          area.kind !== 'sand' && (
            <path
              key={area.key}
              d={pathOf(area.outline)}
              fill={FILL[area.kind]}
              stroke="var(--line-2)"
              vectorEffect="non-scaling-stroke"
              strokeDasharray="5 4"
            />
          ),
      )}
      <path d={pathOf(outline)} fill="none" stroke="var(--fringe)" strokeWidth={2 * fringeM} strokeLinejoin="round" />
      <path d={pathOf(outline)} fill="var(--green)" stroke="var(--ink)" strokeWidth={1.8} vectorEffect="non-scaling-stroke" />
      {areas.map(
        (area) =>
          area.kind === 'sand' && (
            <path
              key={area.key}
              d={pathOf(area.outline)}
              fill={FILL.sand}
              stroke="var(--ink)"
              strokeWidth={1.5}
              vectorEffect="non-scaling-stroke"
            />
          ),
      )}
    </>
  );
});

type Props = {
  plan: Pick<GreenPlan, 'outline' | 'fringeM' | 'areas' | 'slope' | 'around'>;
  view: PlanView;
  system: UnitSystem;
  grid?: boolean;
};

/** The green, its fringe and what lies around it, with where it falls. */
export const Ground = memo(function Ground({ plan, view, system, grid = true }: Props) {
  const { perM, wide, high } = view;
  const [ox, oy] = toPixels(view, [0, 0]);
  // A square of the grid is 5 yd, or 5 m.
  const square = (system === 'metric' ? 5 : 5 * 0.9144) * perM;
  const { outline, fringeM, areas, slope, around } = plan;
  return (
    <>
      <rect width={wide} height={high} fill={FILL[around]} />
      {grid && square > 7 && (
        <>
          <pattern id="grid" x={ox} y={oy} width={square} height={square} patternUnits="userSpaceOnUse">
            <path d={`M0,0H${square}M0,0V${square}`} stroke="var(--grid)" fill="none" />
          </pattern>
          <rect width={wide} height={high} fill="url(#grid)" />
        </>
      )}
      <g transform={`translate(${ox} ${oy}) scale(${perM} ${-perM})`}>
        <Shapes outline={outline} fringeM={fringeM} areas={areas} />
      </g>
      {grid && <Names areas={areas} view={view} />}
      <Fall outline={outline} slope={slope} view={view} />
    </>
  );
});

/** What the areas are, where they are large enough to be written on; a bunker is one without words. */
const Names = memo(function Names({ areas, view }: { areas: GreenPlan['areas']; view: PlanView }) {
  return areas.map((area) => {
    if (area.kind === 'sand' || area.outline.length < 3) return null;
    const { min, max } = boxOf(area.outline);
    if ((max[0] - min[0]) * view.perM < 100 || (max[1] - min[1]) * view.perM < 16) return null;
    const [x, y] = toPixels(view, polygonCentroid(area.outline as [number, number][]));
    return (
      <text key={area.key} x={x} y={y + 4} fontSize={12} textAnchor="middle" fill="var(--ink-2)" pointerEvents="none">
        {say(area.kind)}
      </text>
    );
  });
});

/** Arrows that point down the fall, the more the steeper. */
const Fall = memo(function Fall({ outline, slope, view }: { outline: Outline; slope: GreenPlan['slope']; view: PlanView }) {
  const fall = fallOf(gradientOf(slope));
  if (!fall || outline.length < 3) return null;
  const { min, max } = boxOf(outline);
  const stepM = Math.max(2.5, 46 / view.perM);
  const places: Point[] = [];
  for (let x = min[0] + stepM / 2; x < max[0]; x += stepM)
    for (let y = min[1] + stepM / 2; y < max[1]; y += stepM) if (places.length < 160 && contains(outline, [x, y])) places.push([x, y]);
  const length = Math.min(34, 9 + 5 * fall.percent);
  return places.map((place, i) => {
    const [x, y] = toPixels(view, place);
    return (
      <path
        key={i}
        d={`M0,${length / 2} V${-length / 2} m-4,7 l4,-7 l4,7`}
        transform={`translate(${x} ${y}) rotate(${fall.towardsDeg})`}
        fill="none"
        stroke="var(--line-2)"
        strokeWidth={1.3}
        opacity={0.75}
        pointerEvents="none"
      />
    );
  });
});
