'use client';

import { useState } from 'react';
import { aimPast, FRINGE_SLOWS, USUAL_FRINGE_SHARE } from '@/core/tools/fringe';
import { formatLength } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { FAULTS, PERCENT_UPHILL, STIMP, within } from '../fields';
import { useKept } from '../use-kept';
import styles from './putts.module.scss';

type Props = { units: UnitSystem };
type Typed = { fringeM: number | null; greenM: number | null; slope: number | null; stimpFt: number | null; share: number | null };

const WIDTH = 480;

/** From the fringe: how far past the hole to aim, by the model and by a rule of thumb, drawn as a second hole. */
export function FringePanel({ units }: Props) {
  const unit = units === 'metric' ? 'm' : 'ft';
  const [kept, keep] = useKept<{ share: number }>('fringe-rule', { share: USUAL_FRINGE_SHARE });
  const [typed, setTyped] = useState<Omit<Typed, 'share'>>({
    fringeM: units === 'metric' ? 2 : 6 * METRES_PER.ft,
    greenM: units === 'metric' ? 6 : 18 * METRES_PER.ft,
    slope: 0,
    stimpFt: 9,
  });
  const [share, setShare] = useState<number | null | undefined>(undefined);
  const shown = share === undefined ? kept.share : share;
  const faults = {
    fringeM: within(typed.fringeM, 0.05, 15) ? undefined : 'Up to 49 ft (15 m) of fringe.',
    greenM: within(typed.greenM, 0.3, 40) ? undefined : 'From 1 to 131 ft (0.3 to 40 m) of green.',
    slope: within(typed.slope, -0.1, 0.1) ? undefined : FAULTS.slope,
    stimpFt: within(typed.stimpFt, 3, 16) ? undefined : FAULTS.stimp,
    share: within(shown, 0, 3) ? undefined : 'From 0 to 300%.',
  };
  const good = Object.values(faults).every((fault) => fault === undefined);
  const { fringeM, greenM } = typed;
  const past = good ? aimPast({ fringeM: fringeM!, greenM: greenM!, slope: typed.slope!, stimpFt: typed.stimpFt! }, shown!) : null;
  const set = (change: Partial<Typed>) => setTyped({ ...typed, ...change });
  return (
    <section aria-label="From the fringe">
      <h2>Putting from the fringe</h2>
      <div className={styles.lies}>
        <LengthInput
          id="fringe-long"
          label="Fringe"
          unit={unit}
          value={fringeM}
          error={faults.fringeM}
          onChange={(value) => set({ fringeM: value })}
        />
        <LengthInput
          id="fringe-green"
          label="Green"
          unit={unit}
          value={greenM}
          error={faults.greenM}
          onChange={(value) => set({ greenM: value })}
        />
        <LengthInput
          id="fringe-slope"
          label="Slope"
          unit={PERCENT_UPHILL}
          value={typed.slope}
          error={faults.slope}
          onChange={(slope) => set({ slope })}
        />
        <LengthInput
          id="fringe-stimp"
          label="Green speed"
          unit={STIMP}
          value={typed.stimpFt}
          error={faults.stimpFt}
          onChange={(stimpFt) => set({ stimpFt })}
        />
        <LengthInput
          id="fringe-share"
          label="Rule: add"
          unit={{ word: '% of the fringe', metres: 0.01 }}
          value={shown}
          error={faults.share}
          onChange={(value) => {
            setShare(value);
            if (within(value, 0, 3)) keep({ share: value! });
          }}
        />
      </div>
      {past && (
        <>
          <p className={styles.big} role="status">
            <b className="fig">{past.byModel === null ? '–' : formatLength(past.byModel, unit)}</b>
            <span>
              {past.byModel === null ? 'will not stop on this slope' : 'past the hole: putt to a second hole there'}
              <br />
              by the rule: {formatLength(past.byRule, unit)}
            </span>
          </p>
          <Second fringeM={fringeM!} greenM={greenM!} modelM={past.byModel} ruleM={past.byRule} />
          <p className="small-print mb-0">
            Fringe is taken to slow a ball {FRINGE_SLOWS} times as much as this green. Long or wet fringe takes more.
          </p>
        </>
      )}
    </section>
  );
}

/** The line from above: fringe, green, the hole, and the second hole past it. */
function Second({ fringeM, greenM, modelM, ruleM }: { fringeM: number; greenM: number; modelM: number | null; ruleM: number }) {
  const allM = (fringeM + greenM + Math.max(modelM ?? 0, ruleM)) * 1.06;
  const k = (WIDTH - 30) / allM;
  const x = (metres: number) => 15 + metres * k;
  const hole = fringeM + greenM;
  return (
    <svg viewBox={`0 0 ${WIDTH} 104`} width="100%" role="img" aria-label="The fringe, the green, the hole and the second hole past it">
      <rect x={15} y={34} width={fringeM * k} height={36} fill="var(--fringe)" />
      <rect x={x(fringeM)} y={34} width={WIDTH - 15 - x(fringeM)} height={36} fill="var(--green)" />
      <line x1={x(0)} x2={x(hole)} y1={52} y2={52} stroke="var(--line-2)" strokeDasharray="2 6" />
      <circle cx={x(0)} cy={52} r={6} fill="var(--card)" stroke="var(--ink)" strokeWidth={2} />
      <circle cx={x(hole)} cy={52} r={7} fill="var(--ink)" />
      <path d={`M${x(hole)},52 v-40 l15,6 l-15,6`} fill="var(--hole)" stroke="var(--hole)" strokeWidth={2} />
      {modelM !== null && <circle cx={x(hole + modelM)} cy={52} r={8} fill="var(--tape)" stroke="var(--ink)" strokeWidth={2.4} />}
      <line x1={x(hole + ruleM)} x2={x(hole + ruleM)} y1={38} y2={66} stroke="var(--level)" strokeWidth={3} />
      <text x={Math.min(WIDTH - 4, x(hole + ruleM))} y={88} fontSize={13} fontWeight={650} textAnchor="end" fill="var(--level)">
        bar: by the rule
      </text>
    </svg>
  );
}
