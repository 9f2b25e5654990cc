'use client';

import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import type { Stretch } from '@/core/physics/ground';
import type { Surface } from '@/core/golf/words';
import { sayPaces } from '@/core/measures/hands';
import { formatLength } from '@/core/units/format';
import { METRES_PER, snap, type UnitSystem } from '@/core/units/length';
import { gripProps } from '@/ui/grip';
import type { Flown } from './fly-option';
import { useNarrow } from '../use-narrow';
import styles from './landing.module.scss';

type Props = {
  label: string;
  distanceM: number;
  stretches: readonly Stretch[];
  heightAt: (x: number) => number;
  flown: readonly Flown[];
  /** Which of them is chosen: its landing spot can be moved. */
  chosen: number;
  paceM: number;
  units: UnitSystem;
  onChoose: (index: number) => void;
  onMove: (carryM: number) => void;
};

/** Drawn so wide, in pixels; on a phone narrower, so that the figures can be read. */
const WIDE = 960;
const NARROW = 430;
const LEFT = 26;
const TOP = 34;
/** Room below the ground for the tape. */
const TAPE = 62;
const FILL: Readonly<Record<Surface, string>> = {
  green: 'var(--green)',
  fringe: 'var(--fringe)',
  fairway: 'var(--fairway)',
  light_rough: 'var(--rough)',
  heavy_rough: 'var(--rough-2)',
  bare: 'var(--bare)',
  sand: 'var(--sand)',
};
const DASHES = ['none', '9 5', '2 5'];

