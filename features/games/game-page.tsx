import Link from 'next/link';
import { sayStation, sayStationLie } from '@/core/game/describe';
import { schemeOf } from '@/core/game/scoring';
import { ballsOf } from '@/core/game/spec';
import { counted, formatLength } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { GameRow } from '@/server/data';
import { Target } from '@/ui/target';
import styles from './games.module.scss';
import { SIDE } from './side';
import { StartPlay } from './start-play';

type Props = { slug: string; game: GameRow; units: UnitSystem; players: { playerId: string; name: string }[] };

/** A game as it will be played: what to set up, what it is worth, and who plays it now. */
export function GamePage({ slug, game, units, players }: Props) {
  const { spec } = game;
  const { rings, holedPoints, ringUnit } = spec.scoring;
  const edge = (metres: number) => formatLength(metres, units === 'metric' ? 'm' : ringUnit === 'm' ? 'm' : 'ft', 2);
  return (
    <div className="desk" style={SIDE}>
      <section>
        <div className="d-flex justify-content-between align-items-start gap-3">
          <h1>{spec.title}</h1>
          <Link href={`/a/${slug}/games/${game.gameId}/edit`} className="btn btn-outline-dark flex-shrink-0">
            Change
          </Link>
        </div>
        <p className="small-print mb-3">
          {schemeOf(spec.scoring).label} · version {game.version} · {counted(ballsOf(spec), 'ball')}
          {spec.goal !== null && ` · goal ${spec.goal}`}
        </p>
        <StartPlay slug={slug} gameId={game.gameId} players={players} />
        <h2 className="mt-4 mb-1">Stations</h2>
        <ol className="rows">
          {spec.stations.map((station, i) => (
            <li key={station.key}>
              <span className={styles.stationLine}>
                <span className={`${styles.number} fig`}>{i + 1}</span>
                <span>
                  <b className={styles.stationName}>{sayStation(station, units)}</b>
                  <br />
                  <span className="small-print">{sayStationLie(station)}</span>
                </span>
              </span>
              <span>
                <b className="fig fs-5">{station.balls}</b> <span className="small-print">{station.balls === 1 ? 'ball' : 'balls'}</span>
              </span>
            </li>
          ))}
        </ol>
      </section>
      <section>
        <h2 className="mb-2">Rings at the hole</h2>
        <Target
          label="The target from above"
          rings={rings.map((ring) => ({ radiusM: ring.radiusM, label: String(ring.points) }))}
          system={units}
          size={460}
        />
        <p className="mt-2">
          Holed <b>{holedPoints}</b>
          {rings.map((ring) => (
            <span key={ring.key}>
              , inside {edge(ring.radiusM)} <b>{ring.points}</b>
            </span>
          ))}
          , outside <b>0</b>. A ball on the line scores the inner ring.
        </p>
      </section>
    </div>
  );
}
