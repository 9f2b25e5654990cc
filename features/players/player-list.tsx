import { nounOf } from '@/core/units/format';
import { sayLevel } from '@/core/golf/level';
import Link from 'next/link';
import type { Answer } from '@/server/data';
import { sayDay } from '@/core/units/say-moment';

type Props = { slug: string; timeZone: string; now: Date; players: Answer<'listPlayers'> };

/** Players who were put away: who they are, and when they were last here. */
export function PlayerList({ slug, timeZone, now, players }: Props) {
  return (
    <ul className="rows">
      {players.map(({ player, balls, lastAt }) => (
        <li key={player.playerId}>
          <Link href={`/a/${slug}/players/${player.playerId}`} className="row-link">
            <b>{player.name}</b>
            <span className="small-print">
              level {sayLevel(player.level)}
              {player.handed === 'left' && ' · left-handed'}
            </span>
          </Link>
          <span className="row-counts">
            <span>
              <b className="fig">{balls.toLocaleString('en')}</b> {nounOf(balls, 'ball')}
            </span>
            <span className="small-print">{lastAt ? sayDay(lastAt, timeZone, now) : 'no ball yet'}</span>
          </span>
        </li>
      ))}
    </ul>
  );
}
