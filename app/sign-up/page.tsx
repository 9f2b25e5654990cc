import type { Metadata } from 'next';

export const metadata: Metadata = { title: 'Make an account' };

export { SignUpRoom as default } from '@/features/account/rooms';
