import Link from 'next/link';
import { startAddress } from '@/core/exchange/play-address';

/** The way to a game, where there is nothing to show yet: a coach chooses one at the desk, an assistant where play begins. */
export function ChooseGame({ slug, mayChange }: { slug: string; mayChange: boolean }) {
  return mayChange ? <Link href={`/a/${slug}/games`}>Choose a game</Link> : <a href={startAddress(slug)}>Choose a game</a>;
}
