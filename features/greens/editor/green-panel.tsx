'use client';

import { unitOf } from '@/core/golf/shot-types';
import { Button } from 'react-bootstrap';
import { oddHole } from '@/core/green/facts';
import { fallOf, gradientOf, planeThrough } from '@/core/green/slope';
import type { GreenPlan } from '@/core/green/plan';
import { FIRMNESSES, say } from '@/core/golf/words';
import { formatLength, counted } from '@/core/units/format';
import { fromMetres, toMetres } from '@/core/units/length';
import { saySize } from '../say-size';
import { useEditing } from './context';
import styles from './editor.module.scss';
import { NumberBox, Pick, TextBox } from './fields';
import { OutlineTools } from './item-panels';

/** The green as a whole: its name, its surroundings, how it lies and plays, and what stands on it. */
export function GreenPanel() {
  const { plan, system, item, change, choose, factsFor } = useEditing();
  const unit = system === 'metric' ? 'm' : 'ft';
  const set = (more: Partial<GreenPlan>) => change({ ...plan, ...more });
  return (
    <>
      <TextBox id="title" label="Name" maxLength={80} value={plan.title} path="title" apply={(title) => ({ ...plan, title })} />
      <div className={`${styles.pair} mt-2`}>
        <NumberBox
          id="stimp"
          label="Speed"
          word="Stimp, ft"
          optional
          value={plan.stimpFt}
          path="stimpFt"
          apply={(stimpFt) => ({ ...plan, stimpFt })}
        />
        <Pick
          id="firmness"
          label="Firmness"
          value={plan.firmness ?? ''}
          options={[['', 'not given'], ...FIRMNESSES.map((one) => [one, one] as const)]}
          onPick={(value) => set({ firmness: (value || null) as GreenPlan['firmness'] })}
        />
        <NumberBox
          id="fringe"
          label="Fringe, wide"
          word={unit}
          value={fromMetres(plan.fringeM, unit)}
          path="fringeM"
          apply={(value) => ({ ...plan, fringeM: toMetres(value ?? 0, unit) })}
        />
        <Pick
          id="around"
          label="Around it"
          value={plan.around}
          options={(['fairway', 'light_rough', 'heavy_rough', 'bare'] as const).map((one) => [one, say(one)] as const)}
          onPick={(value) => set({ around: value as GreenPlan['around'] })}
        />
      </div>
      <SlopeFields />
      <h3 className="mt-3 mb-1">Outline</h3>
      {item?.kind === 'corner' && item.key === null ? (
        <OutlineTools of={null} />
      ) : (
        <p className="d-flex gap-2 align-items-center mb-2">
          <span className="small-print">{saySize(plan.outline, system)}</span>
          <Button size="sm" variant="outline-dark" onClick={() => choose({ kind: 'corner', key: null, index: 0 })}>
            Change it
          </Button>
        </p>
      )}
      {plan.holes.length > 0 && (
        <>
          <h3 className="mt-3 mb-1">Holes and stations</h3>
          <ul className={styles.things}>
            {plan.holes.map((hole) => (
              <li key={hole.key}>
                <button type="button" onClick={() => choose({ kind: 'hole', key: hole.key })}>
                  Hole {hole.label}
                </button>
              </li>
            ))}
            {plan.stations.map((station, i) => {
              const { line, shotType } = factsFor(station);
              return (
                <li key={station.key}>
                  <button type="button" onClick={() => choose({ kind: 'station', key: station.key })}>
                    {i + 1}. {formatLength(line.distanceM, unitOf(shotType, system), 0)} {say(shotType)}
                  </button>
                </li>
              );
            })}
          </ul>
        </>
      )}
      {plan.holes.flatMap((hole) =>
        oddHole(plan, hole, system).map((text) => (
          <p key={text} className={styles.note}>
            {text}
          </p>
        )),
      )}
    </>
  );
}

/** How the green lies: level, one fall, or measured heights. */
function SlopeFields() {
  const { plan, system, change } = useEditing();
  const { slope } = plan;
  const plane = slope?.by === 'spots' ? planeThrough(slope.spots) : null;
  const fall = fallOf(gradientOf(slope));
  const miss = plane && (system === 'metric' ? `${Math.round(plane.missM * 100)} cm` : `${Math.round(plane.missM / 0.0254)} in`);
  return (
    <>
      <div className={`${styles.pair} mt-2`}>
        <Pick
          id="slope"
          label="Slope"
          value={slope?.by ?? ''}
          options={[
            ['', 'not measured'],
            ['fall', 'falls one way'],
            ...(slope?.by === 'spots' ? [['spots', 'from heights'] as const] : []),
          ]}
          onPick={(value) =>
            change({
              ...plan,
              slope:
                value === 'fall'
                  ? { by: 'fall', towardsDeg: Math.round(fall?.towardsDeg ?? 180), percent: Math.round((fall?.percent ?? 2) * 10) / 10 }
                  : null,
            })
          }
        />
        {slope?.by === 'fall' && (
          <>
            <NumberBox
              id="fall"
              label="Falls"
              word="%"
              value={slope.percent}
              path="slope.percent"
              apply={(percent) => ({ ...plan, slope: { ...slope, percent: percent ?? 0 } })}
            />
            <NumberBox
              id="fall-direction"
              label="Towards"
              word="°; 0 is up, 90 right"
              value={slope.towardsDeg}
              path="slope.towardsDeg"
              apply={(towardsDeg) => ({ ...plan, slope: { ...slope, towardsDeg: towardsDeg ?? 0 } })}
            />
          </>
        )}
      </div>
      {slope?.by === 'spots' && (
        <p className="small-print mt-1 mb-0">
          {plane && fall
            ? `${slope.spots.length} heights: falls ${fall.percent.toFixed(1)}% towards ${Math.round(fall.towardsDeg)}°; a plane fits them within ${miss}.`
            : `${counted(slope.spots.length, 'height')} so far: three that aren’t in line give a slope.`}
        </p>
      )}
    </>
  );
}
