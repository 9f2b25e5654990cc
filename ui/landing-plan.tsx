'use client';

import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import { snap } from '@/core/units/length';
import { gripProps } from './grip';

type Grip = { name: string; says: string; stepM: number; onMove: (metres: number) => void };

type Props = {
  label: string;
  /** From the ball to the hole, in metres. */
  distanceM: number;
  carryM: number;
  shape: 'circle' | 'strip' | 'peg';
  sizeM: number;
  /** The zone round the hole; null where landing is enough. */
  finishM: number | null;
  /** Figures beside the zones, where nothing can be dragged. */
  figures?: { carry: string; size: string; finish: string | null };
  carry?: Grip;
  size?: Grip;
  finish?: Grip;
};

const WIDTH = 340;
const HEIGHT = 460;
const MIDDLE = WIDTH / 2;

/** One station from above, to scale: the ball below, the line of play upwards, where to land and where to finish. */
export function LandingPlan({ label, distanceM, carryM, shape, sizeM, finishM, figures, carry, size, finish }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const reachM = Math.max(distanceM + (finishM ?? 0), carryM + sizeM) * 1.08;
  const k = Math.min((HEIGHT - 44) / reachM, (WIDTH * 0.46) / Math.max(sizeM, finishM ?? 0.1));
  const y = (metres: number) => HEIGHT - 22 - metres * k;
  const drawnM = Math.max(sizeM * k, 3);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="group"
      aria-label={label}
      style={{ display: 'block', borderRadius: 4 }}
    >
      <rect width={WIDTH} height={HEIGHT} fill="var(--turf)" />
      {Array.from({ length: 14 }, (_, i) => ((i + 1) * HEIGHT) / 15).map((at) => (
        <line key={at} x1={0} x2={WIDTH} y1={at} y2={at - 14} stroke="var(--turf-2)" strokeWidth={1} />
      ))}
      {finishM !== null && (
        <circle cx={MIDDLE} cy={y(distanceM)} r={finishM * k} fill="var(--ring-2)" stroke="var(--ink)" strokeWidth={1.4} />
      )}
      <line x1={MIDDLE} x2={MIDDLE} y1={HEIGHT} y2={y(distanceM)} stroke="var(--ink-2)" strokeDasharray="2 5" />
      {shape === 'strip' ? (
        <rect
          x={28}
          y={y(carryM) - drawnM}
          width={WIDTH - 56}
          height={2 * drawnM}
          fill="var(--ring-1)"
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
      ) : (
        <circle
          cx={MIDDLE}
          cy={y(carryM)}
          r={drawnM}
          fill="var(--ring-1)"
          stroke="var(--ink)"
          strokeWidth={1.6}
          strokeDasharray={shape === 'peg' ? '5 3' : 'none'}
        />
      )}
      {shape === 'peg' && <path d={`M${MIDDLE},${y(carryM) + 5} v-16`} stroke="var(--ink)" strokeWidth={3} />}
      <rect x={10} y={y(distanceM)} width={10} height={HEIGHT - 22 - y(distanceM)} fill="var(--tape)" />
      <rect x={10} y={HEIGHT - 25} width={10} height={4} fill="var(--hole)" />
      <circle cx={MIDDLE} cy={y(distanceM)} r={5} fill="var(--hole)" />
      <circle cx={MIDDLE} cy={HEIGHT - 22} r={6} fill="var(--card)" stroke="var(--ink)" strokeWidth={1.8} />
      {figures && (
        <g fontSize={14} fontWeight={700} fill="var(--ink)">
          <text x={26} y={shape === 'strip' ? y(carryM) - drawnM - 6 : y(carryM) + 5}>
            {figures.carry}
          </text>
          {shape === 'strip' ? (
            <text x={WIDTH - 28} y={y(carryM) + drawnM + 17} textAnchor="end">
              {figures.size} each side
            </text>
          ) : (
            <text x={MIDDLE + Math.min(drawnM, 120) + 8} y={y(carryM) - Math.min(drawnM, 10)}>
              {figures.size}
            </text>
          )}
          {finishM !== null && figures.finish && (
            <text x={MIDDLE + finishM * k + 6} y={y(distanceM) + 5}>
              {figures.finish}
            </text>
          )}
        </g>
      )}
      {size && (
        <Knob
          grip={size}
          x={MIDDLE + (shape === 'strip' ? 90 : 0)}
          y={y(carryM + sizeM)}
          at={(metres) => metres - carryM}
          value={sizeM}
          k={k}
          svg={svg}
        />
      )}
      {finish && finishM !== null && (
        <Knob grip={finish} x={MIDDLE} y={y(distanceM + finishM)} at={(metres) => metres - distanceM} value={finishM} k={k} svg={svg} />
      )}
      {carry && <Knob grip={carry} x={15} y={y(carryM)} at={(metres) => metres} value={carryM} k={k} svg={svg} />}
    </svg>
  );
}

type KnobProps = {
  grip: Grip;
  x: number;
  y: number;
  /** What a place on the line of play, in metres from the ball, is as this value. */
  at: (metres: number) => number;
  value: number;
  k: number;
  svg: React.RefObject<SVGSVGElement | null>;
};

function Knob({ grip: { name, says, stepM, onMove }, x, y, at, value, k, svg }: KnobProps) {
  const to = (metres: number) => {
    const next = snap(Math.max(stepM, Math.round(metres / stepM) * stepM));
    if (next !== value) onMove(next);
  };
  const bind = useDrag(
    ({ xy: [, clientY] }) => {
      const box = svg.current?.getBoundingClientRect();
      if (box) to(at((HEIGHT - 22 - ((clientY - box.top) / box.height) * HEIGHT) / k));
    },
    { pointer: { touch: true }, filterTaps: true },
  );
  return (
    <g
      {...bind()}
      {...gripProps({ name, says, value, onStep: (steps) => to(value + steps * stepM) })}
      style={{ cursor: 'ns-resize', touchAction: 'none' }}
    >
      <rect x={x - 24} y={y - 20} width={48} height={40} fill="transparent" />
      <rect x={x - 14} y={y - 7} width={28} height={14} rx={3} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />
      <line x1={x - 6} x2={x + 6} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.4} />
      <text x={x + 20} y={y + 5} fontSize={13} fontWeight={700} fill="var(--ink)">
        {says}
      </text>
    </g>
  );
}
