import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { AccountPage } from '@/features/account/account-page';
import { SignUpForm } from '@/features/account/sign-up-form';
import { signedIn } from '@/server/actor';

export const metadata: Metadata = { title: 'Make an account' };

export default async function SignUpPage() {
  if (await signedIn()) redirect('/');
  return (
    <AccountPage title="Make an account">
      <SignUpForm />
    </AccountPage>
  );
}
