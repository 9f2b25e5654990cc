'use client';

import { ballsOf, type GameSpec } from '@/core/game/spec';
import { counted, formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { Target } from '@/ui/target';
import styles from './games.module.scss';

/** The target to scale while it is being typed: rings that make sense so far, from the hole outwards. */
export function TargetPreview({ spec, units }: { spec: GameSpec; units: UnitSystem }) {
  const { rings = [], holedPoints, ringUnit } = spec.scoring;
  const drawn = rings.filter((ring, i) => ring.radiusM > 0 && Number.isFinite(ring.radiusM) && ring.radiusM > (rings[i - 1]?.radiusM ?? 0));
  const balls = ballsOf({ stations: (spec.stations ?? []).filter((station) => station.balls > 0) });
  const most = Number.isFinite(holedPoints) ? balls * holedPoints : null;
  return (
    <div>
      <div className={styles.preview}>
        <Target
          label={`The target from above: rings at ${drawn.map((ring) => formatLength(ring.radiusM, ringUnit)).join(', ') || 'no distance yet'}`}
          rings={drawn.map((ring) => ({ radiusM: ring.radiusM, label: Number.isFinite(ring.points) ? String(ring.points) : '?' }))}
          system={ringUnit === 'm' ? 'metric' : units}
          size={340}
        />
      </div>
      <p className="small-print mt-2 mb-3">
        {counted(spec.stations?.length ?? 0, 'station')} · <b className="fig fs-6">{balls}</b> balls
        {most !== null && (
          <>
            {' '}
            · at most <b className="fig fs-6">{most}</b> points
          </>
        )}{' '}
        · a ball on the line scores the inner ring
      </p>
    </div>
  );
}
