import type { Metadata } from 'next';
import { PlanRoom } from '@/features/plan/rooms';

export const metadata: Metadata = { title: 'Plan' };

export default async function Page({ params }: PageProps<'/a/[academy]/plan'>) {
  return <PlanRoom slug={(await params).academy} />;
}
