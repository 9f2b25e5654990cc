import Link from 'next/link';
import { sayDay } from '@/core/units/say-moment';
import type { Answer } from '@/server/data';
import styles from './players.module.scss';

type Props = { slug: string; asked: Answer<'erasuresAsked'>; timeZone: string; now: Date };

/** Whom somebody asked to have erased, for a coach to answer. */
export function ErasuresAsked({ slug, asked, timeZone, now }: Props) {
  return asked.map(({ playerId, name, askedAt }) => (
    <p key={playerId} className={styles.waiting}>
      Somebody asked {sayDay(askedAt, timeZone, now)} to erase {name}: <Link href={`/a/${slug}/players/${playerId}/family`}>answer</Link>
    </p>
  ));
}
