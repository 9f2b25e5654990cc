import type { Metadata } from 'next';
import { SwingRoom } from '@/features/tools/rooms';

export const metadata: Metadata = { title: 'Swing lengths' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/tools/swing'>) {
  return <SwingRoom slug={(await params).academy} params={await searchParams} />;
}
