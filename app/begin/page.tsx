import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { homeOf } from '@/db/queries/academies';
import { AcademyForm } from '@/features/account/academy-form';
import { AccountPage } from '@/features/account/account-page';
import { signedIn } from '@/server/actor';
import { database } from '@/server/db';

export const metadata: Metadata = { title: 'Begin' };

export default async function BeginPage() {
  const user = await signedIn();
  if (!user) redirect('/sign-in?next=/begin');
  if (await homeOf(database(), user.id)) redirect('/');
  return (
    <AccountPage title="Your academy">
      <AcademyForm />
    </AccountPage>
  );
}
