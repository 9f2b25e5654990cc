import type { Metadata } from 'next';
import { NewGreenRoom } from '@/features/greens/rooms';

export const metadata: Metadata = { title: 'A new green' };

export default async function Page({ params }: PageProps<'/a/[academy]/greens/new'>) {
  const { academy } = await params;
  return <NewGreenRoom slug={academy} />;
}
