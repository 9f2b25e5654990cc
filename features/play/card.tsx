import type { Standing } from '@/core/play/play';
import { schemeOf } from '@/core/game/scoring';
import styles from './play.module.scss';

/** What each ball came to so far, where there is no distance to draw, and what that makes. */
export function Card({ standing: { played, phase, notes, now } }: { standing: Standing }) {
  // What stands beside the score isn't said again.
  const more = notes.filter(({ value }) => !now || !value.startsWith(now));
  const scheme = schemeOf(phase.scoring);
  const stations = new Map(phase.stations.map((station, i) => [station.key, { station, no: i + 1 }]));
  const withPar = scheme.stationSays.includes('par');
  return (
    <div className={styles.cardBox}>
      <ol className={styles.card} aria-label="Balls so far">
        {played
          .filter((shot) => shot.phase === phase.index)
          .map((shot) => {
            const { station, no } = stations.get(shot.stationKey)!;
            const short = scheme.mark?.(shot, phase) ?? (scheme.success(shot, station, phase) ? '✓' : '–');
            const par = withPar ? `par ${station.par ?? 2}` : '';
            return (
              <li key={shot.shotId} className="fig" aria-label={[scheme.verdict(shot, station, phase), par].filter(Boolean).join(', ')}>
                {short}
                {withPar && (
                  <small>
                    {no} · {par}
                  </small>
                )}
              </li>
            );
          })}
      </ol>
      {played.length > 0 && more.length > 0 && (
        <dl className={styles.facts}>
          {more.map(({ label, value }) => (
            <div key={label}>
              <dt>{label}</dt>
              <dd className="fig">{value}</dd>
            </div>
          ))}
        </dl>
      )}
    </div>
  );
}
