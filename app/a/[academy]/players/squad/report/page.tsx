import type { Metadata } from 'next';
import { SquadReportRoom } from '@/features/report/rooms';

export const metadata: Metadata = { title: 'Squad report' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/squad/report'>) {
  const [{ academy }, asked] = await Promise.all([params, searchParams]);
  return <SquadReportRoom slug={academy} params={asked} />;
}
