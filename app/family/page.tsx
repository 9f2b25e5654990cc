import type { Metadata } from 'next';
import { FamilyListRoom } from '@/features/families/rooms';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Your family' };

export default function Page() {
  return <FamilyListRoom />;
}
