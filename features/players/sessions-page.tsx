import { sayLevel } from '@/core/golf/level';
import Link from 'next/link';
import type { FinishedLine, PlayerRow } from '@/server/data';
import { SessionLines } from '../session/session-lines';
import { PlayerHead } from '../skill/player-head';

type Props = {
  slug: string;
  player: PlayerRow;
  sessions: FinishedLine[];
  timeZone: string;
  now: Date;
  /** What hands the player the key to their own sessions. */
  links: React.ReactNode;
  /** What coaches write about the player among themselves. */
  notes: React.ReactNode;
};

/** What a player has played, and the link with which they score on their own phone. */
export function SessionsPage({ slug, player, sessions, timeZone, now, links, notes }: Props) {
  return (
    <div className="desk">
      <section>
        <PlayerHead slug={slug} player={player} beside={`level ${sayLevel(player.level)}`} />
        <h2 className="mt-3">Sessions</h2>
        {sessions.length === 0 ? (
          <p className="empty">
            None finished yet. <Link href={`/a/${slug}/games`}>Choose a game</Link> and play it.
          </p>
        ) : (
          <SessionLines slug={slug} lines={sessions} timeZone={timeZone} now={now} withNames={false} />
        )}
      </section>
      <aside>
        {links}
        {notes}
      </aside>
    </div>
  );
}
