import type { Metadata } from 'next';
import { SquadRoundsRoom } from '@/features/plan/squad/rooms';

export const metadata: Metadata = { title: 'A squad in rounds' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/plan/squad'>) {
  return <SquadRoundsRoom slug={(await params).academy} params={await searchParams} />;
}
