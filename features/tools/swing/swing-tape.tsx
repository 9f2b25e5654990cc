import { ladderOf, type SwingCell, type SwingChart } from '@/core/tools/swing-chart';
import { saySwing } from '@/core/tools/say-swing';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import styles from './swing.module.scss';

type Props = { chart: SwingChart; units: UnitSystem };

const WIDTH = 960;
const LEFT = 16;
const ROW = 19;

/** All swings on one tape, from the ball outwards: gaps are seen at once. Each name keeps clear of the others. */
export function SwingTape({ chart, units }: Props) {
  const unitM = METRES_PER[units === 'metric' ? 'm' : 'yd'];
  const cells = chart.cells.filter(({ balls }) => balls > 0).toSorted((one, other) => one.carryM - other.carryM);
  if (cells.length === 0) return null;
  const most = Math.max(...cells.map(({ carryM, giveM }) => carryM + giveM)) * 1.02;
  const k = (WIDTH - 2 * LEFT - 150) / most;
  const x = (metres: number) => LEFT + metres * k;
  // Names above the tape, from the right: one that reaches over others stands above them, so that no line crosses a name.
  const names: { cell: SwingCell; at: number; row: number }[] = [];
  for (const cell of cells.toReversed()) {
    const at = x(cell.carryM);
    const over = names.filter((one) => one.at < at + saySwing(cell).length * 7.2 + 12);
    names.push({ cell, at, row: over.length === 0 ? 0 : Math.max(...over.map(({ row }) => row)) + 1 });
  }
  const rows = Math.max(...names.map(({ row }) => row)) + 1;
  const top = 8 + rows * ROW;
  const { gaps } = ladderOf(chart);
  const step = most / unitM > 60 ? 10 : 5;
  return (
    <div className={styles.scroll} role="region" aria-label="All swings on one tape" tabIndex={0}>
      <svg
        viewBox={`0 0 ${WIDTH} ${top + 62}`}
        width="100%"
        role="img"
        aria-label={`Swings by carry: ${cells.map(saySwing).join(', ')}`}
        className={styles.tape}
      >
        <rect x={x(0)} y={top} width={most * k} height={24} fill="var(--tape)" />
        {Array.from({ length: Math.floor(most / unitM / step) + 1 }, (_, i) => i * step).map((value) => (
          <g key={value}>
            <line x1={x(value * unitM)} x2={x(value * unitM)} y1={top + 12} y2={top + 24} stroke="var(--tape-ink)" strokeWidth={1.4} />
            {value > 0 && (
              <text x={x(value * unitM) + 3} y={top + 21} fontSize={12} fontWeight={700} fill="var(--tape-ink)">
                {value}
              </text>
            )}
          </g>
        ))}
        {gaps.map(({ fromM, toM }) => (
          <g key={fromM}>
            <path d={`M${x(fromM) + 3},${top + 30} v7 H${x(toM) - 3} v-7`} fill="none" stroke="var(--flag)" strokeWidth={2} />
            <text x={(x(fromM) + x(toM)) / 2} y={top + 53} fontSize={13} fontWeight={700} textAnchor="middle" fill="var(--flag)">
              gap
            </text>
          </g>
        ))}
        {names.map(({ cell, at, row }) => (
          <g key={saySwing(cell)}>
            <rect x={x(cell.carryM - cell.giveM)} y={top + 3} width={2 * cell.giveM * k} height={5} fill="var(--ink)" opacity={0.28} />
            <line x1={at} x2={at} y1={top - 4 - row * ROW} y2={top + 11} stroke="var(--ink)" strokeWidth={2.2} />
            <text x={at + 4} y={top - 5 - row * ROW} fontSize={13} fontWeight={600} fill="var(--ink)">
              {saySwing(cell)}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
