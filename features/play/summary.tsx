import { counted } from '@/core/units/format';
import { sayStation } from '@/core/game/describe';
import { goalMet, type Standing } from '@/core/game/play';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { missDirection } from '@/core/shot/direction';
import { leftInterval } from '@/core/shot/evidence';
import { settledMedian } from '@/core/shot/median-left';
import type { UnitSystem } from '@/core/units/length';
import { Tape } from '@/ui/tape';
import styles from './summary.module.scss';

type Props = {
  spec: GameSpec;
  standing: Standing;
  /** Of earlier sessions; null before the first. */
  best: { score: number; sessions: number } | null;
  system: UnitSystem;
};

/** What came of a game: the score, against goal and best; the tape; station by station. */
export function Summary({ spec, standing, best, system }: Props) {
  const { score, stations, played } = standing;
  const left = played.map(leftInterval).filter((interval) => interval !== null);
  const rings = schemeOf(spec.scoring)
    .asks(spec.scoring)
    .flatMap((key) => (key.kind === 'ring' ? [{ edgeM: key.edgeM!, label: String(key.points) }] : []));
  const direction = missDirection(played);
  const measured = left.filter(({ from, to }) => from === to).length;
  const most = Math.max(1, ...stations.map((station) => station.score));
  return (
    <div className={styles.summary}>
      <div className={styles.head}>
        <output className="fig" aria-label="Score">
          {score}
        </output>
        <p>
          {spec.goal !== null && (
            <>
              goal {spec.goal}: <b>{goalMet(spec, score) ? 'reached' : `${Math.abs(spec.goal - score)} short`}</b>
              <br />
            </>
          )}
          {standing.over ? <BestLine spec={spec} score={score} best={best} /> : <b>stopped early</b>}
          <br />
          {played.length} of {standing.turns} balls
        </p>
      </div>
      {direction && (
        <p className={styles.say}>
          <b>
            {direction.word === 'left' || direction.word === 'right' ? 'Missed ' : 'Finished '}
            {direction.word}, {direction.balls} of {direction.of}
          </b>{' '}
          whose direction is known.
        </p>
      )}
      <Tape
        label={`All ${played.length} balls of the session`}
        balls={left}
        rings={rings}
        medianM={settledMedian(left)}
        system={system}
        width={380}
      />
      <p className="small-print">
        {left.length} balls · {measured} with a distance, holed ones included
        {measured < left.length && ` · hollow marks: only the ring is known (${left.length - measured})`}
      </p>
      <table className={styles.stations}>
        <thead className="visually-hidden">
          <tr>
            <th>Station</th>
            <th>Share</th>
            <th>Balls</th>
            <th>Points</th>
          </tr>
        </thead>
        <tbody>
          {stations.map(({ station, score: points, balls }) => (
            <tr key={station.key}>
              <th scope="row">{sayStation(station, system)}</th>
              <td className={styles.bar}>
                <span style={{ width: `${(100 * points) / most}%` }} />
              </td>
              <td className="small-print">{counted(balls, 'ball')}</td>
              <td className="fig">{points}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function BestLine({ spec, score, best }: { spec: GameSpec; score: number; best: Props['best'] }) {
  if (!best) return <b>first time: the mark to beat</b>;
  const of = counted(best.sessions, 'earlier round');
  const gain = schemeOf(spec.scoring).better === 'higher' ? score - best.score : best.score - score;
  if (gain > 0)
    return (
      <>
        <b>personal best</b>, {gain} better than {best.score}, of {of}
      </>
    );
  return (
    <>
      {gain === 0 ? 'equals the best' : 'best'} {best.score}, of {of}
    </>
  );
}
