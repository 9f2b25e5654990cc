import { allStations } from '@/core/game/station';
import Link from 'next/link';
import { sayStation, sayStationLie, saySpot } from '@/core/game/words/say-station';
import { phasesOf } from '@/core/game/phases';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { GameRow } from '@/server/data';
import { playAddress } from '@/core/exchange/play-address';
import styles from './games.module.scss';
import type { OwnLengths } from '@/core/game/sizes';
import type { Candidate } from '../forecast/use-beliefs';
import { StartPlay } from './start-play';

type Props = {
  slug: string;
  game: GameRow;
  /** Which of the stations it is, from 0; -1 for one that the game has no more. */
  at: number;
  stationKey: string;
  units: UnitSystem;
  players: Candidate[];
  coach: OwnLengths;
  /** Sessions of this game that are not finished. */
  running: { sessionId: string; names: string; balls: number; when: string }[];
};

/** Where the code on a station's card leads: on with the game at this station, or into a new one that begins here. */
export function StationDoor({ slug, game, at, stationKey, units, players, coach, running }: Props) {
  const { spec, gameId } = game;
  const station = allStations(spec)[at];
  const decides = phasesOf(spec).every((phase) => phase.lots === null);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '40rem' }}>
      <p className="mb-1">
        <Link href={`/a/${slug}/games/${gameId}`}>{spec.title}</Link>
      </p>
      {station ? (
        <div className={`${styles.stationLine} mb-3`}>
          <span className={`${styles.number} fig`}>{at + 1}</span>
          <span>
            <h1 className="fs-3">{sayStation(station, units)}</h1>
            <span className="small-print">{[saySpot(station), sayStationLie(station)].filter(Boolean).join(' · ')}</span>
            {station.note && <span className={styles.stationNote}>{station.note}</span>}
          </span>
        </div>
      ) : (
        <p className="empty">This station is no longer in the game. Print the cards again.</p>
      )}
      {station && decides && <p>This game sets the order of stations, so it opens at the next one.</p>}
      {running.length > 0 && (
        <section className="mb-4">
          <h2 className="mb-2">Go on with</h2>
          <ul className="rows">
            {running.map(({ sessionId, names, balls, when }) => (
              <li key={sessionId}>
                <a href={playAddress(sessionId, stationKey)} className="row-link">
                  <b>{names}</b>
                  <span className="small-print">
                    {when} · {counted(balls, 'ball')} so far
                  </span>
                </a>
              </li>
            ))}
          </ul>
        </section>
      )}
      {station && <StartPlay slug={slug} source={{ gameId }} spec={spec} players={players} coach={coach} at={stationKey} />}
    </div>
  );
}
