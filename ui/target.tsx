'use client';

import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import { METRES_PER, snap, type UnitSystem } from '@/core/units/length';
import { gripProps } from './grip';
import { divide, marks } from './scale';

/** A place on the green seen from the hole, in metres: to the right of the line of play, and beyond the hole. */
export type FromHole = { right: number; beyond: number };
export type TargetRing = { radiusM: number; label: string };
/** An edge that can be taken hold of on the tape: dragged, or moved with the arrow keys, from step to step. */
export type TargetHandle = { radiusM: number; name: string; says: string; stepM: number; onMove: (radiusM: number) => void };

type Props = {
  label: string;
  rings: readonly TargetRing[];
  system: UnitSystem;
  balls?: readonly FromHole[];
  /** The ball that is being placed. */
  placing?: FromHole | null;
  /** Called while a finger or pen moves over the target. */
  onPlace?: (place: FromHole) => void;
  /** Edges that can be dragged along the tape. */
  handles?: readonly TargetHandle[];
  /** How far out it is drawn, in metres; by itself to the outermost ring. */
  reachM?: number;
  size?: number;
};

const RING_FILLS = ['var(--ring-1)', 'var(--ring-2)', 'var(--ring-3)', 'var(--ring-4)'];

/** How far out the target is drawn, in metres: the outermost ring and some green round it. */
export function targetReach(rings: readonly TargetRing[]): number {
  return Math.max(0.6, ...rings.map((ring) => ring.radiusM)) * 1.18;
}

/** The hole from above, to scale: rings, the line of play upwards, the tape laid out to the right. */
export function Target({ label, rings, system, balls = [], placing = null, onPlace, handles = [], reachM: reach, size = 340 }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const middle = size / 2;
  const reachM = reach ?? targetReach(rings);
  const k = middle / reachM;
  const at = ({ right, beyond }: FromHole) => ({ x: middle + right * k, y: middle - beyond * k });

  const bind = useDrag(
    ({ xy: [clientX, clientY] }) => {
      const box = svg.current?.getBoundingClientRect();
      if (!box || !onPlace) return;
      const limit = (value: number) => Math.max(-reachM, Math.min(reachM, value));
      onPlace({
        right: limit(((clientX - box.left) / box.width - 0.5) * 2 * reachM),
        beyond: limit((0.5 - (clientY - box.top) / box.height) * 2 * reachM),
      });
    },
    { filterTaps: false, pointer: { touch: false, keys: false } },
  );

  const division = divide(reachM, system, 5);
  const holeR = Math.max(4.5, (4.25 / 2) * METRES_PER.in * k);
  return (
    <svg
      ref={svg}
      {...(onPlace ? bind() : {})}
      viewBox={`0 0 ${size} ${size}`}
      width="100%"
      role={handles.length > 0 ? 'group' : 'img'}
      aria-label={label}
      style={{ display: 'block', borderRadius: 4, touchAction: onPlace ? 'none' : 'auto', cursor: onPlace ? 'crosshair' : 'default' }}
    >
      <rect width={size} height={size} fill="var(--turf)" />
      {Array.from({ length: 11 }, (_, i) => ((i + 1) * size) / 12).map((y) => (
        <line key={y} x1={0} x2={size} y1={y} y2={y - 14} stroke="var(--turf-2)" strokeWidth={1} />
      ))}
      {rings.toReversed().map((ring, back) => {
        const i = rings.length - 1 - back;
        return (
          <circle
            key={`${i}-${ring.radiusM}`}
            data-ring={i + 1}
            cx={middle}
            cy={middle}
            r={Math.max(0, ring.radiusM * k)}
            fill={RING_FILLS[Math.min(i, RING_FILLS.length - 1)]}
            stroke="var(--ink)"
            strokeWidth={i === 0 ? 1.8 : 1.2}
          />
        );
      })}
      <line x1={middle} x2={middle} y1={size} y2={middle} stroke="var(--ink-2)" strokeDasharray="2 5" />
      {rings.map((ring, i) => {
        const inner = rings[i - 1]?.radiusM ?? 0;
        const r = ((ring.radiusM + inner) / 2) * k;
        if ((ring.radiusM - inner) * k < 13) return null;
        return (
          <text
            key={`${i}-${ring.label}`}
            x={middle - r * 0.707}
            y={middle - r * 0.707 + 5}
            fontSize={size > 400 ? 17 : 15}
            fontWeight={700}
            textAnchor="middle"
            fill="var(--ink)"
          >
            {ring.label}
          </text>
        );
      })}
      <rect x={middle} y={middle - 6} width={middle} height={12} fill="var(--tape)" />
      {marks(reachM, division).map(({ atM, label: text }) => (
        <g key={atM}>
          <line x1={middle + atM * k} x2={middle + atM * k} y1={middle + 6} y2={middle + (text ? -1 : 2)} stroke="var(--tape-ink)" />
          {text && atM > 0 && handles.length === 0 && middle + atM * k < size - 8 && (
            <text x={middle + atM * k} y={middle + 20} fontSize={11.5} textAnchor="middle" fill="var(--ink-2)">
              {text}
            </text>
          )}
        </g>
      ))}
      <circle cx={middle} cy={middle} r={holeR} fill="var(--hole)" />
      {balls.map((ball, i) => (
        <circle key={i} cx={at(ball).x} cy={at(ball).y} r={5} fill="var(--card)" stroke="var(--ink)" strokeWidth={1.8} />
      ))}
      {placing && (
        <g>
          <path d={`M${at(placing).x},${at(placing).y} L${middle},${middle}`} stroke="var(--ink)" strokeWidth={1.6} />
          <circle cx={at(placing).x} cy={at(placing).y} r={9} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2.4} />
          <path
            d={`M${at(placing).x - 26},${at(placing).y} h14 m24,0 h14 M${at(placing).x},${at(placing).y - 26} v14 m0,24 v14`}
            stroke="var(--ink)"
            strokeWidth={1.6}
          />
        </g>
      )}
      {handles.map((handle, i) => (
        <Handle key={handle.name} handle={handle} below={i % 2 === 1} middle={middle} k={k} reachM={reachM} svg={svg} />
      ))}
      <text x={8} y={19} fontSize={13} fontWeight={600} fill="var(--ink)">
        long
      </text>
      <text x={8} y={size - 9} fontSize={13} fontWeight={600} fill="var(--ink)">
        short
      </text>
    </svg>
  );
}

