import type { Metadata } from 'next';
import { SignUpRoom } from '@/features/account/rooms';

export const metadata: Metadata = { title: 'Make an account' };

export default async function Page({ searchParams }: PageProps<'/sign-up'>) {
  return <SignUpRoom next={(await searchParams).next} />;
}
