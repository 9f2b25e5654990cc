'use client';

import { surfacesOf, unitOf } from '@/core/golf/shot-types';
import type { ReactNode } from 'react';
import { along, bearing, distance, ofBearing } from '@/core/geometry/point';
import { moveItem } from '@/core/green/edit';
import { oddStation } from '@/core/green/facts';
import type { PlanStation } from '@/core/green/plan';
import { say, SHOT_TYPES, SITS, STANCES, SURFACES, type ShotType, type Sit, type Stance, type Surface } from '@/core/golf/words';
import { capital, formatLength } from '@/core/units/format';
import { fromMetres, toMetres } from '@/core/units/length';
import { Still, useEditing } from './context';
import styles from './editor.module.scss';
import { NumberBox, Pick } from './fields';
import { Remove } from './item-panels';

const percent = (part: number) => `${Math.abs(part * 100).toFixed(1)}%`;

/** What the place says about a station, and what the coach says about it. */
export function StationPanel({ station, children }: { station: PlanStation; children: ReactNode }) {
  const { plan, system, paceM, factsFor } = useEditing();
  const no = plan.stations.indexOf(station) + 1;
  const facts = factsFor(station);
  const { hole, line, suggested, shotType, surface } = facts;
  const unit = unitOf(shotType, system);
  const far = (metres: number) => formatLength(metres, unit, unit === 'm' ? 1 : 0);
  const paces = paceM === null ? '' : ` · ${Math.round(line.distanceM / paceM)} of your paces`;
  const slight = (part: number) => Math.abs(part) < 5e-4;
  const lengthways = slight(line.uphill) ? 'level' : `${line.uphill > 0 ? 'up' : 'down'} ${percent(line.uphill)}`;
  const across = slight(line.leftUp) ? 'level' : `falls ${line.leftUp > 0 ? 'right' : 'left'} ${percent(line.leftUp)}`;
  return (
    <>
      <h2>
        Station {no} → hole {hole.label}
      </h2>
      <dl className={styles.facts}>
        <Fact name="to the hole" value={`${far(line.distanceM)}${paces}`} />
        {surface !== 'green' && <Fact name="carry to the edge" value={far(line.edgeM)} />}
        <Fact name="green to work with" value={`${far(line.greenM)}${line.shortSided ? ' · short-sided' : ''}`} />
        <Fact
          name="bunker on the line"
          value={
            line.clearM !== null
              ? `carry ${far(line.clearM)} to clear`
              : line.near.length > 0
                ? `none, ${line.near.length} beside it`
                : 'none'
          }
        />
        <Fact name="slope along / across" value={plan.slope === null ? 'not measured' : `${lengthways} / ${across}`} />
      </dl>
      <p className={styles.suggestion}>
        <b>{capital(say(suggested.shotType))}.</b> {suggested.reason}
        {shotType !== suggested.shotType && <> You chose: {say(shotType)}.</>}
      </p>
      {oddStation(facts, `Station ${no}`, system).map((text) => (
        <p key={text} className="small-print mb-2">
          {text}
        </p>
      ))}
      {children}
      <Still>
        <StationFields station={station} />
      </Still>
    </>
  );
}

/** Where a station stands and how its ball lies, to be changed. */
function StationFields({ station }: { station: PlanStation }) {
  const { plan, system, change, factsFor } = useEditing();
  const no = plan.stations.indexOf(station) + 1;
  const { hole, line, suggested, shotType, surface, ground } = factsFor(station);
  const unit = unitOf(shotType, system);
  const set = (more: Partial<PlanStation>) =>
    change({ ...plan, stations: plan.stations.map((one) => (one === station ? { ...one, ...more } : one)) });
  const own = { kind: 'station', key: station.key } as const;
  const path = `stations.${no - 1}.at`;
  const degrees = bearing(hole.at, station.at);
  return (
    <>
      <div className={`${styles.pair} mt-2`}>
        <Pick
          id="station-shot"
          label="Shot"
          value={station.shotType ?? ''}
          options={[
            ['', `suggested: ${say(suggested.shotType)}`],
            ...SHOT_TYPES.filter((one) => surfacesOf(one).includes(surface)).map((one) => [one, say(one)] as const),
          ]}
          onPick={(value) => set({ shotType: (value || null) as ShotType | null })}
        />
        <Pick
          id="station-surface"
          label="From"
          value={station.surface ?? ''}
          options={[['', `drawn: ${say(ground)}`], ...SURFACES.map((one) => [one, say(one)] as const)]}
          onPick={(value) => set({ surface: (value || null) as Surface | null, ...(station.sit === 'buried' ? { sit: 'clean' } : {}) })}
        />
        <Pick
          id="station-sit"
          label="Ball sits"
          value={station.sit}
          options={SITS.filter((one) => one !== 'buried' || surface === 'sand').map((one) => [one, say(one)] as const)}
          onPick={(value) => set({ sit: value as Sit })}
        />
        <Pick
          id="station-stance"
          label="Stance"
          value={station.stance}
          options={STANCES.map((one) => [one, say(one)] as const)}
          onPick={(value) => set({ stance: value as Stance })}
        />
        <Pick
          id="station-hole"
          label="Plays to"
          value={station.hole}
          options={plan.holes.map((one) => [one.key, `hole ${one.label}`] as const)}
          onPick={(value) => set({ hole: value })}
        />
      </div>
      <div className={styles.pair}>
        <NumberBox
          id="station-distance"
          label="From the hole"
          word={unit}
          value={fromMetres(line.distanceM, unit)}
          path={path}
          apply={(value) =>
            moveItem(
              plan,
              own,
              along(hole.at, ofBearing(distance(hole.at, station.at) === 0 ? 180 : degrees), toMetres(Math.max(0, value ?? 0), unit)),
            )
          }
        />
        <NumberBox
          id="station-degrees"
          label="Direction"
          word="°; 0 is up"
          value={Math.round(degrees * 10) / 10}
          path={path}
          apply={(value) => moveItem(plan, own, along(hole.at, ofBearing(value ?? 0), line.distanceM))}
        />
      </div>
      <Remove item={own} name={`station ${no}`} />
    </>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd className="fig">{value}</dd>
    </div>
  );
}
