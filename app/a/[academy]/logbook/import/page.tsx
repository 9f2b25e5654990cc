import type { Metadata } from 'next';
import { ImportRoom } from '@/features/imports/rooms';

export const metadata: Metadata = { title: 'Import a file' };

export default async function Page({ params }: PageProps<'/a/[academy]/logbook/import'>) {
  return <ImportRoom slug={(await params).academy} />;
}
