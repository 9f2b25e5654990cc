import Link from 'next/link';
import type { LevelLine } from '@/core/forecast/level-chart';
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

type Props = { slug: string; gameId: string; spec: GameSpec; units: UnitSystem; chart: readonly LevelLine[] };

/** What each level scores in a game: to be pinned up beside it. */
export function LevelsPage({ slug, gameId, spec, units, chart }: Props) {
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
        <Link href={`/a/${slug}/games/${gameId}`} className="btn btn-outline-dark no-print">
          To the game
        </Link>
        {chart.length > 0 && <PrintButton variant="outline-dark" />}
      </div>
      <p className="small-print">{sayGame(spec, units)}</p>
      {chart.length === 0 ? (
        <p className="empty">Its stations are called while it is played, so nobody can say beforehand what a good score is.</p>
      ) : (
        <>
          <table className={styles.chart}>
            <caption>
              {sayUnit(unit, units)}, {scheme.better(spec.scoring) === 'higher' ? 'more is better' : 'less is better'}
              {spec.goal !== null && `; goal ${scoreFigure(spec.goal, unit, units)} (dashed)`}
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
                    <span className="visually-hidden">
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
            Bar: 8 games in 10; mark: median; 10,000 simulated games a level. “By luck”: how much one player’s scores differ from game to
            game and day to day. “By player”: how much players of the same level differ from each other, which records would tell. Both as
            standard deviations.
          </p>
        </>
      )}
    </div>
  );
}
