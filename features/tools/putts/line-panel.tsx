'use client';

import { useDeferredValue, useMemo, useState } from 'react';
import { Form } from 'react-bootstrap';
import type { Point } from '@/core/geometry/point';
import type { GreenPlan } from '@/core/green/plan';
import { PACES, planPutt, type PacePlayed, type PuttPlan } from '@/core/tools/putt-line';
import { evenGreen } from '@/core/physics/putt';
import { puttOn } from '@/core/tools/putt-on';
import { sayAim, sayLeaves, sayPace, sayWide, PUTT_TAKEN_FOR_GRANTED } from '@/core/tools/say-putt';
import { puttingFrom, type Strays } from '@/core/tools/strays';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { GreenChoice } from '../../form/green-choice';
import { LengthInput } from '@/ui/length-input';
import { PuttView } from './putt-view';
import { FAULTS, PERCENT_RIGHT, PERCENT_UPHILL, percent, STIMP, within } from '../fields';
import styles from './putts.module.scss';

type Props = {
  strays: Strays;
  who: string;
  units: UnitSystem;
  greens: readonly { id: string; name: string }[];
  green: { greenId: string; plan: GreenPlan; putts: readonly { key: string; name: string; ball: Point; hole: Point }[] } | null;
  station: string | undefined;
  onGreen: (greenId: string | undefined) => void;
  onStation: (key: string | undefined) => void;
};

type Lies = { distanceM: number | null; ahead: number | null; right: number | null; stimpFt: number | null };
const USUAL: Lies = { distanceM: 10 * METRES_PER.ft, ahead: 0.01, right: 0.02, stimpFt: 9 };
/** What is wrong with what was typed, by field. */
function faultsOf({ distanceM, ahead, right, stimpFt }: Lies): Partial<Record<keyof Lies, string>> {
  return {
    ...(!within(distanceM, 0.6, 24.4) && { distanceM: 'From 2 to 80 ft (0.6 to 24.4 m).' }),
    ...(!within(ahead, -0.1, 0.1) && { ahead: FAULTS.slope }),
    ...(!within(right, -0.1, 0.1) && { right: FAULTS.slope }),
    ...(!within(stimpFt, 3, 16) && { stimpFt: FAULTS.stimp }),
  };
}

