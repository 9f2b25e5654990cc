import type { Metadata } from 'next';
import { ResultRoom } from '@/features/imports/rooms';

export const metadata: Metadata = { title: 'Add a result' };

export default async function Page({ params }: PageProps<'/a/[academy]/logbook/result'>) {
  return <ResultRoom slug={(await params).academy} />;
}
