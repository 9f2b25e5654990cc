import type { WaysFrom } from '@/core/play/by-way';
import { sayStation } from '@/core/game/words/say-station';
import { capital, counted, formatLeft } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import styles from './summary.module.scss';

/** What each club of a trial did, or each of the shots compared, lie by lie, the nearest on average first. */
export function WayTable({ from, system }: { from: WaysFrom[]; system: UnitSystem }) {
  return from.map(({ station, stationNo, what, ways, tooClose }) => {
    const name = (way: WaysFrom['ways'][number]) => (what === 'club' ? `the ${way.way}` : way.way);
    const onGreen = ways.some((one) => one.onGreen);
    const strokes = ways.some((one) => one.strokes);
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
              <th>{what === 'club' ? 'Club' : 'Shot'}</th>
              <th>Left on average</th>
              <th>Spread</th>
              {onGreen && <th>On the green</th>}
              {onGreen && <th>Second chips</th>}
              {strokes && <th>Strokes</th>}
            </tr>
          </thead>
          <tbody>
            {ways.map((one) => (
              <tr key={one.way}>
                <th scope="row">
                  {one.way} <span className="small-print">{counted(one.balls, 'ball')}</span>
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
        {ways.length > 1 && (
          <p className="small-print">
            {tooClose
              ? `${capital(name(ways[0]!))} and ${name(ways[1]!)} are too close to call.`
              : `${capital(name(ways[0]!))} finished closest on average.`}
          </p>
        )}
      </div>
    );
  });
}
