import type { Metadata } from 'next';
import { WeeksRoom } from '@/features/plan/weeks/rooms';

export const metadata: Metadata = { title: 'Planned weeks' };

export default async function Page({ params }: PageProps<'/a/[academy]/plan/weeks/[weeks]'>) {
  const { academy, weeks } = await params;
  return <WeeksRoom slug={academy} weeksId={weeks} />;
}
