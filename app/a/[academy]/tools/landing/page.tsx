import type { Metadata } from 'next';
import { LandingRoom } from '@/features/tools/rooms';

export const metadata: Metadata = { title: 'Landing spot' };

export default async function Page({ params, searchParams }: PageProps<'/a/[academy]/tools/landing'>) {
  return <LandingRoom slug={(await params).academy} params={await searchParams} />;
}