/** A shot from the side, to scale: the ground, the tape along it, each flight with where it lands and where it stops. */
export function SideView({ label, distanceM, stretches, heightAt, flown, chosen, paceM, units, onChoose, onMove }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const WIDTH = useNarrow() ? NARROW : WIDE;
  const unit = units === 'metric' ? 'm' : 'yd';
  const reachM = Math.max(distanceM * 1.14, ...flown.map(({ finishM }) => Math.min(finishM ?? 0, distanceM * 1.5) * 1.03));
  const k = (WIDTH - 2 * LEFT) / reachM;
  const heights = Array.from({ length: 60 }, (_, i) => heightAt((i / 59) * reachM));
  const [lowM, highM] = [Math.min(0, ...heights), Math.max(...flown.map(({ topM }) => topM), ...heights, 34 / k + heightAt(distanceM))];
  const ground = TOP + highM * k;
  const height = ground - lowM * k + TAPE + 26;
  const x = (metres: number) => LEFT + metres * k;
  const y = (metres: number) => ground - metres * k;
  const base = y(lowM) + 12;
  const points = (from: number, to: number) =>
    Array.from({ length: 13 }, (_, i) => from + ((to - from) * i) / 12).map((at) => `${x(at).toFixed(1)},${y(heightAt(at)).toFixed(1)}`);
  const patches = stretches
    .map(({ toM, surface }, i) => ({ surface, from: stretches[i - 1]?.toM ?? 0, to: Math.min(toM, reachM) }))
    .filter(({ from, to }) => to > from);
  const stepM =
    METRES_PER[unit] * (distanceM / METRES_PER[unit] > 50 ? 10 : distanceM / METRES_PER[unit] > (WIDTH === NARROW ? 9 : 16) ? 5 : 2);
  const ticks = Array.from({ length: Math.floor((distanceM / METRES_PER[unit]) * 1.0001) + 1 }, (_, i) => i * METRES_PER[unit]);
  const mark = flown[chosen];
  // The lowest first; each name keeps clear of the one below it.
  const labels: { name: string; left: number; up: number; i: number }[] = [];
  for (const [i, { name, top }] of [...flown.entries()].toSorted(([, one], [, other]) => one.topM - other.topM)) {
    const below = labels.at(-1);
    labels.push({ name, i, left: x(top[0]), up: Math.min(y(top[1]) - 8, below ? below.up - 17 : Infinity) });
  }
  // The highest name has room above it.
  const lift = Math.max(0, 16 - Math.min(...labels.map(({ up }) => up)));
  const bind = useDrag(
    ({ xy: [clientX] }) => {
      const box = svg.current?.getBoundingClientRect();
      if (box) onMove(snap(Math.min(distanceM * 1.2, Math.max(0.5, (((clientX - box.left) / box.width) * WIDTH - LEFT) / k))));
    },
    { pointer: { touch: true }, filterTaps: true },
  );
  const says = (metres: number) => `${formatLength(metres, unit)} · ${sayPaces(metres, paceM)}`;
  return (
    <svg ref={svg} viewBox={`0 ${-lift} ${WIDTH} ${height + lift}`} width="100%" role="group" aria-label={label} className={styles.side}>
      {patches.map(({ surface, from, to }, i) => (
        <polygon key={i} points={[...points(from, to), `${x(to)},${base}`, `${x(from)},${base}`].join(' ')} fill={FILL[surface]} />
      ))}
      <polyline points={points(0, reachM).join(' ')} fill="none" stroke="var(--ink)" strokeWidth={1.4} />
      <g className={styles.tape}>
        <rect x={x(0)} y={base} width={distanceM * k} height={20} fill="var(--tape)" />
        {ticks.map((at) => {
          const labelled = Math.abs(at / stepM - Math.round(at / stepM)) < 1e-6;
          return (
            <line
              key={at}
              x1={x(at)}
              x2={x(at)}
              y1={base}
              y2={base + (labelled ? 13 : 7)}
              stroke="var(--tape-ink)"
              strokeWidth={labelled ? 2 : 1.2}
            />
          );
        })}
        {ticks
          .filter((at) => at > 0 && Math.abs(at / stepM - Math.round(at / stepM)) < 1e-6 && x(distanceM) - x(at) > 62)
          .map((at) => (
            <text key={at} x={x(at) + 4} y={base + 17} fontSize={12} fontWeight={700} fill="var(--tape-ink)">
              {Math.round(at / METRES_PER[unit])}
            </text>
          ))}
        <text x={x(distanceM) - 5} y={base + 16} textAnchor="end" fontSize={13} fontWeight={750} fill="var(--tape-ink)">
          {formatLength(distanceM, unit)}
        </text>
      </g>
      <line
        x1={x(distanceM)}
        x2={x(distanceM)}
        y1={y(heightAt(distanceM))}
        y2={y(heightAt(distanceM)) - 30}
        stroke="var(--hole)"
        strokeWidth={3}
      />
      <path d={`M${x(distanceM)},${y(heightAt(distanceM)) - 30} l15,6 l-15,6 z`} fill="var(--hole)" />
      {flown.map(({ name, path, landsM, finishM }, i) => (
        <g key={name} onClick={() => onChoose(i)} className={styles.flight} opacity={i === chosen ? 1 : 0.72}>
          <polyline
            points={path.map(([px, pz]) => `${x(px).toFixed(1)},${y(pz).toFixed(1)}`).join(' ')}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={i === chosen ? 3.4 : 1.8}
            strokeDasharray={DASHES[i % DASHES.length]}
          />
          <line x1={x(landsM)} x2={x(landsM)} y1={base - 4} y2={base + 24} stroke="var(--tape-ink)" strokeWidth={i === chosen ? 5 : 2.5} />
          {finishM !== null && finishM < reachM && (
            <circle
              cx={x(finishM)}
              cy={y(heightAt(finishM)) - 5}
              r={i === chosen ? 5 : 4}
              fill="var(--card)"
              stroke="var(--ink)"
              strokeWidth={2}
            />
          )}
        </g>
      ))}
      {labels.map(({ name, left, up, i }) => (
        <text
          key={name}
          x={left}
          y={up}
          fontSize={14}
          fontWeight={i === chosen ? 750 : 550}
          textAnchor="middle"
          fill="var(--ink)"
          className={styles.halo}
        >
          {name}
        </text>
      ))}
      <circle cx={x(0)} cy={y(0) - 5} r={5.5} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />
      {mark && (
        <g
          {...bind()}
          {...gripProps({
            name: `Landing spot of ${mark.name}`,
            says: says(mark.landsM),
            value: mark.landsM,
            most: distanceM * 1.2,
            onStep: (steps) => onMove(snap(Math.max(0.5, mark.landsM + (steps * METRES_PER[unit]) / 4))),
          })}
          className={styles.knob}
        >
          <rect x={x(mark.landsM) - 24} y={base + 16} width={48} height={46} fill="transparent" />
          <path d={`M${x(mark.landsM)},${base + 22} l9,13 h-18 z`} fill="var(--ink)" />
          <text
            x={Math.min(WIDTH - 165, Math.max(LEFT, x(mark.landsM) - 60))}
            y={base + 54}
            fontSize={17}
            fontWeight={750}
            fill="var(--ink)"
            className="fig"
          >
            land {says(mark.landsM)}
          </text>
        </g>
      )}
    </svg>
  );
}
