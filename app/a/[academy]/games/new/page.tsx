import type { Metadata } from 'next';
import { NewGameRoom } from '@/features/games/rooms';

export const metadata: Metadata = { title: 'A new game' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/games/new'>) {
  const { academy } = await params;
  const { library, copy, session, green, by } = await searchParams;
  const one = (value: string | string[] | undefined) => (typeof value === 'string' ? value : undefined);
  return (
    <NewGameRoom slug={academy} start={{ library: one(library), copy: one(copy), session: one(session), green: one(green), by: one(by) }} />
  );
}
