import type { Metadata } from 'next';
import { SquadRoom } from '@/features/skill/rooms';

export const metadata: Metadata = { title: 'The squad' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/squad'>) {
  return <SquadRoom slug={(await params).academy} params={await searchParams} />;
}
