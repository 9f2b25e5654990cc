'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { consentWords, isShortName, shortName } from '@/core/people/family';
import { FormAlert } from '../form/form-alert';
import { usePress } from '../form/use-press';
import { giveConsentAction, takeConsentBackAction } from './actions';
import styles from './families.module.scss';

type Props = { slug: string; academy: string; player: { playerId: string; name: string }; holds: string | null };

/** A guardian's own consent: asked for where it is missing, taken back where they want that. */
export function OwnConsent({ slug, academy, player: { playerId, name }, holds }: Props) {
  const router = useRouter();
  const [sure, setSure] = useState(false);
  const { busy, wrong, press } = usePress();
  const run = (act: typeof giveConsentAction) =>
    press(
      () => act(slug, playerId),
      () => {
        setSure(false);
        router.refresh();
      },
    );
  return (
    <section aria-labelledby="consent" className={holds ? 'd-grid gap-2' : styles.asked}>
      <h2 id="consent" className="m-0">
        {holds ? 'Your consent' : 'Do you agree?'}
      </h2>
      <p className="m-0">
        {consentWords(academy, name)} {holds ? `Given by ${holds}.` : 'Until you agree, only a first name or nickname is kept.'}
      </p>
      <FormAlert message={wrong} />
      {sure && (
        <p className="m-0">
          {!isShortName(name) && `${name} will be called ${shortName(name)}. `}Links to {name}’s reports end. Results stay, unless you also
          ask to erase them.
        </p>
      )}
      <div className="d-flex gap-2">
        {!holds && (
          <Button disabled={busy} onClick={() => void run(giveConsentAction)}>
            I agree
          </Button>
        )}
        {holds && !sure && (
          <Button variant="outline-dark" onClick={() => setSure(true)}>
            Withdraw …
          </Button>
        )}
        {sure && (
          <>
            <Button variant="dark" disabled={busy} onClick={() => void run(takeConsentBackAction)}>
              Withdraw consent
            </Button>
            <Button variant="outline-dark" onClick={() => setSure(false)}>
              Keep
            </Button>
          </>
        )}
      </div>
    </section>
  );
}
