import { redirect } from 'next/navigation';
import { homeAddress, signedIn } from '@/server/actor';
import { AcademyForm } from './academy-form';
import { AccountPage } from './account-page';
import { ownAddress } from './own-address';
import { SignInForm } from './sign-in-form';
import { SignUpForm } from './sign-up-form';

/** The way in: to one's academy, or to what comes before it. */
export async function FrontDoor(): Promise<never> {
  const user = await signedIn();
  if (!user) redirect('/sign-in');
  redirect((await homeAddress(user.id)) ?? '/begin');
}

/** @param next where to go afterwards; anything but an address of this program is passed over */
export async function SignInRoom({ next }: { next: string | string[] | undefined }) {
  const address = ownAddress(next);
  if (await signedIn()) redirect(address);
  return (
    <AccountPage title="Sign in">
      <SignInForm next={address} />
    </AccountPage>
  );
}

export async function SignUpRoom() {
  if (await signedIn()) redirect('/');
  return (
    <AccountPage title="Make an account">
      <SignUpForm />
    </AccountPage>
  );
}

export async function BeginRoom() {
  const user = await signedIn();
  if (!user) redirect('/sign-in?next=/begin');
  if (await homeAddress(user.id)) redirect('/');
  return (
    <AccountPage title="Who plays?">
      <AcademyForm />
    </AccountPage>
  );
}
