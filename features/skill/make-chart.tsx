'use client';

import { sayLevel } from '@/core/golf/level';
import { useCallback, useMemo } from 'react';
import type { ChartData } from 'chart.js';
import { sayBand } from '@/core/golf/bands';
import type { MakeBin, MakePoint } from '@/core/board/putting';
import type { UnitSystem } from '@/core/units/length';
import { band, Chart, type Ink } from './chart';
import { inUnit } from './curve';

type Props = { points: MakePoint[]; bins: MakeBin[]; level: number; system: UnitSystem };
const percent = (value: number) => `${value}%`;

/** How often putts drop, by distance: the fitted curve, the level's, and what was seen. */
export function MakeChart({ points, bins, level, system }: Props) {
  const unit = system === 'metric' ? 'm' : 'ft';
  const data = useCallback(
    (ink: Ink): ChartData<'scatter' | 'line'> => ({
      datasets: [
        ...band(
          'estimate',
          points.map((p) => ({ x: inUnit(p.distanceM, unit), low: 100 * p.low, middle: 100 * p.middle, high: 100 * p.high })),
          ink.ink,
          `${ink.lose}55`,
          0,
        ),
        {
          type: 'line',
          label: `level ${sayLevel(level)}`,
          data: points.map((p) => ({ x: inUnit(p.distanceM, unit), y: 100 * p.level })),
          borderColor: ink.level,
          borderDash: [5, 4],
          borderWidth: 2,
          pointRadius: 0,
          pointStyle: 'line',
        },
        // A whisker is a line of its own.
        ...bins.map((bin) => ({
          type: 'line' as const,
          label: '',
          data: [bin.low, bin.high].map((y) => ({ x: inUnit(bin.distanceM, unit), y: 100 * y })),
          borderColor: ink.ink,
          borderWidth: 1.2,
          pointRadius: 0,
        })),
        {
          type: 'scatter',
          label: '',
          // A point at the edge is drawn whole.
          clip: 8,
          data: bins.map((bin) => ({ x: inUnit(bin.distanceM, unit), y: (100 * bin.holed) / bin.balls })),
          backgroundColor: ink.tape,
          borderColor: ink.ink,
          borderWidth: 1.2,
          pointRadius: 6,
        },
      ],
    }),
    [points, bins, level, unit],
  );
  const x = useMemo(() => ({ title: `distance, ${unit}`, min: 0 }), [unit]);
  const y = useMemo(() => ({ title: 'holed', min: 0, max: 100, ticks: percent }), []);
  const label = `Holed by distance. ${bins.map((bin) => `${sayBand(bin.band)}: ${bin.holed} of ${bin.balls}`).join('; ')}`;
  return <Chart label={label} data={data} x={x} y={y} points="putts holed, by distance band" />;
}
