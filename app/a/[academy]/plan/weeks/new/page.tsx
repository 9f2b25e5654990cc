import type { Metadata } from 'next';
import { NewWeeksRoom } from '@/features/plan/weeks/rooms';

export const metadata: Metadata = { title: 'Plan weeks' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/plan/weeks/new'>) {
  return <NewWeeksRoom slug={(await params).academy} params={await searchParams} />;
}
