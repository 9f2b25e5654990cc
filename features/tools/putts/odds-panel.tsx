'use client';

import { useMemo, useState } from 'react';
import { expectedPutts, referencePutting } from '@/core/golf/putting';
import { puttOdds } from '@/core/tools/putt-odds';
import { sayChance } from '@/core/tools/say-putt';
import { puttingFrom, type Strays } from '@/core/tools/strays';
import { counted } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { percent } from '../fields';
import styles from './putts.module.scss';

type Props = { strays: Strays; who: string; units: UnitSystem; balls: number | null };

const ROWS: Readonly<Record<UnitSystem, readonly number[]>> = {
  imperial: [3, 4, 5, 6, 8, 10, 15, 20, 30, 40, 60].map((ft) => ft * METRES_PER.ft),
  metric: [1, 1.5, 2, 2.5, 3, 4, 5, 7, 10, 15, 20],
};
const NEAREST_M = 0.3;
const FARTHEST_M = 30;
/** How often a putt drops, by distance: somebody's own and their level's, and how often it takes three. */
export function OddsPanel({ strays, who, units, balls }: Props) {
  const unit = units === 'metric' ? 'm' : 'ft';
  const [distanceM, setDistance] = useState<number | null>(units === 'metric' ? 3 : 10 * METRES_PER.ft);
  // The putts after the first are those of a middling length: one curve for all.
  const putts = useMemo(() => expectedPutts(puttingFrom(strays, 8)), [strays]);
  const level = referencePutting(strays.level);
  const own = strays.putts.length > 0;
  const odds = (metres: number) => {
    const ft = metres / METRES_PER.ft;
    return puttOdds(puttingFrom(strays, ft), ft, putts);
  };
  const fault =
    distanceM === null || Number.isNaN(distanceM)
      ? 'Enter a distance.'
      : distanceM < NEAREST_M || distanceM > FARTHEST_M
        ? 'From 1 to 98 ft (0.3 to 30 m).'
        : undefined;
  const at = fault ? null : odds(distanceM!);
  return (
    <section aria-label="Odds">
      <h2>Odds, {who}</h2>
      <div className={styles.asked}>
        <LengthInput id="odds-distance" label="Distance" unit={unit} value={distanceM} onChange={setDistance} error={fault} />
        {at && (
          <p className={styles.big} role="status">
            <b className="fig">{percent(at.makes)}</b>
            <span>
              holed: {sayChance(at.makes)}
              <br />
              {at.putts.toFixed(2)} putts, three or more {percent(at.three)}
            </span>
          </p>
        )}
      </div>
      <table className={styles.odds}>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">Holed</th>
            {own && <th scope="col">Level {strays.level}</th>}
            <th scope="col">Putts</th>
            <th scope="col">Three or more</th>
          </tr>
        </thead>
        <tbody>
          {ROWS[units].map((metres) => {
            const { makes, putts: mean, three } = odds(metres);
            return (
              <tr key={metres}>
                <th scope="row" className="fig">
                  {Math.round((metres / METRES_PER[unit]) * 10) / 10} {unit}
                </th>
                <td>
                  <span className={styles.bar} style={{ width: `${(100 * makes).toFixed(1)}%` }} />
                  <b className="fig">{percent(makes)}</b>
                </td>
                {own && <td className="fig">{percent(puttOdds(level, metres / METRES_PER.ft, putts).makes)}</td>}
                <td className="fig">{mean.toFixed(2)}</td>
                <td className="fig">{percent(three)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="small-print mb-0">
        {balls === null
          ? 'What is usual at this level, on a level green.'
          : `Estimated from ${counted(balls, 'ball')} of all shots, on a level green.`}
      </p>
    </section>
  );
}
