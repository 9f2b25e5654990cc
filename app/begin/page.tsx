import type { Metadata } from 'next';

export const metadata: Metadata = { title: 'Begin' };

export { BeginRoom as default } from '@/features/account/rooms';
