import { memo } from 'react';
import { TRAJECTORIES } from '@/core/golf/words';
import { nameOf, type OptionAnswer } from '@/core/tools/landing-options';
import { sayAnswer } from '@/core/tools/say-landing';
import { formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { capital } from '@/core/units/format';
import styles from './landing.module.scss';

type Props = { options: readonly OptionAnswer[]; units: UnitSystem; chosen: string | null; onChoose: (name: string) => void };

/** Every club, low, medium and high: where it lands, and what it comes to; the longest club first. */
export const OptionsTable = memo(function OptionsTable({ options, units, chosen, onChoose }: Props) {
  const unit = units === 'metric' ? 'm' : 'yd';
  const clubs = [...new Map(options.map(({ club }) => [club.label, club])).values()].toSorted((a, b) => a.loftDeg - b.loftDeg);
  return (
    <section>
      <h2>Every club</h2>
      <table className={styles.table}>
        <caption className="small-print">
          Carry in {unit === 'm' ? 'metres' : 'yards'}; strokes to hole out; balls off the green. “Rough”: it would have to land there. “No
          spot”: a hair more jumps past.
        </caption>
        <thead>
          <tr>
            <th scope="col">Club</th>
            {TRAJECTORIES.map((flight) => (
              <th key={flight} scope="col">
                {capital(flight)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {clubs.map((club) => (
            <tr key={club.label}>
              <th scope="row">
                {club.label} <span className="small-print">{club.loftDeg}°</span>
              </th>
              {TRAJECTORIES.map((flight) => {
                const option = options.find((one) => one.club.label === club.label && one.flight === flight)!;
                const name = nameOf({ club, flight });
                return (
                  <td key={flight}>
                    {option.answer === 'found' ? (
                      <button
                        type="button"
                        aria-pressed={name === chosen}
                        aria-label={`${name}: carry ${formatLength(option.carryM, unit)}`}
                        onClick={() => onChoose(name)}
                      >
                        <b className="fig">{formatLength(option.carryM, unit).replace(` ${unit}`, '')}</b>
                        <span>
                          {option.chances.strokes.toFixed(2)} · {Math.round(100 * option.chances.offGreen)}%
                        </span>
                      </button>
                    ) : (
                      <span className="small-print">{sayAnswer(option.answer)}</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
});
