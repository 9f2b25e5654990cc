'use client';

import { cellsOf } from '@/core/game/scoring/shot-matrix';
import { isBodyMeasure, sayRadius, unitM, type Sizes } from '@/core/game/sizes';
import type { GameSpec } from '@/core/game/spec';
import type { Station } from '@/core/game/station';
import { sayStation } from '@/core/game/describe';
import { say } from '@/core/golf/words';
import { formatLength, leftUnit } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LandingPlan } from '@/ui/landing-plan';
import { Target, targetReach, type TargetHandle, type TargetRing } from '@/ui/target';
import styles from './plan.module.scss';

type Props = {
  spec: GameSpec;
  units: UnitSystem;
  /** The station whose plan is drawn, where each has its own. */
  chosen?: Station | undefined;
  /** Changes a length of the game, by its path; without it nothing can be dragged. */
  onChange?: (path: string, metres: number) => void;
};

/** The step from which to which an edge is dragged: half a foot, a tenth of a metre, a quarter of a stick. */
export function stepOf(sizes: Sizes): number {
  if (sizes.unit === 'ft') return METRES_PER.ft / 2;
  return sizes.unit === 'm' ? 0.1 : unitM(sizes) / 4;
}

/** How far out a plan is drawn: by leaps, so that it holds still while an edge is dragged. */
export function steadyReach(farthestM: number): number {
  return 1.35 ** Math.ceil(Math.log(targetReach([{ radiusM: farthestM, label: '' }])) / Math.log(1.35));
}

const good = (metres: number | null | undefined): metres is number => typeof metres === 'number' && Number.isFinite(metres) && metres > 0;

