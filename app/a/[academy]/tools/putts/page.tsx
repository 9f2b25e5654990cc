import type { Metadata } from 'next';
import { PuttsRoom } from '@/features/tools/rooms';

export const metadata: Metadata = { title: 'Putts' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/tools/putts'>) {
  return <PuttsRoom slug={(await params).academy} params={await searchParams} />;
}
