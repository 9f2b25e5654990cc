'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Button, Form } from 'react-bootstrap';
import { FormProvider, useForm, useWatch } from 'react-hook-form';
import { gameSpecSchema, type GameSpec } from '@/core/game/spec';
import type { UnitSystem } from '@/core/units/length';
import { Field } from '../form/field';
import { FormAlert } from '../form/form-alert';
import { useSave } from '../form/use-save';
import { saveGameAction } from './actions';
import { RingFields } from './ring-fields';
import { SIDE } from './side';
import { StationFields } from './station-fields';
import { TargetPreview } from './target-preview';

type Props = { slug: string; gameId: string; initial: GameSpec; units: UnitSystem; isNew: boolean };

/** Designs a ring game: stations on the left, the target to scale and its rings beside them. */
export function GameForm({ slug, gameId, initial, units, isNew }: Props) {
  const form = useForm<GameSpec>({ resolver: zodResolver(gameSpecSchema), defaultValues: initial, mode: 'onTouched' });
  const { register, control, formState } = form;
  const { errors, isSubmitting } = formState;
  const router = useRouter();
  const spec = useWatch({ control }) as GameSpec;
  const address = `/a/${slug}/games/${gameId}`;
  const submit = useSave(
    form,
    (game) => saveGameAction(slug, gameId, game),
    () => router.push(address),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={submit} className="desk" style={SIDE}>
        <section aria-label="Stations">
          <h1 className="mb-2">{isNew ? 'A new game' : 'Change a game'}</h1>
          <Field id="title" label="Title" register={register('title')} error={errors.title?.message} maxLength={80} autoComplete="off" />
          <StationFields units={units} />
        </section>
        <section aria-label="Rings at the hole">
          <h2>Rings at the hole</h2>
          <TargetPreview spec={spec} units={units} />
          <RingFields />
          <FormAlert message={errors.root?.message} />
          <div className="d-flex gap-2">
            <Button type="submit" size="lg" disabled={isSubmitting} className="flex-grow-1">
              {isNew ? 'Save the game' : 'Save the change'}
            </Button>
            <Link href={isNew ? `/a/${slug}/games` : address} className="btn btn-outline-dark">
              Cancel
            </Link>
          </div>
        </section>
      </Form>
    </FormProvider>
  );
}
