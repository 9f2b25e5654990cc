import type { Standing } from '@/core/play/play';
import { schemeOf } from '@/core/game/scoring';
import styles from './play.module.scss';

/** What each ball came to so far, where there is no distance to draw. */
export function Card({ standing: { played, phase } }: { standing: Standing }) {
  const scheme = schemeOf(phase.scoring);
  const stations = new Map(phase.stations.map((station) => [station.key, station]));
  return (
    <ol className={styles.card} aria-label="Balls so far">
      {played
        .filter((shot) => shot.phase === phase.index)
        .map((shot) => {
          const station = stations.get(shot.stationKey)!;
          const short = scheme.mark?.(shot, phase) ?? (scheme.success(shot, station, phase) ? '✓' : '–');
          return (
            <li key={shot.shotId} className="fig" aria-label={scheme.verdict(shot, station, phase)}>
              {short}
            </li>
          );
        })}
    </ol>
  );
}
