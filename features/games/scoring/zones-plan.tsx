import { schemeOf } from '@/core/game/scoring';
import type { Zone } from '@/core/game/scoring/zone';
import { isBodyMeasure, sayRadius, sizeStepM, unitM, type Sizes } from '@/core/game/sizes';
import type { GameSpec } from '@/core/game/spec';
import type { Station } from '@/core/game/station';
import { formatLength, leftUnit } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { Target, targetReach, type TargetHandle } from '@/ui/target';
import styles from '../plan.module.scss';

export type DrawingProps = {
  spec: GameSpec;
  units: UnitSystem;
  /** The station whose plan is drawn, where each has its own. */
  chosen?: Station | undefined;
  /** Changes a length of the game, by its path; without it nothing can be dragged. */
  onChange?: (path: string, metres: number) => void;
};

/** Whether a length can be drawn: while a game is being designed it may be missing. */
export const drawable = (metres: number | null | undefined): metres is number =>
  typeof metres === 'number' && Number.isFinite(metres) && metres > 0;

/** How far out a plan is drawn: by leaps, so that it holds still while an edge is dragged. */
export function steadyReach(farthestM: number): number {
  return 1.35 ** Math.ceil(Math.log(targetReach([{ radiusM: farthestM, label: '' }])) / Math.log(1.35));
}

/** Scoring from above: the zones round the hole, as the way of scoring names them. */
export function ZonesPlan({ spec: { scoring, sizes }, units, onChange }: DrawingProps) {
  const zones = schemeOf(scoring).zones(scoring);
  const drawn = zones.filter(({ radiusM }, i) => drawable(radiusM) && radiusM > (zones[i - 1]?.radiusM ?? 0));
  if (zones.length === 1 && drawn.length === 0)
    return zones[0]!.of === 'measured' ? null : <p className={styles.note}>Only the hole itself counts.</p>;
  const handles = zones.filter(({ radiusM }) => drawable(radiusM)).map((zone) => handleOf(zone, sizes, units, onChange));
  const dragged = onChange ? handles : [];
  return (
    <div className={styles.plan}>
      <Target
        label={`The target from above: rings at ${drawn.map(({ radiusM }) => sayRadius(radiusM, sizes, units)).join(', ') || 'no distance yet'}`}
        rings={drawn.map(({ radiusM, does, label = does }) => ({ radiusM, label }))}
        handles={dragged}
        reachM={steadyReach(Math.max(0.5, ...drawn.map(({ radiusM }) => radiusM)))}
        system={sizes.unit === 'm' ? 'metric' : units}
        size={420}
      />
      <p className="small-print mt-1">
        {[
          isBodyMeasure(sizes.unit) && `Drawn for ${formatLength(unitM(sizes), leftUnit(units), 2)} each.`,
          dragged.length > 0 && 'Drag an edge, or type.',
        ]
          .filter(Boolean)
          .join(' ')}
      </p>
    </div>
  );
}

/** The edge of a zone to drag. How far out balls are measured is said in plain lengths, whatever the zones are laid out with. */
function handleOf(zone: Zone, sizes: Sizes, units: UnitSystem, onChange: DrawingProps['onChange']): TargetHandle {
  const { radiusM, edge, of, path } = zone;
  const plain = leftUnit(sizes.unit === 'm' ? 'metric' : units);
  const measured = of === 'measured';
  return {
    radiusM,
    name: edge,
    says: measured ? formatLength(radiusM, plain) : sayRadius(radiusM, sizes, units),
    stepM: measured ? (plain === 'm' ? 0.5 : METRES_PER.ft) : sizeStepM(sizes),
    onMove: (metres) => onChange?.(`scoring.${path}`, metres),
  };
}
