import type { Metadata } from 'next';
import { NewHourRoom } from '@/features/plan/hour/rooms';

export const metadata: Metadata = { title: 'Plan an hour' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/plan/hour/new'>) {
  return <NewHourRoom slug={(await params).academy} params={await searchParams} />;
}
