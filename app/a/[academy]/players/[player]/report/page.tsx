import type { Metadata } from 'next';
import { ReportRoom } from '@/features/report/rooms';

export const metadata: Metadata = { title: 'Report' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/players/[player]/report'>) {
  const [{ academy, player }, asked] = await Promise.all([params, searchParams]);
  return <ReportRoom slug={academy} playerId={player} params={asked} />;
}
