import type { Metadata } from 'next';
import { StationDoorRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'Station' };

export default async function Page({ params }: PageProps<'/a/[academy]/games/[game]/at/[station]'>) {
  const { academy, game, station } = await params;
  return <StationDoorRoom slug={academy} gameId={game} stationKey={decodeURIComponent(station)} />;
}
