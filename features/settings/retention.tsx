'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { KEEP_YEARS } from '@/core/people/account';
import { counted } from '@/core/units/format';
import { sayDate } from '@/core/units/say-moment';
import { FormAlert } from '../form/form-alert';
import { usePress } from '../form/use-press';
import { previewRetentionAction, saveRetentionAction } from './actions';

type Props = { slug: string; keepYears: number | null; timeZone: string };
type Preview = Extract<Awaited<ReturnType<typeof previewRetentionAction>>, { ok: true }>;

const say = (years: number | null) => (years === null ? 'for ever' : `for ${counted(years, 'year')}`);

/** For how long sessions are kept: what would go is shown before it is saved. */
export function Retention({ slug, keepYears, timeZone }: Props) {
  const router = useRouter();
  const [chosen, setChosen] = useState(keepYears);
  const [preview, setPreview] = useState<Preview | null>(null);
  const { busy, wrong, press } = usePress();
  const look = (years: number) => press(() => previewRetentionAction(slug, years), setPreview);
  const save = () =>
    press(
      () => saveRetentionAction(slug, chosen),
      () => {
        setPreview(null);
        router.refresh();
      },
    );
  const years = KEEP_YEARS as readonly number[];
  const offered = keepYears !== null && !years.includes(keepYears) ? [...years, keepYears].toSorted((a, b) => a - b) : years;
  return (
    <section aria-labelledby="retention" className="mt-4 d-grid gap-2">
      <h2 id="retention" className="m-0">
        How long sessions are kept
      </h2>
      <div className="d-flex flex-wrap gap-2 align-items-center">
        <Form.Select
          aria-label="How long sessions are kept"
          className="w-auto"
          value={chosen ?? ''}
          onChange={({ target }) => {
            setChosen(target.value === '' ? null : Number(target.value));
            setPreview(null);
          }}
        >
          <option value="">{say(null)}</option>
          {offered.map((one) => (
            <option key={one} value={one}>
              {say(one)}
            </option>
          ))}
        </Form.Select>
        {chosen !== keepYears && !preview && (
          <Button variant="outline-dark" disabled={busy} onClick={() => void (chosen === null ? save() : look(chosen))}>
            {chosen === null ? 'Keep for ever' : 'See what would be deleted'}
          </Button>
        )}
      </div>
      {preview && chosen !== null && (
        <div className="d-grid gap-2">
          <p className="m-0">
            {preview.sessions === 0 || preview.oldest === null
              ? `Nothing is that old yet. From now on each session goes ${counted(chosen, 'year')} after it was played.`
              : `${counted(preview.sessions, 'session')} with ${counted(preview.balls, 'ball')} of ${counted(preview.players, 'player')}, the oldest from ${sayDate(preview.oldest, timeZone)}, will be deleted within the hour. It can’t be undone. Players, games and plans stay.`}
          </p>
          <div className="d-flex gap-2">
            <Button variant="dark" disabled={busy} onClick={() => void save()}>
              Keep sessions {say(chosen)}
            </Button>
            <Button
              variant="outline-dark"
              onClick={() => {
                setPreview(null);
                setChosen(keepYears);
              }}
            >
              Cancel
            </Button>
          </div>
        </div>
      )}
      {keepYears !== null && chosen === keepYears && (
        <p className="small-print m-0">Each session is deleted {counted(keepYears, 'year')} after it was played.</p>
      )}
      <FormAlert message={wrong} />
    </section>
  );
}
