'use client';

import { sayLevel } from '@/core/golf/level';
import { useCallback, useMemo } from 'react';
import type { ChartData } from 'chart.js';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { band, Chart, type Ink } from './chart';
import { inUnit, type Curve } from './curve';

/** What is left by distance: the model's median with its interval, the level's, and the balls behind it. */
export function CurveChart({ title, points, balls, level, system }: Curve & { system: UnitSystem }) {
  const [from, left] = system === 'metric' ? (['m', 'm'] as const) : (['yd', 'ft'] as const);
  const data = useCallback(
    (ink: Ink): ChartData<'scatter' | 'line'> => ({
      datasets: [
        ...band(
          'median',
          points.map((p) => ({
            x: inUnit(p.distanceM, from),
            low: inUnit(p.low, left),
            middle: inUnit(p.middle, left),
            high: inUnit(p.high, left),
          })),
          ink.ink,
          `${ink.lose}55`,
        ),
        {
          type: 'line',
          label: `level ${sayLevel(level)}`,
          data: points.map((p) => ({ x: inUnit(p.distanceM, from), y: inUnit(p.level, left) })),
          borderColor: ink.level,
          borderDash: [5, 4],
          borderWidth: 2,
          pointRadius: 0,
          pointStyle: 'line',
        },
        {
          type: 'scatter',
          label: '',
          // A point at the edge is drawn whole.
          clip: 8,
          data: balls.map((ball) => ({ x: inUnit(ball.distanceM, from), y: inUnit(ball.leftM, left) })),
          backgroundColor: ink.tape,
          borderColor: ink.ink,
          borderWidth: 0.8,
          pointRadius: 3,
        },
      ],
    }),
    [points, balls, level, from, left],
  );
  const x = useMemo(() => ({ title: `distance, ${from}`, min: 0 }), [from]);
  const y = useMemo(() => ({ title: `left, ${left}`, min: 0 }), [left]);
  if (points.length < 2) return null;
  return (
    <section>
      <h3>{title}</h3>
      <Chart
        label={`${title}: the median with its range, the level's, and ${counted(balls.length, 'measured ball')}`}
        data={data}
        x={x}
        y={y}
        points="measured balls"
      />
    </section>
  );
}
