import Link from 'next/link';
import { bareFigure, isUndone, orMore } from '../forecast/score-axis';
import { schemeOf } from '@/core/game/scoring';
import type { GameSpec } from '@/core/game/spec';
import { ballsOf } from '@/core/game/phases';
import { sayMinutes } from '@/core/game/budget';
import { sayScore, sayUnit } from '@/core/game/words/say-score';
import { sayStation, sayStationLie } from '@/core/game/words/say-station';
import type { Outlook } from '@/core/forecast/outlook';
import type { GreenPlan } from '@/core/green/plan';
import type { Proposal } from '@/core/plan/propose';
import { capital, counted } from '@/core/units/format';
import { saysSurface } from '@/core/golf/shot-types';
import { fromMetres, type UnitSystem } from '@/core/units/length';
import { PlanPicture } from '../greens/plan-picture';
import { SchemePicture } from '../games/scoring/picture';
import { PlayProposal } from './play-proposal';
import styles from './plan.module.scss';

type Props = {
  slug: string;
  proposal: Proposal;
  /** Under which it would be kept. */
  gameId: string;
  players: readonly { playerId: string; name: string }[];
  green: { greenId: string; plan: GreenPlan } | null;
  units: UnitSystem;
  /** Where it is opened to be changed. */
  designer: string;
  first: boolean;
};

/** A game made to order: what it is, why, what it may come to, and the way into it. */
export function ProposalCard({ slug, proposal, gameId, players, green, units, designer, first }: Props) {
  const { game, why, teaches, seconds, walkM, outlooks, goalChance, tells, headStarts, lacks } = proposal;
  const unit = schemeOf(game.scoring).unit(game.scoring);
  const far = units === 'metric' ? 'm' : 'yd';
  const balls = ballsOf(game);
  const facts: [string, string][] = [
    ...(players.length === 1 ? ([['8 games in 10', range(game, outlooks[0]!, units)]] as [string, string][]) : []),
    ...(game.goal === null || goalChance === null
      ? []
      : ([[`Goal, ${Math.round(100 * goalChance)} times in 100`, sayScore(game.goal, unit, units)]] as [string, string][])),
    ['You learn, per ball', `${Math.round(100 * tells)}% of a measured one`],
    ...(walkM === null ? [] : ([['Walk round the stations', `${Math.round(fromMetres(walkM, far))} ${far}`]] as [string, string][])),
  ];
  const allowances = headStarts
    ? Object.fromEntries(
        players.map(({ playerId }, i) => [playerId, headStarts.players[i]!.allowance] as const).filter(([, start]) => start !== 0),
      )
    : {};
  return (
    <article className={first ? `${styles.card} ${styles.firstCard}` : styles.card} aria-label={game.title}>
      <h2 className={styles.title}>{capital(players.length === 1 ? game.title.slice(game.title.indexOf(': ') + 2) : game.title)}</h2>
      <p className={styles.meta}>
        <SchemePicture kind={game.scoring.scheme} />
        <span>
          {schemeOf(game.scoring).label}
          <br />
          <b>{schemeOf(game.scoring).most ? `at most ${balls}` : balls}</b> balls · <b>{sayMinutes(seconds)}</b>
          {players.length > 1 && ' for all'}
        </span>
      </p>
      {green && (
        <PlanPicture
          plan={green.plan}
          system={units}
          stations={game.stations}
          label={`${green.plan.title} with the stations of this game`}
          wide={380}
          high={230}
        />
      )}
      <ol className={styles.shots}>
        {game.stations.map((station) => (
          <li key={station.key}>
            {schemeOf(game.scoring).countsBalls && <b className="fig">{station.balls} × </b>}
            {sayStation(station, units)}
            {!saysSurface(station.shotType) && <span className="small-print"> {sayStationLie(station)}</span>}
          </li>
        ))}
      </ol>
      <p className="mb-0">
        {why} {teaches}
      </p>
      {lacks && green && (
        <p className="small-print mb-0">
          {green.plan.title} has no station for {lacks}, the first choice.{' '}
          <Link href={`/a/${slug}/greens/${green.greenId}`}>Add a station</Link>
        </p>
      )}
      {players.length > 1 && <Scores {...{ game, players, outlooks, headStarts, units }} />}
      <dl className={styles.facts}>
        {facts.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd className="fig">{value}</dd>
          </div>
        ))}
      </dl>
      <div className={styles.keys}>
        <PlayProposal
          slug={slug}
          gameId={gameId}
          game={game}
          greenId={green?.greenId ?? null}
          playerIds={players.map(({ playerId }) => playerId)}
          allowances={allowances}
          first={first}
        />
        <Link href={designer} className="btn btn-outline-dark">
          Open in the designer
        </Link>
      </div>
    </article>
  );
}

/** Between what eight scores in ten end: "29 to 44 points". */
function range(game: GameSpec, outlook: Outlook, units: UnitSystem): string {
  const unit = schemeOf(game.scoring).unit(game.scoring);
  const figure = (score: number) => bareFigure(score, game, units);
  if (isUndone(outlook, outlook.p90)) return `${figure(outlook.p10)} or more`;
  return `${figure(outlook.p10)} to ${sayScore(outlook.p90, unit, units)}`;
}

/** So many players are listed; of more, the rest is counted. */
const LISTED = 8;

/** What each of several may score, and with what head start. */
function Scores({
  game,
  players,
  outlooks,
  headStarts,
  units,
}: Pick<Props, 'players' | 'units'> & Pick<Proposal, 'game' | 'outlooks' | 'headStarts'>) {
  const unit = schemeOf(game.scoring).unit(game.scoring);
  const say = (score: number) => bareFigure(score, game, units);
  const better = schemeOf(game.scoring).better(game.scoring) === 'higher' ? -1 : 1;
  const rows = players
    .map((player, i) => ({ ...player, outlook: outlooks[i]!, start: headStarts?.players[i]!.allowance ?? 0 }))
    .toSorted((a, b) => better * (a.outlook.p50 - b.outlook.p50));
  return (
    <div>
      <table className={styles.scores}>
        <thead>
          <tr>
            <th scope="col">Who</th>
            <th scope="col">{sayUnit(unit, units)}, median</th>
            {headStarts && <th scope="col">head start</th>}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, LISTED).map(({ playerId, name, outlook, start }) => (
            <tr key={playerId}>
              <td>{name}</td>
              <td className="fig">{orMore(outlook, outlook.p50, say)}</td>
              {headStarts && <td className="fig">{start === 0 ? '' : `+${start}`}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="small-print mb-0">
        {rows.length > LISTED && `and ${counted(rows.length - LISTED, 'more player')}. `}
        {headStarts &&
          `Of all pairs the least even is ${Math.round(100 * headStarts.worstPair)} to ${Math.round(100 - 100 * headStarts.worstPair)}.`}
      </p>
    </div>
  );
}
