import type { Metadata } from 'next';
import { SheetRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'Set-up sheet' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/games/[game]/sheet'>) {
  const { academy, game } = await params;
  const { by } = await searchParams;
  return <SheetRoom slug={academy} gameId={game} by={typeof by === 'string' ? by : undefined} />;
}
