import type { Metadata } from 'next';
import { ForgotRoom } from '@/features/account/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Forgot your password?' };

export default function Page() {
  return <ForgotRoom />;
}
