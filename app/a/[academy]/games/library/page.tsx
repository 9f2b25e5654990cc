import type { Metadata } from 'next';
import { LibraryRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'Library' };

export default async function Page({ params }: PageProps<'/a/[academy]/games/library'>) {
  const { academy } = await params;
  return <LibraryRoom slug={academy} />;
}
