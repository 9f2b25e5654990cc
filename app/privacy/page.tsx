import type { Metadata } from 'next';
import { PrivacyPage } from '@/features/privacy/privacy-page';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'What Inch Game keeps' };

export default function Page() {
  return <PrivacyPage />;
}
