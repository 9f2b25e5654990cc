import type { Metadata } from 'next';
import { MeasuresRoom } from '@/features/tools/rooms';

export const metadata: Metadata = { title: 'Measures' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/tools/measures'>) {
  return <MeasuresRoom slug={(await params).academy} params={await searchParams} />;
}
