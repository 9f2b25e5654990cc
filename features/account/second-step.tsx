'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { codeSchema, ownPasswordSchema } from '@/core/people/account';
import { QrCode } from '@/ui/qr-code';
import { FormEnd } from '../form/form-end';
import { saveFile } from '../form/save-file';
import { useSave } from '../form/use-save';
import styles from './account-page.module.scss';
import { authCall } from './auth-call';
import { CodeField } from './code-form';
import { PasswordField } from './password-field';

type Asks = 'enable' | 'disable' | 'generate-backup-codes';
/** What an app is told, by picture or by hand, and the codes for when it is lost. */
type New = { address: string; codes: readonly string[] };
type At = { asks: Asks } | { app: New } | { codes: readonly string[] } | null;

const ASKED: Readonly<Record<Asks, string>> = {
  enable: 'Continue',
  disable: 'Turn off',
  'generate-backup-codes': 'Get new codes',
};

/** A code from an app beside the password, for whoever wants it at sign-in. */
export function SecondStep({ on }: { on: boolean }) {
  const router = useRouter();
  const [at, setAt] = useState<At>(null);
  const over = () => {
    setAt(null);
    router.refresh();
  };
  const asked = (asks: Asks, answer: unknown) => {
    if (asks === 'disable') return over();
    const { totpURI, backupCodes } = answer as { totpURI?: string; backupCodes: string[] };
    if (asks === 'generate-backup-codes' || !totpURI) return setAt({ codes: backupCodes });
    setAt({ app: { address: totpURI, codes: backupCodes } });
  };
  return (
    <section aria-labelledby="second-step">
      <h2 id="second-step">Two-step sign-in</h2>
      <p>
        {on || (at !== null && 'codes' in at)
          ? 'On: you sign in with your password and a code from your app.'
          : 'Off. With an authenticator app on your phone, nobody gets in with your password alone.'}
      </p>
      {at === null && !on && (
        <Button variant="outline-dark" onClick={() => setAt({ asks: 'enable' })}>
          Turn on two-step sign-in
        </Button>
      )}
      {at === null && on && (
        <div className="d-flex flex-wrap gap-2">
          <Button variant="outline-dark" onClick={() => setAt({ asks: 'generate-backup-codes' })}>
            New recovery codes
          </Button>
          <Button variant="outline-dark" onClick={() => setAt({ asks: 'disable' })}>
            Turn off
          </Button>
        </div>
      )}
      {at && 'asks' in at && <AskPassword asks={at.asks} onDone={(answer) => asked(at.asks, answer)} onBack={() => setAt(null)} />}
      {at && 'app' in at && <FirstCode {...at.app} onDone={() => setAt({ codes: at.app.codes })} onBack={() => setAt(null)} />}
      {at && 'codes' in at && (
        <>
          <RecoveryCodes codes={at.codes} />
          <Button onClick={over}>I’ve saved them</Button>
        </>
      )}
    </section>
  );
}

function AskPassword({ asks, onDone, onBack }: { asks: Asks; onDone: (answer: unknown) => void; onBack: () => void }) {
  const form = useForm({ resolver: zodResolver(ownPasswordSchema), defaultValues: { password: '' } });
  const { errors, isSubmitting } = form.formState;
  const fields = { INVALID_PASSWORD: 'password', WAIT: 'password' };
  const submit = useSave(
    form,
    (typed) => authCall(`two-factor/${asks}`, typed, fields),
    ({ answer }) => onDone(answer),
  );
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3">
      <PasswordField label="Your password" register={form.register('password')} error={errors.password?.message} />
      <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={onBack}>
        {ASKED[asks]}
      </FormEnd>
    </Form>
  );
}

function FirstCode({ address, onDone, onBack }: New & { onDone: () => void; onBack: () => void }) {
  const form = useForm({ resolver: zodResolver(codeSchema), defaultValues: { code: '', trustDevice: false } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(form, (typed) => authCall('two-factor/verify', typed, { WRONG_CODE: 'code' }), onDone);
  return (
    <Form noValidate onSubmit={submit} className="d-grid gap-3">
      <p className="m-0">Scan this with your app, or type in the key. Then enter the code it shows.</p>
      <div className={styles.key}>
        <QrCode address={address} label="The key for your app" />
      </div>
      <code className={styles.secret}>
        {new URL(address).searchParams
          .get('secret')
          ?.match(/.{1,4}/g)
          ?.join(' ')}
      </code>
      <CodeField register={form.register('code')} error={errors.code?.message} />
      <FormEnd message={errors.root?.message} busy={isSubmitting} onBack={onBack}>
        Turn on
      </FormEnd>
    </Form>
  );
}

function RecoveryCodes({ codes }: { codes: readonly string[] }) {
  return (
    <div className={styles.codes}>
      <p className="m-0">
        <b>Save these recovery codes.</b> Each one signs you in once if you lose your phone. They’re shown only now.
      </p>
      <ul>
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Button variant="outline-dark" onClick={() => saveFile('inch-game-recovery-codes.txt', new Blob([`${codes.join('\n')}\n`]))}>
        Save as a file
      </Button>
    </div>
  );
}
