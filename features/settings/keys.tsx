'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm } from 'react-hook-form';
import { apiTokenSchema, SCOPE_WORDS, TOKEN_DAYS, TOKEN_SCOPES, type ApiTokenForm, type TokenScope } from '@/core/people/api-token';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { Submit } from '../form/submit';
import { useSave } from '../form/use-save';
import { makeKeyAction, revokeKeyAction } from './actions';
import styles from './settings.module.scss';

export type KeyWords = { tokenId: string; name: string; scopes: readonly TokenScope[]; said: string };

const DAYS_WORDS = (days: number | null) => (days === null ? 'until you revoke it' : days === 365 ? 'for a year' : `for ${days} days`);

/** Keys with which another program asks for records or sends them. */
export function Keys({ slug, keys }: { slug: string; keys: readonly KeyWords[] }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const [made, setMade] = useState<{ tokenId: string; token: string } | null>(null);
  const form = useForm<ApiTokenForm>({ resolver: zodResolver(apiTokenSchema), defaultValues: { name: '', scopes: ['read'], days: 365 } });
  const { errors, isSubmitting } = form.formState;
  const submit = useSave(
    form,
    (asked) => makeKeyAction(slug, asked),
    ({ key }) => {
      setMade(key);
      setOpen(false);
      form.reset();
      router.refresh();
    },
  );
  const shown = made && keys.some(({ tokenId }) => tokenId === made.tokenId) ? made : null;
  return (
    <section className={styles.part} aria-labelledby="keys">
      <h2 id="keys">Keys for other programs</h2>
      <p>
        With a key, another program can read or save your records. <a href="/api/v1/openapi.json">What it can ask, for developers</a>
      </p>
      {shown && (
        <div className={styles.fresh}>
          <p>
            <b>Copy the key now.</b> It’s shown only once.
          </p>
          <Form.Control readOnly value={shown.token} aria-label="The new key" onFocus={(event) => event.target.select()} />
        </div>
      )}
      {keys.length > 0 && (
        <ul className="rows">
          {keys.map(({ tokenId, name, scopes, said }) => (
            <li key={tokenId}>
              <span>
                <b>{name}</b>: {scopes.join(', ')}
                <br />
                <span className="small-print">{said}</span>
              </span>
              <Button
                variant="outline-dark"
                onClick={() => void revokeKeyAction(slug, tokenId).then(() => router.refresh())}
                aria-label={`Revoke the key for ${name}`}
              >
                Revoke
              </Button>
            </li>
          ))}
        </ul>
      )}
      {open ? (
        <Form noValidate onSubmit={submit} className="d-grid gap-3">
          <Field id="key-name" label="What it’s for" register={form.register('name')} error={errors.name?.message} />
          <fieldset>
            <legend className="fs-6 fw-semibold mb-1">It may</legend>
            {TOKEN_SCOPES.map((scope) => (
              <Form.Check
                key={scope}
                type="checkbox"
                id={`scope-${scope}`}
                value={scope}
                label={SCOPE_WORDS[scope]}
                {...form.register('scopes')}
              />
            ))}
            {errors.scopes && <p className="text-danger small mb-0">{errors.scopes.message}</p>}
          </fieldset>
          <Form.Group controlId="key-days">
            <Form.Label>Valid</Form.Label>
            <Form.Select {...form.register('days', { setValueAs: (value) => (value === '' || value === null ? null : Number(value)) })}>
              {TOKEN_DAYS.map((days) => (
                <option key={days} value={days ?? ''}>
                  {DAYS_WORDS(days)}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <FormAlert message={errors.root?.message} />
          <div className="d-flex gap-2">
            <Submit busy={isSubmitting}>Make the key</Submit>
            <Button variant="outline-dark" onClick={() => setOpen(false)}>
              Cancel
            </Button>
          </div>
        </Form>
      ) : (
        <div>
          <Button variant="outline-dark" onClick={() => setOpen(true)}>
            Make a key …
          </Button>
        </div>
      )}
    </section>
  );
}
