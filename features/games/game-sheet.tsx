import Link from 'next/link';
import { landingQueryOf } from '@/core/tools/landing-address';
import { nounOf } from '@/core/units/format';
import { sayAtStation, sayGround, sayStation, sayStationLie, saySpot } from '@/core/game/words/say-station';
import { leadInWords } from '@/core/game/words/say-phase';
import { goalInWords } from '@/core/game/words/goal-words';
import { rulesInWords, scoringInWords } from '@/core/game/words/say-game';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import type { UnitSystem } from '@/core/units/length';
import styles from './games.module.scss';
import { TargetPlan } from './target-plan';

type Props = { spec: GameSpec; units: UnitSystem };
type LinesProps = Props & {
  /** Where the landing spot of a station is worked out, without its figures. */
  landing?: string;
};

/** The stations of a game as they are played; a phase with stations of its own says them first. */
export function StationLines({ spec, units, landing }: LinesProps) {
  const own = spec.leadIn.filter(({ stations }) => stations !== null);
  if (own.length === 0) return <Stations spec={spec} units={units} landing={landing} />;
  return (
    <>
      {own.map((phase, i) => (
        <div key={i}>
          <h3 className="mt-2">{phase.title}</h3>
          <Stations spec={{ ...phase, stations: phase.stations! }} units={units} landing={landing} />
        </div>
      ))}
      <h3 className="mt-3">What counts</h3>
      <Stations spec={spec} units={units} landing={landing} />
    </>
  );
}

function Stations({
  spec,
  units,
  landing,
}: {
  spec: Pick<GameSpec, 'scoring' | 'stations'>;
  units: UnitSystem;
  landing: string | undefined;
}) {
  const { scoring, stations } = spec;
  const { countsBalls, stationSays, clubs } = schemeOf(scoring);
  if (stations.length === 0) return <p className="small-print">None yet: you call them as you walk.</p>;
  return (
    <ol className="rows">
      {stations.map((station, i) => (
        <li key={station.key}>
          <span className={styles.stationLine}>
            <span className={`${styles.number} fig`}>{i + 1}</span>
            <span>
              <b className={styles.stationName}>{sayStation(station, units)}</b>
              <br />
              <span className="small-print">
                {[saySpot(station), sayStationLie(station), sayGround(station, units)].filter(Boolean).join(' · ')}
                {station.shape && ` · ${station.shape}`}
                {station.club && ` · with the ${station.club}`}
                {station.target === 'peg' && ' · to a peg'}
                {stationSays.includes('carryM') && station.carryM !== null && ` · lands at ${sayAtStation(station.carryM, station, units)}`}
              </span>{' '}
              {landing && station.carryM === null && landingQueryOf(station) && (
                <Link href={`${landing}${landingQueryOf(station)}`} className={`${styles.landing} no-print`}>
                  Where to land it
                </Link>
              )}
              {station.note && <span className={styles.stationNote}>{station.note}</span>}
            </span>
          </span>
          {stationSays.includes('par') && (
            <span className="text-nowrap">
              <span className="small-print">par</span> <b className="fig fs-5">{station.par ?? 2}</b>
            </span>
          )}
          {countsBalls && (
            <span className="text-nowrap">
              <b className="fig fs-5">{station.balls}</b>{' '}
              <span className="small-print">
                {nounOf(station.balls, 'ball')}
                {clubs && ' a club'}
              </span>
            </span>
          )}
        </li>
      ))}
    </ol>
  );
}

/** How a game is scored and what its rules are, with what is aimed at drawn to scale. */
export function HowItIsPlayed({ spec, units }: Props) {
  const goal = goalInWords(spec, units);
  return (
    <>
      <h2 className="mb-2">How it is scored</h2>
      <TargetPlan spec={spec} units={units} />
      {spec.leadIn.map((phase, i) => (
        <p key={i} className="mb-2">
          <b>First: {phase.title}.</b> {leadInWords(phase, spec.sizes, units)}
        </p>
      ))}
      <p className="mb-2">
        {spec.leadIn.length > 0 && <b>What counts. </b>}
        {scoringInWords(spec.scoring, spec.sizes, units)}
      </p>
      {goal && (
        <p className="mb-2">
          <b>Goal:</b> {goal}
        </p>
      )}
      <ul className={styles.ruleList}>
        {rulesInWords(spec, units).map((rule) => (
          <li key={rule}>{rule}</li>
        ))}
        {spec.sizes.scaled && <li>Zones grow and shrink with the level; drawn for level 10.</li>}
        {spec.sizes.of === 'player' && <li>Zones are measured with the player’s own.</li>}
        {spec.sizes.of === 'coach' && <li>Zones are measured with the coach’s own.</li>}
      </ul>
    </>
  );
}
