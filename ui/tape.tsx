import type { UnitSystem } from '@/core/units/length';
import { formatLeft } from '@/core/units/format';
import { divide, marks } from './scale';

/** What is known of where one ball stopped: a point (`from` = `to`), or somewhere between two distances from the hole. */
export type TapeBall = { from: number; to: number };
export type TapeRing = { edgeM: number; label: string };

type Props = {
  /** Said to those who can't see the drawing. */
  label: string;
  balls: readonly TapeBall[];
  rings?: readonly TapeRing[];
  system: UnitSystem;
  /** The median, where the balls settle it. */
  medianM?: number | null;
  /** Width in CSS pixels at which its letters have their proper size; it shrinks and grows with its place. */
  width?: number;
  /** Draws the last ball bolder than the rest. */
  last?: boolean;
};

const TOP = 30;
const BAND = 22;
const HEIGHT = 74;

/** The length a tape needs for these balls and rings: to the farthest of them and a little more. */
export function tapeLength(balls: readonly TapeBall[], rings: readonly TapeRing[]): number {
  const ends = [
    ...balls.flatMap(({ from, to }) => (Number.isFinite(to) ? [to] : [from * OUTSIDE])),
    ...rings.map((ring) => ring.edgeM * 1.15),
  ];
  return Math.max(0.9, ...ends) * 1.04;
}

/**
 * The tape: a ruler from the hole (0) outwards. Each ball is a mark where it stopped; a ball of which only the ring is
 * known is a hollow mark somewhere in that ring. The triangle is the median, where the balls settle it.
 */
export function Tape({ label, balls, rings = [], system, medianM: median = null, width = 348, last = false }: Props) {
  const lengthM = tapeLength(balls, rings);
  const x = (metres: number) => 8 + ((width - 16) * Math.min(metres, lengthM)) / lengthM;
  const division = divide(lengthM, system, width / 58);
  const edges = [0, ...rings.map((ring) => ring.edgeM)];
  return (
    <svg viewBox={`0 0 ${width} ${HEIGHT}`} width="100%" role="img" aria-label={label} style={{ display: 'block', maxWidth: width * 1.6 }}>
      {rings.map((ring, i) => {
        const [a, b] = [x(edges[i]!), x(ring.edgeM)];
        return (
          <g key={ring.edgeM}>
            <path d={`M${a + 1},${TOP - 5} V${TOP - 10} H${b - 1} V${TOP - 5}`} fill="none" stroke="var(--ink)" strokeWidth={1.2} />
            <text x={(a + b) / 2} y={TOP - 15} textAnchor="middle" fontSize={12} fontWeight={650} fill="var(--ink)">
              {ring.label}
            </text>
          </g>
        );
      })}
      <rect x={8} y={TOP} width={width - 16} height={BAND} fill="var(--tape)" />
      <rect x={8} y={TOP} width={4} height={BAND} fill="var(--hole)" />
      {marks(lengthM, division).map(({ atM, label: text }) => (
        <g key={atM}>
          <line
            x1={x(atM)}
            x2={x(atM)}
            y1={TOP + BAND}
            y2={TOP + BAND - (text ? 7 : 3.5)}
            stroke="var(--tape-ink)"
            strokeWidth={text ? 1.1 : 0.6}
          />
          {text && atM > 0 && !(median !== null && Math.abs(x(atM) - x(median) - 18) < 34) && (
            <text x={x(atM)} y={TOP + BAND + 15} textAnchor="middle" fontSize={11.5} fill="var(--ink-2)">
              {text === String(division.step) ? `${text} ${division.unit}` : text}
            </text>
          )}
        </g>
      ))}
      {ringMarks(balls, lengthM).map(({ atM, index }) => (
        <rect
          key={index}
          x={x(atM) - 2}
          y={TOP - 3.5}
          width={4}
          height={13}
          rx={2}
          fill="var(--mark)"
          stroke="var(--tape-ink)"
          strokeWidth={last && index === balls.length - 1 ? 2.4 : 1}
        />
      ))}
      {balls.map(({ from, to }, i) =>
        from === to ? (
          <line
            key={i}
            x1={x(from)}
            x2={x(from)}
            y1={TOP - 4}
            y2={TOP + BAND - 7}
            stroke="var(--tape-ink)"
            strokeWidth={last && i === balls.length - 1 ? 3.6 : 1.9}
          />
        ) : null,
      )}
      {median !== null && (
        <g>
          <path d={`M${x(median)},${TOP + BAND + 1} l-6,9 h12 z`} fill="var(--ink)" />
          <text
            x={x(median) > width - 60 ? x(median) - 10 : x(median) + 10}
            y={TOP + BAND + 15}
            textAnchor={x(median) > width - 60 ? 'end' : 'start'}
            fontSize={12}
            fontWeight={700}
            fill="var(--ink)"
          >
            {formatLeft(median, system)}
          </text>
        </g>
      )}
    </svg>
  );
}

/** How far beyond the last ring balls are drawn of which no more is known than "outside": a third as far again. */
const OUTSIDE = 4 / 3;

/** Spreads the balls of each ring evenly over it: they lie somewhere in there. */
function ringMarks(balls: readonly TapeBall[], lengthM: number): { atM: number; index: number }[] {
  const places = balls.flatMap(({ from, to }, index) =>
    from === to ? [] : [{ from, to: Math.min(Number.isFinite(to) ? to : from * OUTSIDE, lengthM), index }],
  );
  return places.map(({ from, to, index }) => {
    const same = places.filter((other) => other.from === from && other.to === to);
    const rank = same.findIndex((other) => other.index === index);
    return { atM: from + ((rank + 0.5) / same.length) * (to - from), index };
  });
}
