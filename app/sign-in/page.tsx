import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { AccountPage } from '@/features/account/account-page';
import { SignInForm } from '@/features/account/sign-in-form';
import { ownAddress } from '@/features/account/own-address';
import { signedIn } from '@/server/actor';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ next?: string | string[] }> }) {
  const next = ownAddress((await searchParams).next);
  if (await signedIn()) redirect(next);
  return (
    <AccountPage title="Sign in">
      <SignInForm next={next} />
    </AccountPage>
  );
}
