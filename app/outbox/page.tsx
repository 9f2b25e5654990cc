import type { Metadata } from 'next';
import { OutboxRoom } from '@/features/account/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Outbox' };

export default function Page() {
  return <OutboxRoom />;
}
