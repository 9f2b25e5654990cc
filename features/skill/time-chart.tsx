'use client';

import { useCallback, useMemo } from 'react';
import type { ChartData } from 'chart.js';
import { band, Chart, type Ink } from './chart';
import { startOfDayIn } from '@/core/units/day';
import { inZone } from '@/core/units/in-zone';

type Props = {
  label: string;
  points?: { x: number; low: number; middle: number; high: number }[];
  scores?: { x: number; y: number }[];
  best?: number;
  goal?: number | null;
  /** The day that divides before from since. */
  since: string;
  axis: string;
  timeZone: string;
  /** Draws the line of nothing lost: the level. */
  nothing?: boolean;
};

const NONE: never[] = [];
const DAY_MS = 86_400_000;
/** A chart shows so many days at least: the axis names about ten. */
const LEAST_DAYS = 14;

/** Figures over time: a middle with its band, or scores as points. */
export function TimeChart({ label, points = NONE, scores = NONE, best, goal = null, since, axis, timeZone, nothing = false }: Props) {
  const data = useCallback(
    (ink: Ink): ChartData<'scatter' | 'line'> => {
      const all = [...points.map((p) => p.x), ...scores.map((s) => s.x)];
      const ends = [Math.min(...all), Math.max(...all)];
      const heights = [
        ...points.flatMap((p) => [p.low, p.high]),
        ...scores.map((s) => s.y),
        ...(goal === null ? [] : [goal]),
        ...(nothing ? [0] : []),
      ];
      const across = (name: string, y: number, colour: string): ChartData<'line'>['datasets'][number] => ({
        type: 'line',
        label: name,
        data: ends.map((x) => ({ x, y })),
        borderColor: colour,
        borderDash: [5, 4],
        borderWidth: 1.8,
        pointRadius: 0,
        pointStyle: 'line',
      });
      const at = startOfDayIn(since, timeZone).getTime();
      return {
        datasets: [
          ...(points.length > 0 ? band('estimate', points, ink.ink, `${ink.lose}55`) : []),
          ...(nothing ? [across('level', 0, ink.level)] : []),
          ...(goal === null ? [] : [across('goal', goal, ink.level)]),
          ...(at > ends[0]! && at < ends[1]!
            ? [
                {
                  type: 'line' as const,
                  label: short(at, timeZone),
                  data: [Math.min(...heights), Math.max(...heights)].map((y) => ({ x: at, y })),
                  borderColor: ink.quiet,
                  borderWidth: 1,
                  pointRadius: 0,
                },
              ]
            : []),
          ...(scores.length > 0
            ? [
                {
                  type: 'scatter' as const,
                  label: '',
                  // A point at the edge is drawn whole.
                  clip: 8,
                  data: scores,
                  showLine: true,
                  backgroundColor: ink.tape,
                  borderColor: ink.ink,
                  borderWidth: 1.6,
                  pointRadius: scores.map(({ y }) => (y === best ? 7 : 4)),
                },
              ]
            : []),
        ],
      };
    },
    [points, scores, best, goal, since, timeZone, nothing],
  );
  const x = useMemo(() => {
    const at = [...points, ...scores].map((one) => one.x);
    // Few days have some on both sides, so that no day is named twice.
    const [first, last] = [Math.min(...at), Math.max(...at)];
    const lacking = Math.max(0, LEAST_DAYS * DAY_MS - (last - first)) / 2;
    const [min, max] = [first - lacking, last + lacking];
    return { title: '', min, max, at: daysBetween(min, max), ticks: (value: number) => short(value, timeZone) };
  }, [timeZone, points, scores]);
  const y = useMemo(() => ({ title: axis }), [axis]);
  const marks = useMemo(() => figuresOf(scores, best), [scores, best]);
  return <Chart label={label} data={data} x={x} y={y} marks={marks} low />;
}

const short = (at: number, timeZone: string) => inZone(timeZone, { day: 'numeric', month: 'short' }).format(at);

/** Five moments at most, whole days apart, the first and the last among them. */
function daysBetween(first: number, last: number): number[] {
  const step = Math.max(1, Math.ceil((last - first) / DAY_MS / 4)) * DAY_MS;
  return Array.from({ length: Math.floor((last - first) / step) + 1 }, (_, i) => first + i * step);
}

/** The last score and the best, in figures; the best where it was first made. */
function figuresOf(scores: readonly { x: number; y: number }[], best: number | undefined) {
  const [top, last] = [scores.find(({ y }) => y === best), scores.at(-1)];
  return [...new Set([top, last])].flatMap((one) => (one ? [{ ...one, text: String(Number(one.y.toFixed(1))) }] : []));
}
