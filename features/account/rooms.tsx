import { headers } from 'next/headers';
import Link from 'next/link';
import { notFound, redirect } from 'next/navigation';
import { sayDay, sayMoment } from '@/core/units/say-moment';
import { childrenSeen, homeAddress, signedIn, workplaces } from '@/server/actor';
import { readOutbox } from '@/server/mail/outbox';
import { passkeyHost } from '@/server/public-url';
import { listPasskeys, listSignIns } from '@/server/sign-ins';
import { AcademyForm } from './academy-form';
import { AccountPage } from './account-page';
import styles from './account-page.module.scss';
import { ConfirmPanel } from './confirm-panel';
import { EmailState } from './email-state';
import { ForgotForm } from './forgot-form';
import { ownAddress } from './own-address';
import { OwnName } from './own-name';
import { Passkeys } from './passkeys';
import { PasswordForm } from './password-form';
import { ResetForm } from './reset-form';
import { sayDevice } from './say-device';
import { SecondStep } from './second-step';
import { SignIns } from './sign-ins';
import { Workplaces } from './workplaces';
import { SignInForm } from './sign-in-form';
import { SignUpForm } from './sign-up-form';

/** The way in: to one's academy, or to what comes before it. */
export async function FrontDoor(): Promise<never> {
  const user = await signedIn();
  if (!user) redirect('/sign-in');
  redirect((await homeAddress(user.id)) ?? ((await childrenSeen(user.id)).length > 0 ? '/family' : '/begin'));
}

/** @param next where to go afterwards; anything but an address of this program is passed over */
export async function SignInRoom({ next }: { next: string | string[] | undefined }) {
  const address = ownAddress(next);
  if (await signedIn()) redirect(address);
  return (
    <AccountPage title="Sign in">
      <SignInForm next={address} passkeyHost={passkeyHost()} />
    </AccountPage>
  );
}

/** @param next as for signing in; without one somebody new begins with an academy */
export async function SignUpRoom({ next }: { next: string | string[] | undefined }) {
  const address = next === undefined ? undefined : ownAddress(next);
  if (await signedIn()) redirect(address ?? '/');
  return (
    <AccountPage title="Make an account">
      <SignUpForm {...(address ? { next: address } : {})} />
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

export function ForgotRoom() {
  return (
    <AccountPage title="Forgot your password?">
      <ForgotForm />
    </AccountPage>
  );
}

export function ResetRoom() {
  return (
    <AccountPage title="Choose a new password">
      <ResetForm />
    </AccountPage>
  );
}

export function ConfirmRoom() {
  return (
    <AccountPage title="Confirm your address">
      <ConfirmPanel />
    </AccountPage>
  );
}

/** What belongs to somebody and not to an academy: how they get in. @param signOut the way out */
export async function AccountRoom({ signOut }: { signOut: React.ReactNode }) {
  const user = await signedIn();
  if (!user) redirect('/sign-in?next=/account');
  const [signIns, passkeys, academies, children] = await Promise.all([
    listSignIns(),
    listPasskeys(),
    workplaces(user.id),
    childrenSeen(user.id),
  ]);
  const now = new Date();
  return (
    <AccountPage title="Your account" wide>
      <p className="mb-4">
        {user.name} · {academies.length > 0 && <Link href="/">Back to your academy</Link>}
        {academies.length > 0 && children.length > 0 && ' · '}
        {children.length > 0 && <Link href="/family">{academies.length > 0 ? 'Your family' : 'Back to your family'}</Link>} · {signOut}
      </p>
      <div className={styles.parts}>
        <OwnName name={user.name} />
        <EmailState email={user.email} confirmed={user.emailVerified} />
        <PasswordForm />
        <Passkeys
          host={passkeyHost()}
          device={sayDevice((await headers()).get('user-agent') ?? '')}
          passkeys={passkeys.map(({ id, name, since }) => ({ id, name, said: since ? `added ${sayDay(since, 'UTC', now)}` : '' }))}
        />
        <SecondStep on={user.twoFactorEnabled === true} />
        <SignIns
          signIns={signIns.map(({ id, since, lastAt, userAgent, here }) => ({
            ...{ id, here, device: sayDevice(userAgent) },
            said: `signed in ${sayDay(since, 'UTC', now)}, last seen ${sayDay(lastAt, 'UTC', now)}`,
          }))}
        />
        <Workplaces workplaces={academies} />
      </div>
    </AccountPage>
  );
}

/** The e-mails that the demo would have sent. */
export async function OutboxRoom() {
  const mails = await readOutbox();
  if (!mails) notFound();
  return (
    <AccountPage title="Outbox" wide>
      <p>The demo sends no e-mail. Anything it would have sent appears here, newest first.</p>
      {mails.length === 0 && <p className="empty">Nothing yet.</p>}
      {mails.map(({ name, at, to, subject, text }) => (
        <article key={name} className={styles.mail} aria-label={subject}>
          <h2>{subject}</h2>
          <p className="small-print">
            to {to}, {sayMoment(at, 'UTC')} (UTC)
          </p>
          <Linked text={text} />
        </article>
      ))}
    </AccountPage>
  );
}

/** Text in which addresses can be followed. */
function Linked({ text }: { text: string }) {
  return (
    <div>
      {text.split(/(https?:\/\/\S+)/).map((part, i) =>
        i % 2 === 1 ? (
          <a key={part} href={part}>
            {part}
          </a>
        ) : (
          part
        ),
      )}
    </div>
  );
}
