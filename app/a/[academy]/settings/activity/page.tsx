import type { Metadata } from 'next';
import { ActivityRoom } from '@/features/activity/rooms';

export const metadata: Metadata = { title: 'Activity' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/settings/activity'>) {
  return <ActivityRoom slug={(await params).academy} params={await searchParams} />;
}
