import { sayLevel } from '@/core/golf/level';
import type { Station } from '@/core/game/station';
import { saySpot, sayStation } from '@/core/game/words/say-station';
import { goalMet, type Standing } from '@/core/play/play';
import { sayScore, scoreFigure, sayUnit } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import type { Note } from '@/core/game/scoring/scheme';
import { isByStation } from '@/core/game/scoring/score-unit';
import type { GameSpec } from '@/core/game/spec';
import { addedUp } from '@/core/play/added-up';
import { byWay } from '@/core/play/by-way';
import { stoodOut } from '@/core/play/stood-out';
import { leftInterval } from '@/core/shot/evidence';
import { settledMedian } from '@/core/shot/median-left';
import { counted, formatLeft, nounOf } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import { Tape } from '@/ui/tape';
import { WayTable } from './way-table';
import styles from './summary.module.scss';

type Props = {
  spec: GameSpec;
  standing: Standing;
  /** Of earlier sessions; null before the first. */
  best: { score: number; sessions: number } | null;
  system: UnitSystem;
  /** Whether the player played alone; only then is there a best to beat. */
  alone?: boolean;
  /** Whether the session can still be gone on with. */
  going?: boolean;
  /** Whether a game of ours was played; else the balls came in without one. */
  played?: boolean;
  /** Within what half of the balls of the player's level stop, in metres, by the station's key, as far as that is known. */
  usual?: Readonly<Record<string, number>>;
};

/** What came of a game: the score, against goal and best; the tape; station by station. */
export function Summary({ spec, standing, best, system, alone = true, going = false, played: inGame = true, usual = {} }: Props) {
  const { score, played, phases, notes, early } = standing;
  const scheme = schemeOf(spec.scoring);
  const unit = scheme.unit(spec.scoring);
  // Of several balls that were entered as one total nobody knows where each stopped.
  const single = played.filter(({ nBalls }) => nBalls === 1);
  const totals = [
    ...new Map(played.flatMap((shot) => (shot.nBalls > 1 && shot.sumLeftM !== null ? [[shot.shotId, shot] as const] : []))).values(),
  ];
  const left = single.map(leftInterval).filter((interval) => interval !== null);
  const rings = tapeRings(standing);
  const said = stoodOut(standing, system);
  const ways = byWay(standing);
  const facts = addedUp(standing, system);
  const measured = left.filter(({ from, to }) => from === to).length;
  const met = goalMet(spec, score, early);
  // Where less is better, a few balls are under any goal: that is not reached before the end, only missed.
  const settled = standing.over || scheme.better(spec.scoring) === 'higher' || !met;
  const short = spec.goal === null ? 0 : Math.abs(spec.goal - score);
  return (
    <div className={styles.summary}>
      <div className={styles.head}>
        <div>
          <output className="fig" aria-label="Score">
            {scoreFigure(score, unit, system)}
          </output>
          <span className="small-print"> {unit === 'length' ? 'in all' : inGame ? sayUnit(unit, system) : nounOf(score, 'ball')}</span>
        </div>
        <p>
          {spec.goal !== null && (
            <>
              goal {unit === 'points' ? spec.goal : sayScore(spec.goal, unit, system)}
              {settled && (
                <>
                  :{' '}
                  <b>
                    {met
                      ? 'reached'
                      : scheme.better(spec.scoring) === 'higher'
                        ? `${scoreFigure(short, unit, system)} short`
                        : `missed by ${scoreFigure(short, unit, system)}`}
                  </b>
                </>
              )}
              <br />
            </>
          )}
          {early === 'perfect' ? (
            <b>a perfect first round</b>
          ) : early === 'time' ? (
            <b>time is over</b>
          ) : standing.over ? (
            alone && <BestLine spec={spec} score={score} best={best} system={system} />
          ) : (
            <b>{!inGame ? 'balls without a game' : spec.open ? 'an open game' : going ? 'not finished yet' : 'stopped early'}</b>
          )}
          <br />
          {!inGame
            ? 'not scored'
            : spec.open || standing.phase.lots === null
              ? counted(played.length, 'ball')
              : `${played.length} of ${standing.turns} balls`}
        </p>
      </div>
      {said && <p className={styles.say}>{said}</p>}
      {ways && ways.length > 0 && <WayTable from={ways} system={system} />}
      {/* The ranking of a trial stands in its table. */}
      {!ways && <Notes notes={notes} className={styles.notes} />}
      <Notes notes={facts} className={styles.facts} />
      {left.length > 0 && (
        <>
          <Tape
            label={`${counted(left.length, 'ball')} of the session`}
            balls={left}
            rings={rings}
            medianM={settledMedian(left)}
            system={system}
            width={380}
          />
          <p className="small-print">
            {counted(left.length, 'ball')} · {measured} with a distance, holed ones included
            {measured < left.length && ` · hollow marks: only the ring is known (${left.length - measured})`}
          </p>
        </>
      )}
      {totals.length > 0 && (
        <p className="small-print">
          {totals
            .map(
              ({ nBalls, sumLeftM }) =>
                `${counted(nBalls, 'ball')} as one total, ${formatLeft((sumLeftM ?? 0) / nBalls, system)} on average`,
            )
            .join(' · ')}
        </p>
      )}
      {phases.length > 1 && (
        <p className="small-print">
          {phases
            .map((phase, i) =>
              [
                `${phase.title}: ${i < phases.length - 1 ? scoreOfPhase(spec, i, phase.score, system) : sayScore(phase.score, unit, system)}`,
                counted(phase.balls, 'ball'),
              ]
                .filter(Boolean)
                .join(', '),
            )
            .join(' · ')}
        </p>
      )}
      {standing.extras.length > 0 && (
        <p className="small-print">{counted(standing.extras.length, 'ball')} hit again or its lie taken back: kept, not scored.</p>
      )}
      {standing.late.length > 0 && <p className="small-print">{counted(standing.late.length, 'ball')} after the time: kept, not scored.</p>}
      <Stations standing={standing} system={system} usual={usual} />
    </div>
  );
}

