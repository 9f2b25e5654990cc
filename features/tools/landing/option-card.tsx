import { memo } from 'react';
import { sayPaces } from '@/core/measures/hands';
import { nameOf, type LandingOption } from '@/core/tools/landing-options';
import { sayLandsOn } from '@/core/tools/say-landing';
import { formatLeft, formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { percent } from '../fields';
import styles from './landing.module.scss';

type Props = {
  option: LandingOption;
  reason: string;
  /** Where to aim beside the hole; null: at it. */
  aim: string | null;
  edgeM: number;
  paceM: number;
  units: UnitSystem;
  chosen: boolean;
  onChoose: (name: string) => void;
};

/** One of the best shots: where to land it is the biggest, then what it forgives. */
export const OptionCard = memo(function OptionCard({ option, reason, aim, edgeM, paceM, units, chosen, onChoose }: Props) {
  const unit = units === 'metric' ? 'm' : 'yd';
  const { club, flight, carryM, runM, carries, pace, chances, landsOn, landingDeg } = option;
  const past = carryM - edgeM;
  const off = sayLandsOn(landsOn);
  const range = `${formatLength(carries.fromM, unit)} to ${formatLength(carries.toM, unit)}`;
  const moves = (metres: number | null) =>
    metres === null ? 'nowhere reliable' : `${formatLeft(Math.abs(metres), units)} ${metres > 0 ? 'long' : 'short'}`;
  return (
    <button type="button" className={styles.card} aria-pressed={chosen} onClick={() => onChoose(nameOf(option))}>
      <span className={styles.name}>
        {club.label} <span>{flight}</span>
      </span>
      <span className={styles.spot}>
        <b className="fig">{formatLength(carryM, unit)}</b>
        <span>
          {sayPaces(carryM, paceM)}, {percent(carryM / (carryM + runM))} of the way
          <br />
          {off ?? `${formatLength(Math.max(0, past), unit)} onto the green`}
        </span>
      </span>
      <span className={styles.reason}>{reason}</span>
      {aim && <span className={styles.reason}>{aim}</span>}
      <span className={styles.small}>
        Range {range}. Runs {formatLength(runM, unit)}, comes down at {Math.round(landingDeg)}°.
      </span>
      <span className={styles.small}>
        Landed a pace long, it stops {moves(pace.longM)}; a pace short, {moves(pace.shortM)}.
      </span>
      <span className={styles.row}>
        <span>
          <b className="fig">{chances.strokes.toFixed(2)}</b> strokes
        </span>
        <span>
          <b className="fig">{percent(chances.within)}</b> in a club-length
        </span>
        <span>
          <b className="fig">{percent(chances.offGreen)}</b> off the green
        </span>
      </span>
    </button>
  );
});
