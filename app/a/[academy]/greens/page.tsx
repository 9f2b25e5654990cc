import type { Metadata } from 'next';
import { GreensRoom } from '@/features/greens/rooms';

export const metadata: Metadata = { title: 'Greens' };

export default async function Page({ params }: PageProps<'/a/[academy]/greens'>) {
  const { academy } = await params;
  return <GreensRoom slug={academy} />;
}
