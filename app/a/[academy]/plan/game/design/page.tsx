import type { Metadata } from 'next';
import { DesignProposalRoom } from '@/features/plan/rooms';

export const metadata: Metadata = { title: 'A new game' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/plan/game/design'>) {
  return <DesignProposalRoom slug={(await params).academy} params={await searchParams} />;
}
