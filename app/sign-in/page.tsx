import type { Metadata } from 'next';
import { SignInRoom } from '@/features/account/rooms';

export const metadata: Metadata = { title: 'Sign in' };

export default async function Page({ searchParams }: PageProps<'/sign-in'>) {
  return <SignInRoom next={(await searchParams).next} />;
}
