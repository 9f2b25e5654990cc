import type { Metadata } from 'next';
import { NewGameRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'A new game' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/games/new'>) {
  const { academy } = await params;
  const asked = await searchParams;
  const one = (name: string) => (typeof asked[name] === 'string' ? asked[name] : undefined);
  const start = {
    library: one('library'),
    copy: one('copy'),
    session: one('session'),
    green: one('green'),
    by: one('by'),
    landing: one('landing'),
    rungs: one('rungs'),
  };
  return <NewGameRoom slug={academy} start={start} />;
}
