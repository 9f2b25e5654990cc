import type { Metadata } from 'next';
import { GreenRoom } from '@/features/greens/rooms';

export const metadata: Metadata = { title: 'Green' };

export default async function Page({ params }: PageProps<'/a/[academy]/greens/[green]'>) {
  const { academy, green } = await params;
  return <GreenRoom slug={academy} greenId={green} />;
}
