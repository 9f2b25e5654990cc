import Link from 'next/link';
import type { LevelLine } from '@/core/forecast/level-chart';
import { atStation } from '@/core/game/at-station';
import { sayStation, sayStationLie } from '@/core/game/words/say-station';
import { capital, counted } from '@/core/units/format';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { sayUnit, scoreFigure } from '@/core/game/words/say-score';
import { sayLevel } from '@/core/golf/level';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { axisOf, bareFigure, orMore } from '../forecast/score-axis';
import { ScoreTape } from '../forecast/score-tape';
import { PrintButton } from '../form/print-button';
import { sayGame } from './game-meta';
import styles from './levels.module.scss';

type Props = {
  slug: string;
  gameId: string;
  whole: GameSpec;
  /** The game at one of its stations; null for all of it. */
  alone: GameSpec | null;
  units: UnitSystem;
  chart: readonly LevelLine[];
};

/** What each level scores in a game: to be pinned up beside it. */
export function LevelsPage({ slug, gameId, whole, alone, units, chart }: Props) {
  const spec = alone ?? whole;
  const only = alone?.stations[0];
  const each = whole.stations.length > 1 ? whole.stations.filter(({ key }) => atStation(whole, key)) : [];
  const path = `/a/${slug}/games/${gameId}`;
  const scheme = schemeOf(spec.scoring);
  const unit = scheme.unit(spec.scoring);
  const axis = axisOf(
    chart.map(({ outlook }) => outlook),
    spec.goal,
  );
  const says = (score: number) => bareFigure(score, spec, units);
  const differ = (sd: number) =>
    unit === 'length' ? (units === 'metric' ? `${sd.toFixed(1)} m` : `${(sd / METRES_PER.ft).toFixed(0)} ft`) : sd.toFixed(1);
  return (
    <div className="p-3 p-md-4">
      <div className={styles.head}>
        <h1>
          {spec.title} <span className="beside">by level</span>
        </h1>
        <Link href={path} className="btn btn-outline-dark no-print">
          To the game
        </Link>
        {chart.length > 0 && <PrintButton variant="outline-dark" />}
      </div>
      <p className="small-print">
        {only ? `${counted(only.balls, 'ball')}: ${sayStation(only, units)}, ${sayStationLie(only)}` : sayGame(whole, units)}
      </p>
      {each.length > 0 && (
        <nav aria-label="Which stations" className={`${styles.stations} no-print`}>
          <Link href={`${path}/levels`} aria-current={only ? undefined : 'page'}>
            All of it
          </Link>
          {each.map((station, i) => (
            <Link key={station.key} href={`${path}/levels?at=${station.key}`} aria-current={station.key === only?.key ? 'page' : undefined}>
              <b className="fig">{i + 1}</b> {sayStation(station, units)}
            </Link>
          ))}
        </nav>
      )}
      {chart.length === 0 ? (
        <p className="empty">Its stations are called while it is played, so nobody can say beforehand what a good score is.</p>
      ) : (
        <>
          <table className={styles.chart}>
            <caption>
              {capital(sayUnit(unit, units))}, {scheme.better(spec.scoring) === 'higher' ? 'more is better' : 'less is better'}
              {spec.goal !== null && `; goal ${scoreFigure(spec.goal, unit, units)}`}
              {spec.goal !== null && <span className={styles.bar}> (dashed)</span>}
            </caption>
            <thead>
              <tr>
                <th scope="col">Level</th>
                <th scope="col">Median</th>
                <th scope="col">8 games in 10</th>
                {spec.goal !== null && <th scope="col">Goal met</th>}
                <th scope="col">By luck</th>
                <th scope="col">By player</th>
              </tr>
            </thead>
            <tbody>
              {chart.map(({ level, outlook, luckSd, peopleSd }) => (
                <tr key={level}>
                  <th scope="row" className="fig">
                    {sayLevel(level)}
                  </th>
                  <td className={`fig ${styles.typical}`}>{orMore(outlook, outlook.p50, says)}</td>
                  <td className={styles.tape}>
                    <ScoreTape outlook={outlook} axis={axis} goal={spec.goal} say={says} own={false} />
                    <span className={`fig ${styles.range}`}>
                      {orMore(outlook, outlook.p10, says)} to {orMore(outlook, outlook.p90, says)}
                    </span>
                  </td>
                  {spec.goal !== null && <td className="fig">{Math.round(100 * (outlook.goalChance ?? 0))}%</td>}
                  <td className="fig">± {differ(luckSd)}</td>
                  <td className="fig">± {differ(peopleSd)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="small-print">
            <span className={styles.bar}>Bar: 8 games in 10; mark: median. </span>
            10,000 simulated games a level. “By luck”: how much one player’s scores differ from game to game and day to day. “By player”:
            how much players of the same level differ from each other, which records would tell. Both as standard deviations.
          </p>
        </>
      )}
    </div>
  );
}
