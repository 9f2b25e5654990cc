import type { Metadata } from 'next';
import { ResetRoom } from '@/features/account/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Choose a new password' };

export default function Page() {
  return <ResetRoom />;
}