function Notes({ notes, className }: { notes: readonly Note[]; className: string | undefined }) {
  if (notes.length === 0) return null;
  return (
    <dl className={className}>
      {notes.map(({ label, value }) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>{value.replaceAll(': ', ':\u00a0')}</dd>
        </div>
      ))}
    </dl>
  );
}

function scoreOfPhase(spec: GameSpec, i: number, score: number, system: UnitSystem): string {
  const { scoring } = spec.leadIn[i]!;
  const { counts, label, unit } = schemeOf(scoring);
  return counts ? sayScore(score, unit(scoring), system) : label;
}

/** The rings of the phase that counts, for the tape. */
function tapeRings({ phase }: Standing) {
  const station = phase.stations[0];
  if (!station) return [];
  return schemeOf(phase.scoring)
    .asks(phase, station)
    .flatMap((key) => (key.kind === 'ring' ? [{ edgeM: key.edgeM!, label: key.worth === null ? '' : String(key.worth) }] : []));
}

function Stations({
  standing: { stations, game, played, entrant },
  system,
  usual,
}: Required<Pick<Props, 'standing' | 'system' | 'usual'>>) {
  const unit = schemeOf(game.scoring).unit(game.scoring);
  if (!isByStation(unit)) return null;
  /** Per ball, beside what is usual: "half within 6 ft, usual at 12: 9 ft". */
  const against = ({ key }: Station) => {
    const left = played.filter(({ stationKey }) => stationKey === key).flatMap((shot) => leftInterval(shot) ?? []);
    const medianM = settledMedian(left);
    const usualM = usual[key];
    if (medianM === null || usualM === undefined) return null;
    return `half within ${formatLeft(medianM, system)}; usual at ${sayLevel(entrant.level)}: ${formatLeft(usualM, system)}`;
  };
  const most = Math.max(1e-9, ...stations.map((station) => Math.abs(station.score)));
  return (
    <table className={styles.stations}>
      <thead className="visually-hidden">
        <tr>
          <th>Station</th>
          <th>Share</th>
          <th>Balls</th>
          <th>{sayUnit(unit, system)}</th>
        </tr>
      </thead>
      <tbody>
        {stations.map(({ station, score, balls }, i) => (
          <tr key={station.key}>
            <th scope="row">
              {stations.length > 1 && <span className="small-print">{i + 1}. </span>}
              {sayStation(station, system)}
              {saySpot(station) && <span className="small-print"> {saySpot(station)}</span>}
              {against(station) && (
                <>
                  <br />
                  <span className="small-print">{against(station)}</span>
                </>
              )}
            </th>
            <td className={styles.bar}>
              <span style={{ width: `${(100 * Math.max(0, score)) / most}%` }} />
            </td>
            <td className="small-print">{counted(balls, 'ball')}</td>
            <td className="fig">{scoreFigure(score, unit, system)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

type BestProps = { spec: GameSpec; score: number; best: Props['best']; system: UnitSystem };

function BestLine({ spec, score, best, system }: BestProps) {
  const scheme = schemeOf(spec.scoring);
  if (scheme.players > 1) return null;
  if (!best) return <b>first time: the mark to beat</b>;
  const figure = (value: number) => scoreFigure(value, scheme.unit(spec.scoring), system);
  const of = counted(best.sessions, 'earlier session');
  const gain = scheme.better(spec.scoring) === 'higher' ? score - best.score : best.score - score;
  if (gain > 1e-9)
    return (
      <>
        <b>personal best</b>, {figure(gain)} better than {figure(best.score)}, of {of}
      </>
    );
  return (
    <>
      {Math.abs(gain) <= 1e-9 ? 'equals the best' : 'best'} {figure(best.score)}, of {of}
    </>
  );
}
