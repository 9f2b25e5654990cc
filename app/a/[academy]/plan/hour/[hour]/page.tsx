import type { Metadata } from 'next';
import { HourRoom } from '@/features/plan/hour/rooms';

export const metadata: Metadata = { title: 'A planned hour' };

export default async function Page({ params }: PageProps<'/a/[academy]/plan/hour/[hour]'>) {
  const { academy, hour } = await params;
  return <HourRoom slug={academy} hourId={hour} />;
}
