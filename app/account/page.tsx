import type { Metadata } from 'next';
import { AccountRoom } from '@/features/account/rooms';
import { SignOut } from '@/features/shell/sign-out';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Your account' };

export default function Page() {
  return <AccountRoom signOut={<SignOut className="btn btn-link p-0 align-baseline" />} />;
}
