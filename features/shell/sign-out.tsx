'use client';

import { authCall } from '../account/auth-call';
import { forgetSent } from '../play/device/store';
import { goTo } from '../form/go';
import styles from './shell.module.scss';

/** Ends the session; what this device had kept of it goes too, except balls that are not sent yet. */
export function SignOut({ className = styles.out }: { className?: string | undefined }) {
  const leave = async () => {
    await authCall('sign-out', {});
    await forgetSent().catch(() => undefined);
    goTo('/sign-in');
  };
  return (
    <button type="button" className={className} onClick={() => void leave()}>
      Sign out
    </button>
  );
}