/** What is aimed at, to scale, while it is being designed; edges can be dragged, and are read out in the game's unit. */
export function TargetPlan({ spec, units, chosen, onChange }: Props) {
  const { scoring, sizes } = spec;
  const set = (path: string) => (metres: number) => onChange?.(path, metres);
  const drag = onChange !== undefined;
  const says = (metres: number) => sayRadius(metres, sizes, units);
  const stepM = stepOf(sizes);
  const handle = (name: string, path: string, radiusM: number): TargetHandle => ({
    radiusM,
    name,
    says: says(radiusM),
    stepM,
    onMove: set(path),
  });

  switch (scoring.scheme) {
    case 'ring_points': {
      const rings = scoring.rings.filter((ring, i) => good(ring.radiusM) && ring.radiusM > (scoring.rings[i - 1]?.radiusM ?? 0));
      const drawn = rings.map((ring) => ({ radiusM: ring.radiusM, label: Number.isFinite(ring.points) ? String(ring.points) : '?' }));
      const handles = scoring.rings.flatMap((ring, i) =>
        good(ring.radiusM) ? [handle(`Edge of ring ${i + 1}`, `scoring.rings.${i}.radiusM`, ring.radiusM)] : [],
      );
      return <Plan rings={drawn} handles={drag ? handles : []} units={units} sizes={sizes} />;
    }
    case 'hits':
    case 'ladder':
    case 'streak': {
      const { radiusM } = scoring;
      const word = { hits: 'hit', ladder: 'up', streak: 'goes on' }[scoring.scheme];
      if (!good(radiusM)) return <p className={styles.note}>Only the hole itself counts.</p>;
      return (
        <Plan
          rings={[{ radiusM, label: word }]}
          handles={drag ? [handle('Edge of the zone', 'scoring.radiusM', radiusM)] : []}
          units={units}
          sizes={sizes}
        />
      );
    }
    case 'total_left':
    case 'nearest_wins':
    case 'club_trial': {
      const { farM } = scoring;
      if (!good(farM)) return null;
      const unit = leftUnit(sizes.unit === 'm' ? 'metric' : units);
      const grip = {
        radiusM: farM,
        name: 'Not measured outside',
        says: formatLength(farM, unit),
        stepM: unit === 'm' ? 0.5 : METRES_PER.ft,
        onMove: set('scoring.farM'),
      };
      return <Plan rings={[{ radiusM: farM, label: 'measured' }]} handles={drag ? [grip] : []} units={units} sizes={sizes} />;
    }
    case 'landing_zone': {
      const station = chosen ?? spec.stations[0];
      const at = spec.stations.findIndex((one) => one.key === station?.key);
      if (!station || !good(station.distanceM) || !good(station.carryM) || !good(scoring.sizeM)) return null;
      const finishM = good(scoring.finishM) ? scoring.finishM : null;
      const carrySays = formatLength(station.carryM, units === 'metric' ? 'm' : station.distanceUnit);
      const carryStep = station.distanceUnit === 'm' ? 0.5 : METRES_PER.ft * (station.distanceUnit === 'ft' ? 1 : 1.5);
      return (
        <div className={styles.landing}>
          <LandingPlan
            label={`Station ${at + 1}, ${sayStation(station, units)}, from above: lands at ${carrySays}`}
            distanceM={station.distanceM}
            carryM={station.carryM}
            shape={scoring.shape}
            sizeM={scoring.sizeM}
            finishM={finishM}
            {...(drag
              ? {
                  carry: { name: `Lands at, station ${at + 1}`, says: carrySays, stepM: carryStep, onMove: set(`stations.${at}.carryM`) },
                  size: { name: 'Edge of the landing zone', says: says(scoring.sizeM), stepM, onMove: set('scoring.sizeM') },
                  ...(finishM === null
                    ? {}
                    : { finish: { name: 'Edge of the zone to finish in', says: says(finishM), stepM, onMove: set('scoring.finishM') } }),
                }
              : { figures: { carry: carrySays, size: says(scoring.sizeM), finish: finishM === null ? null : says(finishM) } })}
          />
          <p className="small-print mt-1">
            Station {at + 1}, {sayStation(station, units)}.{drag && ' Open another station to see its plan.'}
          </p>
        </div>
      );
    }
    case 'hole_out': {
      const par = spec.stations.reduce(
        (sum, station) => sum + (station.par ?? 2) * (Number.isFinite(station.balls) ? station.balls : 0),
        0,
      );
      return (
        <div className={styles.card}>
          <p className={styles.figure}>
            par <b className="fig">{par}</b>
          </p>
          <ol className={styles.list}>
            {spec.stations.map((station, i) => (
              <li key={station.key}>
                <span>
                  {i + 1}. {good(station.distanceM) ? sayStation(station, units) : say(station.shotType)}
                </span>
                <b className="fig">{station.par ?? 2}</b>
              </li>
            ))}
          </ol>
        </div>
      );
    }
    case 'shot_matrix':
      return (
        <div className={styles.card}>
          <ul className={styles.cells} aria-label="The shots of the matrix">
            {cellsOf(scoring).map((cell, i) => (
              <li key={i}>
                {Object.values(cell)
                  .map((word) => say(word!))
                  .join(' ')}
              </li>
            ))}
          </ul>
        </div>
      );
  }
}

type PlanProps = { rings: TargetRing[]; handles: TargetHandle[]; units: UnitSystem; sizes: Sizes };

function Plan({ rings, handles, units, sizes }: PlanProps) {
  const farthest = Math.max(0.5, ...rings.map((ring) => ring.radiusM));
  return (
    <div className={styles.plan}>
      <Target
        label={`The target from above: rings at ${rings.map((ring) => sayRadius(ring.radiusM, sizes, units)).join(', ') || 'no distance yet'}`}
        rings={rings}
        handles={handles}
        reachM={steadyReach(farthest)}
        system={sizes.unit === 'm' ? 'metric' : units}
        size={420}
      />
      <p className="small-print mt-1">
        {[
          isBodyMeasure(sizes.unit) && `Drawn for ${formatLength(unitM(sizes), leftUnit(units), 2)} each.`,
          handles.length > 0 && 'Drag an edge, or type.',
        ]
          .filter(Boolean)
          .join(' ')}
      </p>
    </div>
  );
}
