import type { Metadata } from 'next';
import { TodayRoom } from '@/features/today/today-room';

export const metadata: Metadata = { title: 'Today' };

export default async function Page({ params }: PageProps<'/a/[academy]'>) {
  const { academy } = await params;
  return <TodayRoom slug={academy} />;
}
