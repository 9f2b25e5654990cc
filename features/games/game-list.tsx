import Link from 'next/link';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { Answer } from '@/server/data';
import { sayGame } from './game-meta';

type Props = { slug: string; games: Answer<'listGames'>; units: UnitSystem };

export function GameList({ slug, games, units }: Props) {
  if (games.length === 0)
    return (
      <p className="empty">
        No game yet. <Link href={`/a/${slug}/games/library`}>Take one from the library</Link>, or{' '}
        <Link href={`/a/${slug}/games/new`}>design the first one</Link>: a station or two, and what is aimed at.
      </p>
    );
  return (
    <ul className="rows">
      {games.map(({ gameId, spec, version, sessions }) => (
        <li key={gameId}>
          <Link href={`/a/${slug}/games/${gameId}`} className="row-link">
            <b>{spec.title}</b>
            <span className="small-print">
              {sayGame(spec, units)}
              {version > 1 && ` · version ${version}`}
            </span>
          </Link>
          <span className="small-print text-nowrap">{sessions === 0 ? 'never played' : `played ${counted(sessions, 'time')}`}</span>
        </li>
      ))}
    </ul>
  );
}
