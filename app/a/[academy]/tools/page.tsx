import type { Metadata } from 'next';
import { ToolsRoom } from '@/features/tools/rooms';

export const metadata: Metadata = { title: 'Tools' };

export default async function Page({ params }: PageProps<'/a/[academy]/tools'>) {
  return <ToolsRoom slug={(await params).academy} />;
}
