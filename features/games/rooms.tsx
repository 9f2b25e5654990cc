import { randomUUID } from 'node:crypto';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { requireCoach } from '@/server/actor';
import { uuidOr404 } from '@/server/params';
import { GameForm } from './game-form';
import { GameList } from './game-list';
import { GamePage } from './game-page';
import { newGame } from './new-game';

export async function GamesRoom({ slug }: { slug: string }) {
  const { data } = await requireCoach(slug);
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '60rem' }}>
      <div className="d-flex justify-content-between align-items-center mb-3">
        <h1>Games</h1>
        <Link href={`/a/${slug}/games/new`} className="btn btn-primary">
          Design a game
        </Link>
      </div>
      <GameList slug={slug} games={await data.listGames()} />
    </div>
  );
}

export async function NewGameRoom({ slug }: { slug: string }) {
  const { academy } = await requireCoach(slug);
  return <GameForm slug={slug} gameId={randomUUID()} initial={newGame(academy.units)} units={academy.units} isNew />;
}

export async function GameRoom({ slug, gameId }: { slug: string; gameId: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  const players = await data.listPlayers();
  const names = players.map(({ player }) => ({ playerId: player.playerId, name: player.name }));
  return <GamePage slug={slug} game={game} units={academy.units} players={names} />;
}

export async function EditGameRoom({ slug, gameId }: { slug: string; gameId: string }) {
  const { data, academy } = await requireCoach(slug);
  const game = await data.getGame(uuidOr404(gameId));
  if (!game) notFound();
  return <GameForm slug={slug} gameId={game.gameId} initial={game.spec} units={academy.units} isNew={false} />;
}
