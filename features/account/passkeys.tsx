'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { startRegistration, type PublicKeyCredentialCreationOptionsJSON } from '@simplewebauthn/browser';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { ownPasswordSchema } from '@/core/people/account';
import { FormAlert } from '../form/form-alert';
import { FormEnd } from '../form/form-end';
import { refused } from '../form/result';
import { usePress } from '../form/use-press';
import { useSave } from '../form/use-save';
import { authCall } from './auth-call';
import { PasswordField } from './password-field';
import { sayDeviceError, usePasskeys } from './use-passkeys';

export type PasskeyWords = { id: string; name: string; said: string };

type Props = {
  /** For which host devices keep passkeys; null: for none. */
  host: string | null;
  /** What this device is called. */
  device: string;
  passkeys: readonly PasskeyWords[];
};

/** Devices that sign in without a password. */
export function Passkeys({ host, device, passkeys }: Props) {
  const router = useRouter();
  const offered = usePasskeys(host);
  const [adds, setAdds] = useState(false);
  const { press, busy, wrong } = usePress();
  const over = () => {
    setAdds(false);
    router.refresh();
  };
  if (!offered && passkeys.length === 0) return null;
  return (
    <section aria-labelledby="passkeys">
      <h2 id="passkeys">Passkeys</h2>
      <p>Sign in the way you unlock your phone or computer: no password, no code.</p>
      {passkeys.length > 0 && (
        <ul className="rows">
          {passkeys.map(({ id, name, said }) => (
            <li key={id}>
              <span>
                <b>{name}</b>
                <br />
                <span className="small-print">{said}</span>
              </span>
              <Button
                variant="outline-dark"
                disabled={busy}
                aria-label={`Remove the passkey for ${name}, ${said}`}
                onClick={() => press(() => authCall('passkey/remove', { id }), over)}
              >
                Remove
              </Button>
            </li>
          ))}
        </ul>
      )}
      <FormAlert message={wrong} />
      {offered && !adds && (
        <Button variant="outline-dark" onClick={() => setAdds(true)}>
          Add a passkey
        </Button>
      )}
      {adds && <AddPasskey device={device} onDone={over} onBack={() => setAdds(false)} />}
    </section>
  );
}

function AddPasskey({ device, onDone, onBack }: { device: string; onDone: () => void; onBack: () => void }) {
  const form = useForm({ resolver: zodResolver(ownPasswordSchema), defaultValues: { password: '' } });
  const { errors, isSubmitting } = form.formState;
  const add = async (typed: { password: string }) => {
    const asked = await authCall('passkey/new', typed, { INVALID_PASSWORD: 'password', WAIT: 'password' });
    if (!asked.ok) return asked;
    try {
      const response = await startRegistration({ optionsJSON: asked.answer as PublicKeyCredentialCreationOptionsJSON });
      return await authCall('passkey/add', { response, name: device });
    } catch (error) {
      return refused(sayDeviceError(error));
    }
  };
  const submit = useSave(form, add, onDone);
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3">
      <PasswordField label="Your password" register={form.register('password')} error={errors.password?.message} />
      <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={onBack}>
        Continue
      </FormEnd>
    </Form>
  );
}
