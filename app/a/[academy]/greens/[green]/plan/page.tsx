import type { Metadata } from 'next';
import { GreenPlanRoom } from '@/features/greens/rooms';

export const metadata: Metadata = { title: 'Plan of a green' };

export default async function Page({ params }: PageProps<'/a/[academy]/greens/[green]/plan'>) {
  const { academy, green } = await params;
  return <GreenPlanRoom slug={academy} greenId={green} />;
}
