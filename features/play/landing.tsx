import { sayAtStation } from '@/core/game/words/say-station';
import { sayRadius } from '@/core/game/sizes';
import { schemeOf } from '@/core/game/scoring';
import type { Turn } from '@/core/game/turn';
import type { Standing } from '@/core/play/play';
import type { UnitSystem } from '@/core/units/length';
import { LandingPlan } from '@/ui/landing-plan';
import styles from './play.module.scss';

type Props = { standing: Standing; turn: Turn; system: UnitSystem };

/** Where the ball should land, and where it should finish, from above; nothing where the game has no such zone. */
export function Landing({ standing: { phase }, turn: { station }, system }: Props) {
  const zones = schemeOf(phase.scoring).zones(phase.scoring);
  const zone = zones.find(({ of }) => of === 'landing');
  const finish = zones.find(({ of }) => of === 'finish');
  if (!zone || station.carryM === null) return null;
  const says = (metres: number) => sayRadius(metres, phase.sizes, system);
  const carry = sayAtStation(station.carryM, station, system);
  return (
    <div className={styles.landing}>
      <LandingPlan
        label={`From above: land at ${carry}, within ${says(zone.radiusM)}${finish ? `; near the hole is within ${says(finish.radiusM)}` : ''}`}
        distanceM={station.distanceM}
        carryM={station.carryM}
        shape={zone.strip ? 'strip' : 'circle'}
        sizeM={zone.radiusM}
        finishM={finish?.radiusM ?? null}
        figures={{ carry, size: says(zone.radiusM), finish: finish ? says(finish.radiusM) : null }}
      />
    </div>
  );
}
