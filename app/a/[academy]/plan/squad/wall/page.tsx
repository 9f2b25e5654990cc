import type { Metadata } from 'next';
import { WallRoom } from '@/features/plan/squad/rooms';

export const metadata: Metadata = { title: 'Rounds' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/plan/squad/wall'>) {
  return <WallRoom slug={(await params).academy} params={await searchParams} />;
}
