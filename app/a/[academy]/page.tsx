import type { Metadata } from 'next';
import { ALL } from '@/ui/first-of';
import { TodayRoom } from '@/features/today/today-room';

export const metadata: Metadata = { title: 'Today' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]'>) {
  const [{ academy }, asked] = [await params, await searchParams];
  return <TodayRoom slug={academy} all={asked[ALL] !== undefined} />;
}
