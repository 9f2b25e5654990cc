import type { Metadata } from 'next';
import { LibraryGameRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'A ready game' };

export default async function Page({ params }: PageProps<'/a/[academy]/games/library/[key]'>) {
  const { academy, key } = await params;
  return <LibraryGameRoom slug={academy} libraryKey={key} />;
}
