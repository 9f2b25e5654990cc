import type { Outlook } from '@/core/forecast/outlook';
import { orMore, type ScoreAxis } from './score-axis';

type Props = {
  outlook: Outlook;
  axis: ScoreAxis;
  goal: number | null;
  /** What is said of a score in this game. */
  say: (score: number) => string;
  /** A player, rather than a level. */
  own: boolean;
};

/** Figures stand out from the goal's line. */
const FIGURE = { fontSize: 11.5, fill: 'var(--ink)', stroke: 'var(--paper)', strokeWidth: 3, paintOrder: 'stroke' } as const;
const WIDTH = 170;
const HEIGHT = 26;
const TOP = 6;
const BAR = 13;

/** A row's scores on one line: the bar is where 8 of 10 games end, the mark the middle one, the dashed line the goal. */
export function ScoreTape({ outlook, axis, goal, say, own }: Props) {
  const { p10, p50, p90 } = outlook;
  const x = (score: number) => (WIDTH * (score - axis.from)) / (axis.to - axis.from);
  const [low, middle, high] = [x(p10), x(p50), x(p90)];
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" aria-hidden="true" style={{ display: 'block' }}>
      <line x1={0} x2={WIDTH} y1={TOP + BAR} y2={TOP + BAR} stroke="var(--line-2)" strokeWidth={1} />
      <rect
        x={low}
        y={TOP}
        width={Math.max(3, high - low)}
        height={BAR}
        fill={own ? 'var(--gain)' : 'var(--line)'}
        stroke="var(--ink)"
        strokeWidth={0.8}
      />
      <rect x={middle - 2} y={TOP - 3} width={4} height={BAR + 6} fill="var(--ink)" />
      {goal !== null && (
        <line x1={x(goal)} x2={x(goal)} y1={0} y2={HEIGHT} stroke="var(--flag)" strokeWidth={1.8} strokeDasharray="4 2.5" />
      )}
      <text x={low - 4} y={TOP + BAR - 2.5} textAnchor="end" {...FIGURE}>
        {orMore(outlook, p10, say)}
      </text>
      <text x={Math.max(low + 3, high) + 4} y={TOP + BAR - 2.5} {...FIGURE}>
        {orMore(outlook, p90, say)}
      </text>
    </svg>
  );
}
