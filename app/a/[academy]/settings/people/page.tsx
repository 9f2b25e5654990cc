import type { Metadata } from 'next';
import { PeopleRoom } from '@/features/people/rooms';

export const metadata: Metadata = { title: 'Coaches and assistants' };

export default async function Page({ params }: PageProps<'/a/[academy]/settings/people'>) {
  return <PeopleRoom slug={(await params).academy} />;
}
