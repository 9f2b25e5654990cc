import type { Metadata } from 'next';
import { AccountRoom } from '@/features/account/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Your account' };

export default function Page() {
  return <AccountRoom />;
}
