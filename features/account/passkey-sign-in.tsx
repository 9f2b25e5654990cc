'use client';

import { startAuthentication, type PublicKeyCredentialRequestOptionsJSON } from '@simplewebauthn/browser';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FormAlert } from '../form/form-alert';
import { authCall } from './auth-call';
import { sayDeviceError, usePasskeys } from './use-passkeys';

/** The way in without a password, where this browser has one. */
export function SignInWithPasskey({ host, onDone }: { host: string | null; onDone: () => void }) {
  const offered = usePasskeys(host);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string>();
  const signIn = async () => {
    setBusy(true);
    setWrong(undefined);
    const said = await withPasskey();
    if (said === null) return onDone();
    setBusy(false);
    setWrong(said);
  };
  if (!offered) return null;
  return (
    <>
      <Button variant="outline-dark" size="lg" disabled={busy} onClick={() => void signIn()}>
        Use a passkey
      </Button>
      <FormAlert message={wrong} />
    </>
  );
}

/** Asks the device for a passkey and signs in with it; gives what went wrong, or null. */
async function withPasskey(): Promise<string | null> {
  const asked = await authCall('passkey/ask', {});
  if (!asked.ok) return asked.fields['']!;
  try {
    const response = await startAuthentication({ optionsJSON: asked.answer as PublicKeyCredentialRequestOptionsJSON });
    const answer = await authCall('passkey/sign-in', { response });
    return answer.ok ? null : answer.fields['']!;
  } catch (error) {
    return sayDeviceError(error);
  }
}
