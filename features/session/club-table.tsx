import type { ClubsFrom } from '@/core/play/by-club';
import { sayStation } from '@/core/game/words/say-station';
import { counted, formatLeft } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import styles from './summary.module.scss';

/** What each club of a trial did, lie by lie, the nearest on average first. */
export function ClubTable({ from, system }: { from: ClubsFrom[]; system: UnitSystem }) {
  return from.map(({ station, stationNo, clubs, tooClose }) => {
    const onGreen = clubs.some((one) => one.onGreen);
    const strokes = clubs.some((one) => one.strokes);
    return (
      <div key={station.key} className={styles.clubs}>
        {from.length > 1 && (
          <h3>
            {stationNo}. {sayStation(station, system)}
          </h3>
        )}
        <table>
          <thead>
            <tr>
              <th>Club</th>
              <th>Left on average</th>
              <th>Spread</th>
              {onGreen && <th>On the green</th>}
              {onGreen && <th>Second chips</th>}
              {strokes && <th>Strokes</th>}
            </tr>
          </thead>
          <tbody>
            {clubs.map((one) => (
              <tr key={one.club}>
                <th scope="row">
                  {one.club} <span className="small-print">{counted(one.balls, 'ball')}</span>
                </th>
                <td className="fig">{formatLeft(one.meanM, system)}</td>
                <td className="fig">{one.spreadM === null ? '–' : `± ${formatLeft(one.spreadM, system)}`}</td>
                {onGreen && <td className="fig">{one.onGreen ? `${one.onGreen.balls} of ${one.onGreen.of}` : '–'}</td>}
                {onGreen && <td className="fig">{one.onGreen ? one.onGreen.of - one.onGreen.balls : '–'}</td>}
                {strokes && <td className="fig">{one.strokes ? `${one.strokes.mean.toFixed(1)} (${one.strokes.of})` : '–'}</td>}
              </tr>
            ))}
          </tbody>
        </table>
        {clubs.length > 1 && (
          <p className="small-print">
            {tooClose
              ? `The ${clubs[0]!.club} and the ${clubs[1]!.club} are too close to call.`
              : `The ${clubs[0]!.club} finished closest on average.`}
          </p>
        )}
      </div>
    );
  });
}
