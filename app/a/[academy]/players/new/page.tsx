import type { Metadata } from 'next';
import { NewPlayerRoom } from '@/features/players/rooms';

export const metadata: Metadata = { title: 'A new player' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/new'>) {
  const { academy } = await params;
  return <NewPlayerRoom slug={academy} />;
}
