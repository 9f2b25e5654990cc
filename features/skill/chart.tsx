'use client';

import {
  Chart as ChartJs,
  Filler,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  LineController,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js';
import { Chart as ReactChart } from 'react-chartjs-2';
import { useMemo, useSyncExternalStore } from 'react';
import styles from './skill.module.scss';

ChartJs.register(Filler, Legend, LinearScale, LineElement, PointElement, ScatterController, LineController, Tooltip);

/** Colours of the theme, as a canvas needs them. */
export type Ink = { ink: string; quiet: string; line: string; level: string; lose: string; tape: string; card: string };
const NAMES = {
  ink: '--ink',
  quiet: '--ink-2',
  line: '--line',
  level: '--level',
  lose: '--lose-3',
  tape: '--tape',
  card: '--card',
} as const;
const nothing = () => () => undefined;

type Axis = { title: string; min?: number; max?: number; ticks?: (value: number) => string };
type Props = {
  label: string;
  data: (ink: Ink) => ChartData<'scatter' | 'line'>;
  x: Axis;
  y: Axis;
  low?: boolean;
};

/** An ordinary chart in the look of the program: two straight axes, thin lines, a legend in words. */
export function Chart({ label, data, x, y, low = false }: Props) {
  // The colours are known in the browser only; until then there is room for the chart.
  const ready = useSyncExternalStore(
    nothing,
    () => true,
    () => false,
  );
  const drawn = useMemo(() => {
    if (!ready) return null;
    const style = getComputedStyle(document.documentElement);
    const ink = Object.fromEntries(Object.entries(NAMES).map(([name, token]) => [name, style.getPropertyValue(token).trim()])) as Ink;
    const axis = ({ title, min, max, ticks }: Axis) => ({
      type: 'linear' as const,
      title: { display: title !== '', text: title, color: ink.quiet, font: { size: 12 } },
      ...(min === undefined ? {} : { min }),
      ...(max === undefined ? {} : { max }),
      grid: { color: ink.line, lineWidth: 0.6 },
      border: { color: ink.ink },
      ticks: { color: ink.quiet, font: { size: 12 }, ...(ticks ? { callback: (value: number | string) => ticks(Number(value)) } : {}) },
    });
    const options: ChartOptions<'scatter' | 'line'> = {
      animation: false,
      maintainAspectRatio: false,
      font: { family: getComputedStyle(document.body).fontFamily },
      scales: { x: axis(x), y: axis(y) },
      plugins: {
        legend: {
          position: 'bottom',
          align: 'start',
          labels: { color: ink.ink, usePointStyle: true, pointStyleWidth: 22, font: { size: 12 }, filter: ({ text }) => text !== '' },
        },
        tooltip: { enabled: true },
      },
    };
    return { options, data: data(ink) };
  }, [ready, data, x, y]);
  return (
    <div className={`${styles.chart} ${low ? styles.low : ''}`}>
      {drawn && <ReactChart type="scatter" options={drawn.options} data={drawn.data} aria-label={label} />}
    </div>
  );
}

/** A band between two lines of points, with its middle drawn. */
export function band(
  name: string,
  points: readonly { x: number; low: number; middle: number; high: number }[],
  ink: string,
  fill: string,
  pointRadius = 3,
): ChartData<'line'>['datasets'] {
  const line = { type: 'line' as const, pointRadius: 0, borderWidth: 0, backgroundColor: fill };
  return [
    { ...line, label: '', data: points.map(({ x, low }) => ({ x, y: low })) },
    { ...line, label: '', data: points.map(({ x, high }) => ({ x, y: high })), fill: '-1' },
    {
      type: 'line' as const,
      label: name,
      data: points.map(({ x, middle }) => ({ x, y: middle })),
      borderColor: ink,
      backgroundColor: ink,
      borderWidth: 2.2,
      pointRadius,
      pointStyle: 'line' as const,
    },
  ];
}
