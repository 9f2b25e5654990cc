'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { playFor, playsAs, type Bias, type SafeSide } from '@/core/tools/play-as';
import { sayFit, saySwing } from '@/core/tools/say-swing';
import { lookUp, type SwingChart } from '@/core/tools/swing-chart';
import { capital, counted, formatLength } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { FAULTS, windUnit, within } from '../fields';
import styles from './swing.module.scss';

type Props = {
  chart: SwingChart;
  /** How balls come out today against the chart. */ today: Bias | null;
  clubs: readonly { label: string; loftDeg: number }[];
  units: UnitSystem;
};
type Asked = { carryM: number | null; windMs: number | null; riseM: number | null };

/** How balls come out today is said of a shot of fifty. */
const FIFTY = 50;
/** A shot of this loft stands for all where the chart's clubs have none. */
const USUAL_LOFT = 54;

/** From a yardage to a swing: what it plays as today, which club to which mark, give or take how much. */
export function LookUp({ chart, today, clubs, units }: Props) {
  const metric = units === 'metric';
  const unit = metric ? 'm' : 'yd';
  const [asked, setAsked] = useState<Asked>({ carryM: 40 * METRES_PER[unit], windMs: 0, riseM: 0 });
  const [fifty, setFifty] = useState<number | null>(today ? Math.round(FIFTY * today.share) : FIFTY);
  const [safe, setSafe] = useState<SafeSide>(null);
  const faults = {
    carryM: within(asked.carryM, 3, 140) ? undefined : 'From 3 to 153 yd (3 to 140 m).',
    windMs: within(asked.windMs, -15, 15) ? undefined : FAULTS.wind,
    riseM: within(asked.riseM, -8, 8) ? undefined : FAULTS.rise,
    fifty: within(fifty, 30, 70) ? undefined : 'From 30 to 70.',
  };
  const set = (change: Partial<Asked>) => setAsked({ ...asked, ...change });
  const says = (metres: number) => formatLength(metres, unit, 0);
  return (
    <section className={styles.lookUp} aria-label="Look up a yardage">
      <div className={styles.asked}>
        <LengthInput
          id="swing-carry"
          label="To carry"
          unit={unit}
          value={asked.carryM}
          error={faults.carryM}
          onChange={(carryM) => set({ carryM })}
        />
        <LengthInput
          id="swing-wind"
          label="Wind"
          unit={windUnit(units)}
          value={asked.windMs}
          error={faults.windMs}
          onChange={(windMs) => set({ windMs })}
        />
        <LengthInput
          id="swing-rise"
          label="Target above you"
          unit={metric ? 'm' : 'ft'}
          value={asked.riseM}
          error={faults.riseM}
          onChange={(riseM) => set({ riseM })}
        />
        <Form.Group controlId="swing-safe">
          <Form.Label>Better to miss</Form.Label>
          <Form.Select value={safe ?? ''} onChange={({ target }) => setSafe((target.value || null) as SafeSide)}>
            <option value="">either side</option>
            <option value="short">short</option>
            <option value="long">long</option>
          </Form.Select>
        </Form.Group>
        <LengthInput
          id="swing-today"
          label={`Today ${FIFTY} comes out as`}
          unit={{ word: unit, metres: 1 }}
          value={fifty}
          error={faults.fifty}
          hint={today ? `from ${counted(today.balls, 'ball')} today` : ''}
          onChange={setFifty}
        />
      </div>
      {Object.values(faults).every((fault) => fault === undefined) && (
        <Found
          chart={chart}
          clubs={clubs}
          asked={{ carryM: asked.carryM!, windMs: asked.windMs!, riseM: asked.riseM! }}
          share={fifty! / FIFTY}
          safe={safe}
          says={says}
          unit={unit}
        />
      )}
    </section>
  );
}

type FoundProps = {
  chart: SwingChart;
  clubs: Props['clubs'];
  asked: { carryM: number; windMs: number; riseM: number };
  share: number;
  safe: SafeSide;
  says: (metres: number) => string;
  unit: 'm' | 'yd';
};

function Found({ chart, clubs, asked, share, safe, says, unit }: FoundProps) {
  const { carryM, windMs, riseM } = asked;
  const asOf = (loftDeg: number) => playsAs(carryM, { windMs, riseM }, { loftDeg, flight: 'medium', lie: 'fairway' });
  // The club decides how the wind takes it: the nearest by carry says which, then it is asked about itself.
  const first = lookUp(chart, carryM)[0];
  const loft = clubs.find(({ label }) => label === first?.club)?.loftDeg ?? USUAL_LOFT;
  const plays = asOf(loft);
  if (plays === null || !first) return <p className={styles.none}>No swing of these clubs carries that today.</p>;
  const target = playFor(plays, { share, safe, giveM: first.giveM });
  const found = lookUp(chart, target);
  const [best, ...others] = found;
  return (
    <div role="status">
      <p className={styles.best}>
        <b>{capital(saySwing(best!))}</b>
        <span>
          {sayFit(best!, unit)}; give or take {says(best!.giveM)}, {counted(best!.balls, 'ball')}
        </span>
      </p>
      {Math.abs(target - carryM) > 0.4 && (
        <p className="mb-1">
          {says(carryM)} plays as <b className="fig">{says(target)}</b>.
        </p>
      )}
      <p className="small-print mb-0">
        Or {others.map((one) => `${saySwing(one)} (${sayFit(one, unit)}, give or take ${says(one.giveM)})`).join('; ')}.
      </p>
    </div>
  );
}
