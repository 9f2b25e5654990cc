import { counted } from '@/core/units/format';
import Link from 'next/link';
import { ballsOf } from '@/core/game/spec';
import { schemeOf } from '@/core/game/scoring';
import type { Answer } from '@/server/data';

type Props = { slug: string; games: Answer<'listGames'> };

export function GameList({ slug, games }: Props) {
  if (games.length === 0)
    return (
      <p className="empty">
        No game yet. <Link href={`/a/${slug}/games/new`}>Design the first one</Link>: a station or two, some rings, and what each is worth.
      </p>
    );
  return (
    <ul className="rows">
      {games.map(({ gameId, spec, version, sessions }) => (
        <li key={gameId}>
          <Link href={`/a/${slug}/games/${gameId}`} className="row-link">
            <b>{spec.title}</b>
            <span className="small-print">
              {schemeOf(spec.scoring).label} · {counted(spec.stations.length, 'station')} · version {version}
              {spec.goal !== null && ` · goal ${spec.goal}`}
            </span>
          </Link>
          <span className="row-counts">
            <span>
              <b className="fig">{ballsOf(spec)}</b> balls
            </span>
            <span className="small-print">{sessions === 0 ? 'never played' : `played ${counted(sessions, 'time')}`}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}
