import type { Metadata } from 'next';
import { PlayApp } from '@/features/play/play-app';

export const metadata: Metadata = { title: 'Play' };
/** One file for every session: what is played stands behind "#" in the address. */
export const dynamic = 'force-static';

export default function PlayPage() {
  return <PlayApp />;
}
