'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useRouter } from 'next/navigation';
import { Form } from 'react-bootstrap';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { resultSchema, type ResultForm as Fields } from '@/core/imports/result';
import { Choice, Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { asNumber } from '../form/numbers';
import { Submit } from '../form/submit';
import { useReady } from '../form/use-ready';
import { useSave } from '../form/use-save';
import { addResultAction } from './actions';
import styles from './imports.module.scss';

type Props = {
  slug: string;
  /** Of the result: pressed twice, it is noted once. */
  sessionId: string;
  today: string;
  players: readonly { id: string; name: string }[];
  /** Our games, with the unit of their score in words; `length`: it has to be written with the score. */
  games: readonly { title: string; unit: string; length: boolean }[];
};

/** Notes a result without balls: of a game of ours, or of any test elsewhere. */
export function ResultForm({ slug, sessionId, today, players, games }: Props) {
  const ready = useReady();
  const router = useRouter();
  const form = useForm<Fields>({
    resolver: zodResolver(resultSchema),
    defaultValues: { playerId: players[0]?.id ?? '', day: today, title: '', score: '' as unknown as number, unit: '', note: '' },
  });
  const { register, control, formState } = form;
  const { errors, isSubmitting } = formState;
  const title = useWatch({ control, name: 'title' }).trim();
  const game = games.find((one) => one.title === title);
  const submit = useSave(
    form,
    (fields) => addResultAction(slug, sessionId, { ...fields, unit: fields.unit || (game?.length ? game.unit : '') }),
    () => router.push(`/a/${slug}/sessions/${sessionId}`),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className={styles.result}>
        <fieldset disabled={!ready} className="d-grid gap-3">
          <FormAlert message={errors.root?.message} />
          <div className={styles.two}>
            <Choice
              id="result-player"
              label="Player"
              register={register('playerId')}
              error={errors.playerId?.message}
              options={players.map(({ id, name }) => [id, name] as const)}
            />
            <Field id="result-day" label="Day" type="date" register={register('day')} error={errors.day?.message} />
          </div>
          <Field
            id="result-title"
            label="Game or test"
            maxLength={80}
            list="result-games"
            register={register('title')}
            error={errors.title?.message}
            hint="One of your games by its name, or anything else: a fitness test, a league match."
          />
          <datalist id="result-games">
            {games.map((one) => (
              <option key={one.title} value={one.title} />
            ))}
          </datalist>
          <div className={styles.two}>
            <Field
              id="result-score"
              label="Score"
              inputMode="decimal"
              register={register('score', { setValueAs: asNumber })}
              error={errors.score?.message}
            />
            <Field
              id="result-unit"
              label="Unit"
              maxLength={20}
              placeholder={game?.unit ?? 'such as s, kg, %'}
              register={register('unit')}
              error={errors.unit?.message}
            />
          </div>
          {game && (
            <p className="small-print mb-0">
              It counts among the results of “{game.title}”: its score is in {game.unit}.
            </p>
          )}
          <Field
            id="result-note"
            label="Note"
            as="textarea"
            rows={2}
            maxLength={500}
            register={register('note')}
            error={errors.note?.message}
          />
          <Submit busy={isSubmitting}>Save the result</Submit>
        </fieldset>
      </Form>
    </FormProvider>
  );
}
