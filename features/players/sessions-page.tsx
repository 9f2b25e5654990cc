import { sayLevel } from '@/core/golf/level';
import type { FinishedLine, PlayerRow } from '@/server/data';
import { SessionLines } from '../session/session-lines';
import { ChooseGame } from '../form/choose-game';
import { PlayerHead } from '../skill/player-head';

type Props = {
  slug: string;
  mayChange: boolean;
  player: PlayerRow;
  sessions: FinishedLine[];
  timeZone: string;
  now: Date;
  /** For coaches: what hands the player the key to their own sessions, and what coaches write about the player among themselves. */
  children: React.ReactNode;
};

/** What a player has played, and the link with which they score on their own phone. */
export function SessionsPage({ slug, mayChange, player, sessions, timeZone, now, children }: Props) {
  return (
    <div className={children ? 'desk' : 'p-3 p-md-4'}>
      <section>
        <PlayerHead slug={slug} player={player} mayChange={mayChange} beside={`level ${sayLevel(player.level)}`} />
        <h2 className="mt-3">Sessions</h2>
        {sessions.length === 0 ? (
          <p className="empty">
            None finished yet. <ChooseGame slug={slug} mayChange={mayChange} /> and play it.
          </p>
        ) : (
          <SessionLines slug={slug} lines={sessions} timeZone={timeZone} now={now} withNames={false} />
        )}
      </section>
      {children && <aside>{children}</aside>}
    </div>
  );
}
