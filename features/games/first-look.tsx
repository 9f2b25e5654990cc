import Link from 'next/link';
import { LIBRARY } from '@/core/game/library';
import { ballsOf } from '@/core/game/phases';
import type { OwnLengths } from '@/core/game/sizes';
import { traitsOf } from '@/core/game/traits';
import { counted, inWords } from '@/core/units/format';
import type { Candidate } from '../forecast/use-beliefs';
import styles from './games.module.scss';
import { StartPlay } from './start-play';

const GAME = LIBRARY.find(({ key }) => key === 'first-look')!;

type Props = {
  slug: string;
  /** Under which id the academy keeps it, once it is played. */
  gameId: string;
  /** Who has no ball on record. */
  players: Candidate[];
  /** So many others have none either. */
  more?: number;
  coach: OwnLengths;
};

/** What to play first, and why: for whoever has no ball on record. */
export function FirstLook({ slug, gameId, players, more = 0, coach }: Props) {
  const { spec, key } = GAME;
  return (
    <section className={styles.first} aria-label="First look">
      <h2>Start with a first look</h2>
      <p className="mb-2">
        {counted(ballsOf(spec), 'ball')} from the {inWords(spec.stations.length)} places that say most about a short game, in about{' '}
        {traitsOf(spec).minutes} minutes. Then you see what to practise next.{' '}
        <Link href={`/a/${slug}/games/library/${key}`}>See the set-up</Link>
      </p>
      <StartPlay slug={slug} source={{ library: key, gameId }} spec={spec} players={players} coach={coach} />
      {more > 0 && <p className="small-print mt-2 mb-0">{counted(more, 'more player')} without a ball: theirs starts on their own page.</p>}
    </section>
  );
}
