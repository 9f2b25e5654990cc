import type { Standing } from '@/core/play/play';
import { schemeOf } from '@/core/game/scoring';
import type { Turn } from '@/core/game/turn';
import { leftInterval } from '@/core/shot/evidence';
import { settledMedian } from '@/core/shot/median-left';
import type { Shot } from '@/core/shot/shot';
import type { UnitSystem } from '@/core/units/length';
import { Tape } from '@/ui/tape';
import { Target, targetReach, type FromHole } from '@/ui/target';
import styles from './play.module.scss';

/** The rings of what is being played; where there are none, as far as balls are measured. */
function ringsOf({ phase }: Standing, turn: Turn) {
  const keys = schemeOf(phase.scoring).asks(phase, turn.station);
  const rings = keys.flatMap((key) =>
    key.kind === 'ring' ? [{ radiusM: key.edgeM!, label: key.worth === null ? '' : String(key.worth) }] : [],
  );
  const far = keys.find((key) => key.kind === 'outside')?.edgeM ?? 0;
  return rings.length > 0 || far === 0 ? rings : [{ radiusM: far, label: '' }];
}

/** A putt that only counts in the hole is drawn as far out as it may roll by. */
export const reachOf = (standing: Standing, turn: Turn) => targetReach([{ radiusM: 1.2, label: '' }, ...ringsOf(standing, turn)]);

type DrawnProps = { standing: Standing; turn: Turn; system: UnitSystem; placing: FromHole | null; onPlace: (place: FromHole) => void };

/** The target and the tape with the balls of this station. */
export function Drawn({ standing, turn, system, placing, onPlace }: DrawnProps) {
  const rings = ringsOf(standing, turn);
  const here = standing.played.filter((shot) => shot.stationKey === turn.station.key && shot.phase === standing.phase.index);
  const left = here.map(leftInterval).filter((interval) => interval !== null);
  return (
    <>
      <div className={styles.target}>
        <Target
          label="The target from above: tap where the ball stopped"
          rings={rings}
          reachM={rings.length > 0 ? targetReach(rings) : reachOf(standing, turn)}
          system={system}
          balls={here.flatMap((shot) => placeOf(shot) ?? [])}
          placing={placing}
          onPlace={onPlace}
          size={300}
        />
      </div>
      {placing === null && (
        <div className={styles.tape}>
          <Tape
            label={`Balls at this station: ${here.length}`}
            balls={left}
            rings={rings.map((ring) => ({ edgeM: ring.radiusM, label: ring.label }))}
            medianM={settledMedian(left)}
            system={system}
            last={standing.played.at(-1)?.stationKey === turn.station.key}
          />
        </div>
      )}
    </>
  );
}

/** Where a ball is drawn, if its direction is known. */
function placeOf(shot: Shot): FromHole | null {
  if (shot.leftM === null || shot.bearingDeg === null) return null;
  const angle = (shot.bearingDeg * Math.PI) / 180;
  return { right: shot.leftM * Math.sin(angle), beyond: shot.leftM * Math.cos(angle) };
}
