import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { gameFileName, writeGameFile } from '@/core/game/file';
import { LIBRARY } from '@/core/game/library';
import { keptAsGame } from '@/core/game/open';
import { counted } from '@/core/units/format';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { Designer } from './designer/designer';
import { copyOf, newGame } from './designer/new-game';
import { GameList } from './game-list';
import { GamePage } from './game-page';
import { ImportGame } from './import-game';
import { LibraryGamePage, LibraryPage } from './library-pages';

type Data = Awaited<ReturnType<typeof requireCoach>>['data'];

export async function GamesRoom({ slug }: { slug: string }) {
  const { data, academy } = await requireCoach(slug);
  const [games, away] = await Promise.all([data.listGames(), data.listGames(true)]);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '64rem' }}>
      <div className="d-flex flex-wrap gap-2 align-items-center mb-3">
        <h1 className="me-auto">Games</h1>
        <Link href={`/a/${slug}/games/library`} className="btn btn-outline-dark">
          Library
        </Link>
        <Link href={`/a/${slug}/games/new`} className="btn btn-primary">
          Design a game
        </Link>
        <ImportGame slug={slug} gameId={randomUUID()} />
      </div>
      <GameList slug={slug} games={games} units={academy.units} />
      {away.length > 0 && (
        <details className="mt-4">
          <summary>{counted(away.length, 'game')} put away</summary>
          <GameList slug={slug} games={away} units={academy.units} />
        </details>
      )}
    </div>
  );
}

/** From what a new game starts: a library game, another game, what was called in a session, or the plain one. */
type Start = { library?: string | undefined; copy?: string | undefined; session?: string | undefined };

async function initialGame(data: Data, units: 'imperial' | 'metric', { library, copy, session }: Start) {
  if (library) return LIBRARY.find((entry) => entry.key === library)?.spec;
  if (copy) {
    const game = await data.getGame(uuidOr404(copy));
    return game && copyOf(game.spec);
  }
  if (!session) return newGame(units);
  const found = await data.getSession(uuidOr404(session));
  const first = found?.players[0]?.playerId;
  const balls = found?.shots.filter((shot) => shot.playerId === first) ?? [];
  return found && keptAsGame(found.session.spec, balls, `${found.session.spec.title.slice(0, 70)}, kept`);
}

export async function NewGameRoom({ slug, start }: { slug: string; start: Start }) {
  const { data, academy } = await requireCoach(slug);
  const initial = await initialGame(data, academy.units, start);
  if (!initial) notFound();
  return <Designer slug={slug} gameId={randomUUID()} initial={initial} units={academy.units} isNew />;
}

export async function GameRoom({ slug, gameId }: { slug: string; gameId: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  return <GamePage slug={slug} game={game} units={academy.units} players={await somebodies(data)} shortId={randomUUID()} />;
}

export async function EditGameRoom({ slug, gameId }: { slug: string; gameId: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  return <Designer slug={slug} gameId={game.gameId} initial={game.spec} units={academy.units} isNew={false} />;
}

export async function LibraryRoom({ slug }: { slug: string }) {
  const { academy } = await requireCoach(slug);
  return <LibraryPage slug={slug} games={LIBRARY} units={academy.units} />;
}

export async function LibraryGameRoom({ slug, libraryKey }: { slug: string; libraryKey: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = LIBRARY.find((entry) => entry.key === libraryKey);
  if (!game) notFound();
  return <LibraryGamePage slug={slug} game={game} units={academy.units} players={await somebodies(data)} gameId={randomUUID()} />;
}

async function somebodies(data: Data) {
  return (await data.listPlayers()).map(({ player }) => ({ playerId: player.playerId, name: player.name }));
}

/** A game as a file to be saved. */
export async function answerGameFile(slug: string, gameId: string): Promise<Response> {
  const { data } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  return new Response(writeGameFile(game.spec), {
    headers: { 'content-type': 'application/json', 'content-disposition': `attachment; filename="${gameFileName(game.spec.title)}"` },
  });
}
