import type { Metadata } from 'next';
import { StorageRoom } from '@/features/settings/storage-room';

export const metadata: Metadata = { title: 'Storage and phones' };

export default async function Page({ params }: PageProps<'/a/[academy]/settings/storage'>) {
  return <StorageRoom slug={(await params).academy} />;
}
