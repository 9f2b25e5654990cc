import Link from 'next/link';
import type { GreenPlan } from '@/core/green/plan';
import type { UnitSystem } from '@/core/units/length';
import type { FinishedLine, GameRow } from '@/server/data';
import { SessionLines } from '../session/session-lines';
import { PlanPicture } from '../greens/plan-picture';
import { GameTools } from './game-tools';
import { HowItIsPlayed, StationLines } from './game-sheet';
import { sayGame } from './game-meta';
import { ShortVersion } from './short-version';
import { SIDE } from './side';
import type { OwnLengths } from '@/core/game/sizes';
import { GoodScore } from '../forecast/good-score';
import type { Candidate } from '../forecast/use-beliefs';
import { StartPlay } from './start-play';

type Props = {
  slug: string;
  game: GameRow;
  /** The plan on which it is played. */
  green: { greenId: string; plan: GreenPlan } | null;
  units: UnitSystem;
  players: Candidate[];
  coach: OwnLengths;
  shortId: string;
  /** What came of it lately. */
  results: FinishedLine[];
  timeZone: string;
  now: Date;
  /** Who played it last, where it is to be played again. */
  again: readonly string[];
};

/** A game as it will be played: what to set up, what it is worth, and who plays it now. */
export function GamePage({ slug, game, green, units, players, coach, shortId, results, timeZone, now, again }: Props) {
  const { spec, gameId } = game;
  return (
    <div className="desk" style={SIDE}>
      <section>
        <div className="d-flex flex-wrap justify-content-between align-items-start gap-2 mb-1">
          <h1 style={{ flex: '1 1 15rem', minWidth: 0, overflowWrap: 'anywhere' }}>{spec.title}</h1>
          <span className="d-flex gap-2 flex-shrink-0 no-print">
            <Link href={`/a/${slug}/games/${gameId}/sheet`} className="btn btn-outline-dark">
              Set it up
            </Link>
            <Link href={`/a/${slug}/games/${gameId}/edit`} className="btn btn-outline-dark">
              Change
            </Link>
          </span>
        </div>
        <p className="small-print mb-2">
          {sayGame(spec, units)} · version {game.version}
          {green && (
            <>
              {' · on '}
              <Link href={`/a/${slug}/greens/${green.greenId}`}>{green.plan.title}</Link>
            </>
          )}
          {game.archivedAt && ' · put away'}
        </p>
        {spec.about && <p className="mb-3">{spec.about}</p>}
        <StartPlay slug={slug} source={{ gameId }} spec={spec} players={players} coach={coach} again={again} />
        <h2 className="mt-4 mb-1">Stations</h2>
        {green && (
          <div className="mb-2" style={{ maxWidth: '35rem' }}>
            <PlanPicture
              plan={green.plan}
              system={units}
              stations={spec.stations}
              label={`${green.plan.title} with the stations of the game`}
              wide={440}
              high={300}
            />
          </div>
        )}
        <StationLines spec={spec} units={units} landing={`/a/${slug}/tools/landing`} />
        {results.length > 0 && (
          <section className="no-print">
            <h2 className="mt-4 mb-1">Results</h2>
            <SessionLines slug={slug} lines={results} timeZone={timeZone} now={now} withTitle={false} />
          </section>
        )}
        <ShortVersion slug={slug} gameId={shortId} spec={spec} units={units} />
        <GameTools slug={slug} gameId={gameId} archived={game.archivedAt !== null} />
      </section>
      <section>
        <HowItIsPlayed spec={spec} units={units} />
        {spec.stations.length > 0 && <GoodScore game={spec} desk={{ slug, units, candidates: players, coach }} />}
      </section>
    </div>
  );
}
