import Link from 'next/link';
import type { PlayerRow } from '@/server/data';
import { PlayerTabs } from './player-tabs';
import styles from './skill.module.scss';

type Props = {
  slug: string;
  player: PlayerRow;
  beside: string;
  /** Whether a coach looks, who may change what stands here. */
  mayChange: boolean;
  children?: React.ReactNode;
};

/** Who it is, what it is counted against, and the ways of looking at it. */
export function PlayerHead({ slug, player, beside, mayChange, children }: Props) {
  return (
    <header className={styles.head}>
      <div className={styles.title}>
        <h1>
          {player.name}{' '}
          <span className="beside">
            {beside}
            {player.handed === 'left' && ' · left-handed'}
          </span>
        </h1>
        {mayChange && (
          <Link href={`/a/${slug}/players/${player.playerId}/edit`} className="btn btn-outline-dark flex-shrink-0 no-print">
            Change
          </Link>
        )}
      </div>
      <div className={styles.under}>
        <PlayerTabs base={`/a/${slug}/players/${player.playerId}`} mayChange={mayChange} />
        {children}
      </div>
    </header>
  );
}
