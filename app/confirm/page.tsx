import type { Metadata } from 'next';
import { ConfirmRoom } from '@/features/account/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Confirm your address' };

export default function Page() {
  return <ConfirmRoom />;
}