type HandleProps = {
  handle: TargetHandle;
  /** Its figure stands below the tape: every second one, so that two never meet. */ below: boolean;
  middle: number;
  k: number;
  reachM: number;
  svg: React.RefObject<SVGSVGElement | null>;
};

/** A grip on the tape. It moves from step to step, never into the hole, and as far as the drawing reaches. */
function Handle({ handle: { radiusM, name, says, stepM, onMove }, below, middle, k, reachM, svg }: HandleProps) {
  const most = Math.floor((reachM * 0.99) / stepM) * stepM;
  const to = (metres: number) => {
    const next = snap(Math.min(most, Math.max(stepM, Math.round(metres / stepM) * stepM)));
    if (next !== radiusM) onMove(next);
  };
  const bind = useDrag(
    ({ xy: [clientX], event }) => {
      event.stopPropagation();
      const box = svg.current?.getBoundingClientRect();
      if (box) to(((clientX - box.left) / box.width - 0.5) * ((2 * middle) / k));
    },
    { pointer: { touch: true }, filterTaps: true },
  );
  const x = middle + radiusM * k;
  return (
    <g
      {...bind()}
      {...gripProps({ name, says, value: radiusM, most, onStep: (steps) => to(radiusM + steps * stepM) })}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
    >
      <rect x={x - 20} y={middle - 24} width={40} height={48} fill="transparent" />
      <rect x={x - 7} y={middle - 14} width={14} height={28} rx={3} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />
      <line x1={x} x2={x} y1={middle - 6} y2={middle + 6} stroke="var(--ink)" strokeWidth={1.4} />
      <text x={x} y={below ? middle + 28 : middle - 19} fontSize={13} fontWeight={700} textAnchor="middle" fill="var(--ink)">
        {says}
      </text>
    </g>
  );
}
