import Link from 'next/link';
import type { UnitSystem } from '@/core/units/length';
import type { GameRow } from '@/server/data';
import { GameTools } from './game-tools';
import { HowItIsPlayed, StationLines } from './game-sheet';
import { sayGame } from './game-meta';
import { ShortVersion } from './short-version';
import { SIDE } from './side';
import { StartPlay, type Somebody } from './start-play';

type Props = { slug: string; game: GameRow; units: UnitSystem; players: Somebody[]; shortId: string };

/** A game as it will be played: what to set up, what it is worth, and who plays it now. */
export function GamePage({ slug, game, units, players, shortId }: Props) {
  const { spec, gameId } = game;
  return (
    <div className="desk" style={SIDE}>
      <section>
        <div className="d-flex justify-content-between align-items-start gap-3">
          <h1>{spec.title}</h1>
          <Link href={`/a/${slug}/games/${gameId}/edit`} className="btn btn-outline-dark flex-shrink-0 no-print">
            Change
          </Link>
        </div>
        <p className="small-print mb-2">
          {sayGame(spec, units)} · version {game.version}
          {game.archivedAt && ' · put away'}
        </p>
        {spec.about && <p className="mb-3">{spec.about}</p>}
        <StartPlay slug={slug} source={{ gameId }} spec={spec} players={players} />
        <h2 className="mt-4 mb-1">Stations</h2>
        <StationLines spec={spec} units={units} />
        <ShortVersion slug={slug} gameId={shortId} spec={spec} />
        <GameTools slug={slug} gameId={gameId} archived={game.archivedAt !== null} />
      </section>
      <section>
        <HowItIsPlayed spec={spec} units={units} />
      </section>
    </div>
  );
}
