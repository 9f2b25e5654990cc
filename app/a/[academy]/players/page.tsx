import type { Metadata } from 'next';
import { ALL } from '@/ui/first-of';
import { PlayersRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'Players' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players'>) {
  const [{ academy }, asked] = [await params, await searchParams];
  return <PlayersRoom slug={academy} all={asked[ALL] !== undefined} />;
}
