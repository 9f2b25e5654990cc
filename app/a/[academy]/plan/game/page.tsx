import type { Metadata } from 'next';
import { OrderRoom } from '@/features/plan/rooms';

export const metadata: Metadata = { title: 'A game to order' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/plan/game'>) {
  return <OrderRoom slug={(await params).academy} params={await searchParams} />;
}
