import type { Metadata } from 'next';
import { LinkCardsRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'Link cards' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/links'>) {
  return <LinkCardsRoom slug={(await params).academy} />;
}