/** Line and pace of a putt on a slope, with three paces side by side. */
export function LinePanel({ strays, who, units, greens, green, station, onGreen, onStation }: Props) {
  const unit = units === 'metric' ? 'm' : 'ft';
  const [typed, setTyped] = useState<Lies>(USUAL);
  const [chosen, setChosen] = useState<PacePlayed>('usual');
  const putt = green?.putts.find(({ key }) => key === station) ?? green?.putts[0];
  const onPlan = green && putt ? puttOn(green.plan, putt.ball, putt.hole) : null;
  const faults = onPlan ? {} : faultsOf(typed);
  const good = Object.keys(faults).length === 0;
  const text = useDeferredValue(good ? JSON.stringify(onPlan ? [green!.greenId, putt!.key] : typed) : null);
  // The last good putt stays while something is wrong.
  const answer = useMemo(() => {
    if (text === null) return null;
    const here = onPlan ?? { distanceM: typed.distanceM!, ground: evenGreen(typed.stimpFt!, typed.right!, typed.ahead!) };
    const skill = puttingFrom(strays, here.distanceM / METRES_PER.ft);
    const plans = PACES.map(({ key, pastM }) => ({ key, plan: planPutt(here.distanceM, pastM, here.ground, skill) }));
    return { ...here, plans };
    // What is asked is in the text.
    // eslint-disable-next-line
  }, [text, strays]);
  const found = answer?.plans.flatMap(({ key, plan }) => (plan ? [{ key, plan }] : [])) ?? [];
  const best = found.toSorted((a, b) => b.plan.makes - a.plan.makes)[0];
  const set = (change: Partial<Lies>) => setTyped({ ...typed, ...change });
  return (
    <section aria-label="Line and pace" className={styles.wide}>
      <h2>Line and pace on a slope</h2>
      <div className={styles.lies}>
        <Form.Group controlId="putt-green">
          <Form.Label>On</Form.Label>
          <GreenChoice
            greens={greens}
            greenId={green?.greenId}
            none="an even slope"
            onChange={(greenId) => onGreen(greenId ?? undefined)}
          />
        </Form.Group>
        {green ? (
          green.putts.length === 0 ? (
            <p className="small-print mb-2">No station on this green itself: add one that is putted from.</p>
          ) : (
            <Form.Group controlId="putt-station">
              <Form.Label>Putt</Form.Label>
              <Form.Select value={putt?.key} onChange={({ target }) => onStation(target.value)}>
                {green.putts.map(({ key, name }) => (
                  <option key={key} value={key}>
                    {name}
                  </option>
                ))}
              </Form.Select>
            </Form.Group>
          )
        ) : (
          <>
            <LengthInput
              id="putt-distance"
              label="Distance"
              unit={unit}
              value={typed.distanceM}
              error={faults.distanceM}
              onChange={(distanceM) => set({ distanceM })}
            />
            <LengthInput
              id="putt-ahead"
              label="To the hole"
              unit={PERCENT_UPHILL}
              value={typed.ahead}
              error={faults.ahead}
              onChange={(ahead) => set({ ahead })}
            />
            <LengthInput
              id="putt-right"
              label="Across"
              unit={PERCENT_RIGHT}
              value={typed.right}
              error={faults.right}
              onChange={(right) => set({ right })}
            />
            <LengthInput
              id="putt-stimp"
              label="Green speed"
              unit={STIMP}
              value={typed.stimpFt}
              error={faults.stimpFt}
              onChange={(stimpFt) => set({ stimpFt })}
            />
          </>
        )}
      </div>
      {answer && found.length === 0 && (
        <p className={styles.none} role="status">
          No reliable line: on this slope no ball stops by the hole. Lag it to a flatter spot.
        </p>
      )}
      {answer && found.length > 0 && (
        <div className={styles.line}>
          <PuttView
            distanceM={answer.distanceM}
            ground={answer.ground}
            plans={found}
            chosen={found.some(({ key }) => key === chosen) ? chosen : found[0]!.key}
            units={units}
          />
          <div className={styles.paces} role="group" aria-label="Paces">
            {answer.plans.map(({ key, plan }) => (
              <PaceCard
                key={key}
                name={sayPace(key, units)}
                plan={plan}
                best={best?.key === key}
                chosen={key === chosen}
                units={units}
                who={who}
                onChoose={() => setChosen(key)}
              />
            ))}
            <ul className="small-print mb-0">
              {PUTT_TAKEN_FOR_GRANTED.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </div>
        </div>
      )}
    </section>
  );
}

type PaceProps = {
  name: string;
  plan: PuttPlan | null;
  best: boolean;
  chosen: boolean;
  units: UnitSystem;
  who: string;
  onChoose: () => void;
};

function PaceCard({ name, plan, best, chosen, units, who, onChoose }: PaceProps) {
  if (!plan)
    return (
      <p className="mb-0">
        <b>{name}</b>: no reliable line.
      </p>
    );
  return (
    <button type="button" className={styles.pace} aria-pressed={chosen} onClick={onChoose}>
      <span className={styles.paceName}>
        {name}
        {best && <span> · holes most</span>}
      </span>
      <b className={styles.aim}>Aim {sayAim(plan.asideM, units)}</b>
      <span>
        <b className="fig">{percent(plan.makes)}</b> holed by {who}. {sayWide(plan, units)} of line to play with.
      </span>
      <span className="small-print">8 in 10 would stop {sayLeaves(plan, units)}.</span>
    </button>
  );
}
