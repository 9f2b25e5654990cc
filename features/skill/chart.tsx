'use client';

import {
  Chart as ChartJs,
  Filler,
  LinearScale,
  LineElement,
  PointElement,
  ScatterController,
  LineController,
  Tooltip,
  type ChartData,
  type ChartOptions,
  type Plugin,
} from 'chart.js';
import { Chart as ReactChart } from 'react-chartjs-2';
import { useMemo } from 'react';
import { useReady } from '../form/use-ready';
import styles from './skill.module.scss';

ChartJs.register(Filler, LinearScale, LineElement, PointElement, ScatterController, LineController, Tooltip);

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

type Axis = {
  title: string;
  min?: number;
  max?: number;
  /** Where the axis is named; without, where the library finds it round. */
  at?: readonly number[];
  ticks?: (value: number) => string;
};
/** A figure above a point. */
export type Mark = { x: number; y: number; text: string };
type Props = {
  label: string;
  /** A line that has a label is named where it ends, an upright one at its top. */
  data: (ink: Ink) => ChartData<'scatter' | 'line'>;
  x: Axis;
  y: Axis;
  /** What a point is. */
  points?: string | undefined;
  marks?: readonly Mark[];
  low?: boolean;
};

/** Few lines across, none upright. */
const LINES = 5;
const NAME_FONT = 12;
/** Names that end at one height are moved this far apart, pixels. */
const NAME_STEP = 15;
const NO_MARKS: readonly Mark[] = [];

/** Room for names at the right, by their letters. */
const roomFor = (names: readonly string[]) => (names.length === 0 ? 8 : 14 + 6.6 * Math.max(...names.map((name) => name.length)));

const isUpright = (points: readonly { x: number }[]) => points.length > 1 && points.every(({ x }) => x === points[0]!.x);

/** Names lines where they end, and figures above points. */
const named = (ink: Ink, marks: readonly Mark[], family: string): Plugin<'scatter' | 'line'> => ({
  id: 'named',
  afterDatasetsDraw({ ctx, data, scales, chartArea }) {
    const [x, y] = [scales.x!, scales.y!];
    const write = (text: string, left: number, top: number, colour: string, weight: number, align: CanvasTextAlign) => {
      ctx.font = `${weight} ${NAME_FONT}px ${family}`;
      ctx.fillStyle = colour;
      ctx.textAlign = align;
      ctx.textBaseline = 'middle';
      ctx.fillText(text, left, top);
    };
    ctx.save();
    const ends = data.datasets.flatMap(({ type, label, data: all, borderColor }) => {
      const points = all as { x: number; y: number }[];
      const last = points.at(-1);
      if (type !== 'line' || !label || !last) return [];
      const colour = String(borderColor);
      if (isUpright(points)) {
        write(label, x.getPixelForValue(last.x) + 4, chartArea.top + 7, colour, 400, 'left');
        return [];
      }
      return [{ label, colour, top: y.getPixelForValue(last.y) }];
    });
    // From the lowest upwards: none lies below the axis, none on another.
    ends.sort((a, b) => b.top - a.top);
    let lowest = chartArea.bottom - NAME_STEP / 2;
    for (const { label, colour, top } of ends) {
      const at = Math.min(top, lowest);
      write(label, chartArea.right + 6, at, colour, 600, 'left');
      lowest = at - NAME_STEP;
    }
    for (const { x: at, y: value, text } of marks)
      write(text, x.getPixelForValue(at), y.getPixelForValue(value) - 14, ink.ink, 700, 'center');
    ctx.restore();
  },
});

/** A chart in the look of the program: ink on paper, few lines, each named where it ends; what the axes are, in words. */
export function Chart({ label, data, x, y, points, marks = NO_MARKS, low = false }: Props) {
  // The colours are known in the browser only; until then there is room for the chart.
  const ready = useReady();
  const drawn = useMemo(() => {
    if (!ready) return null;
    const style = getComputedStyle(document.documentElement);
    const ink = Object.fromEntries(Object.entries(NAMES).map(([name, token]) => [name, style.getPropertyValue(token).trim()])) as Ink;
    const { fontFamily } = getComputedStyle(document.body);
    const font = { family: fontFamily, size: NAME_FONT };
    const axis = ({ min, max, at, ticks }: Axis) => ({
      type: 'linear' as const,
      ...(min === undefined ? {} : { min }),
      ...(max === undefined ? {} : { max }),
      ...(at ? { afterBuildTicks: (scale: { ticks: { value: number }[] }) => void (scale.ticks = at.map((value) => ({ value }))) } : {}),
      ticks: {
        color: ink.quiet,
        font,
        padding: 6,
        maxTicksLimit: LINES,
        maxRotation: 0,
        ...(ticks ? { callback: (value: number | string) => ticks(Number(value)) } : {}),
      },
    });
    const drawing = data(ink);
    const names = drawing.datasets.flatMap(({ type, label: name, data: all }) =>
      type === 'line' && name && !isUpright(all as { x: number }[]) ? [name] : [],
    );
    const options: ChartOptions<'scatter' | 'line'> = {
      animation: false,
      maintainAspectRatio: false,
      layout: { padding: { right: roomFor(names), top: marks.length > 0 ? 22 : 6 } },
      scales: {
        x: { ...axis(x), grid: { display: false }, border: { color: ink.ink } },
        y: { ...axis(y), grid: { color: ink.line, lineWidth: 0.8, drawTicks: false }, border: { display: false } },
      },
      plugins: {
        tooltip: {
          backgroundColor: ink.card,
          borderColor: ink.ink,
          borderWidth: 1,
          cornerRadius: 3,
          displayColors: false,
          titleColor: ink.ink,
          bodyColor: ink.ink,
          bodyFont: font,
          filter: ({ dataset }) => Boolean(dataset.label) || dataset.type === 'scatter',
          callbacks: {
            label: ({ parsed }) =>
              `${x.ticks ? x.ticks(parsed.x!) : parsed.x}: ${y.ticks ? y.ticks(parsed.y!) : Number(parsed.y!.toFixed(2))}`,
          },
        },
      },
    };
    return { options, data: drawing, plugins: [named(ink, marks, fontFamily)] };
  }, [ready, data, x, y, marks]);
  return (
    <figure className={styles.figure}>
      <figcaption className={styles.axes}>
        <span>{y.title}</span>
        {points && (
          <span className={styles.dot}>
            <i aria-hidden="true" /> {points}
          </span>
        )}
      </figcaption>
      <div className={`${styles.chart} ${low ? styles.low : ''}`}>
        {drawn && <ReactChart type="scatter" options={drawn.options} data={drawn.data} plugins={drawn.plugins} aria-label={label} />}
      </div>
      {x.title && <p className={styles.across}>{x.title}</p>}
    </figure>
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
