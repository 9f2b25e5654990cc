import type { Metadata } from 'next';
import { JoinRoom } from '@/features/people/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Invitation', robots: { index: false } };

export default function Page() {
  return <JoinRoom />;
}
