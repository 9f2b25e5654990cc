import type { Metadata } from 'next';
import { LinkedReport } from '@/features/report/linked-report';

export const metadata: Metadata = { title: 'Report', robots: { index: false } };

export default function Page() {
  return <LinkedReport />;
}
