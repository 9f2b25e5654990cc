import type { SwingChart } from '@/core/tools/swing-chart';
import { fromMetres, type LengthUnit } from '@/core/units/length';
import { counted } from '@/core/units/format';
import styles from './swing.module.scss';

type Props = { chart: SwingChart; unit: LengthUnit };

/** Clubs by marks: the carry is the biggest, with what 8 balls in 10 miss it by and how many balls say so. */
export function SwingTable({ chart: { clubs, marks, cells }, unit }: Props) {
  const whole = (metres: number) => Math.round(fromMetres(metres, unit));
  return (
    <div className={styles.scroll} role="region" aria-label="Chart" tabIndex={0}>
      <table className={styles.chart}>
        <thead>
          <tr>
            <th scope="col">{unit === 'm' ? 'Metres' : 'Yards'}</th>
            {marks.map((mark) => (
              <th key={mark} scope="col">
                {mark}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {clubs.map((club) => (
            <tr key={club}>
              <th scope="row">{club}</th>
              {marks.map((mark) => {
                const cell = cells.find((one) => one.club === club && one.mark === mark);
                if (!cell) return <td key={mark} />;
                return (
                  <td key={mark} className={cell.balls === 0 ? styles.guessed : undefined}>
                    <b className="fig">{whole(cell.carryM)}</b> <span>± {Math.max(1, whole(cell.giveM))}</span>
                    <small>
                      {cell.balls === 0 ? 'estimate' : counted(cell.balls, 'ball')}
                      <span>
                        , average {whole(cell.fromM)}–{whole(cell.toM)}
                      </span>
                    </small>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
