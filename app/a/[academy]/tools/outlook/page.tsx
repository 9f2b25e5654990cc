import type { Metadata } from 'next';
import { OutlookRoom } from '@/features/tools/rooms';

export const metadata: Metadata = { title: 'What it is worth' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/tools/outlook'>) {
  return <OutlookRoom slug={(await params).academy} params={await searchParams} />;
}
