import type { Metadata } from 'next';
import { GroupsRoom } from '@/features/people/rooms';

export const metadata: Metadata = { title: 'Groups' };

export default async function Page({ params }: PageProps<'/a/[academy]/players/groups'>) {
  return <GroupsRoom slug={(await params).academy} />;
}
