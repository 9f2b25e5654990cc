'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useState } from 'react';
import { Form } from 'react-bootstrap';
import { FormProvider, useForm, useWatch, type FieldErrors, type Resolver } from 'react-hook-form';
import { budgetOf, sayTimes, shortened } from '@/core/game/budget';
import { goalInWords } from '@/core/game/words/goal-words';
import { ballsPlanned } from '@/core/game/calls';
import { ballsOf, phasesOf } from '@/core/game/phases';
import { isPhrase } from '@/core/game/scoring/score-unit';
import { sayUnit } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import { gameSpecSchema, type GameSpec } from '@/core/game/spec';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import type { OwnLengths } from '@/core/game/sizes';
import { ForecastPanel } from '../../forecast/forecast-panel';
import type { Candidate } from '../../forecast/use-beliefs';
import { TargetPlan } from '../target-plan';
import { FormAlert } from '../../form/form-alert';
import type { GreenPlan } from '@/core/green/plan';
import { useLeaveWarning } from '../../form/use-leave-warning';
import { useSave } from '../../form/use-save';
import { saveGameAction } from '../actions';
import { AskedPreview } from './asked-preview';
import styles from './designer.module.scss';
import { LeadInFields } from './lead-in-fields';
import { LengthField, NumberField, TextField, Toggle, usePlainUnit } from './parts';
import { RulesFields, SizesFields } from './rules-fields';
import { ScoringFields } from './scoring-fields';
import { StationFields } from './station-fields';
import { Submit } from '../../form/submit';
import { usePart } from './values';

type Props = {
  slug: string;
  gameId: string;
  initial: GameSpec;
  units: UnitSystem;
  /** When what is changed here had been saved; null for a game that is new. */
  savedAt: Date | null;
  /** The green on whose plan its stations stand. */
  green?: { greenId: string; plan: GreenPlan } | null;
  /** Players for whom it can be forecast, and the coach's own measures. */
  players?: readonly Candidate[];
  coach?: OwnLengths;
};

const UNMEASURED: OwnLengths = { paceM: null, clubM: null, putterM: null };

/** Designs a game: stations, what is aimed at and how it is scored, the rules and what they come to, side by side. */
export function Designer({ slug, gameId, initial, units, savedAt, green = null, players = [], coach = UNMEASURED }: Props) {
  const isNew = savedAt === null;
  const resolver = zodResolver(gameSpecSchema) as unknown as Resolver<GameSpec>;
  const form = useForm<GameSpec>({ resolver, defaultValues: initial, mode: 'onTouched' });
  const { control, formState, getValues } = form;
  const [chosen, setChosen] = useState<string | null>(isNew && initial.stations.length === 1 ? initial.stations[0]!.key : null);
  const router = useRouter();
  useLeaveWarning(formState.isDirty && !formState.isSubmitSuccessful);
  const spec = useWatch({ control }) as GameSpec;
  const setField = (path: string, value: number | null) =>
    form.setValue(path as 'goal', value, { shouldDirty: true, shouldValidate: true });
  const address = `/a/${slug}/games/${gameId}`;
  const save = useSave(
    form,
    (game) => saveGameAction(slug, gameId, game, green?.greenId ?? null, savedAt),
    () => router.push(address),
    (errors) => openFirstWrong(errors, getValues('stations'), setChosen),
  );
  return (
    <FormProvider {...form}>
      <Form noValidate onSubmit={save} className={styles.designer}>
        <section aria-label="Stations" className={styles.left}>
          <h1 className="mb-2">{isNew ? 'A new game' : 'Change a game'}</h1>
          <TextField path="title" label="Title" maxLength={80} />
          <TextField path="about" label="What it trains, and for whom" maxLength={200} className="mt-2" rows={2} />
          <h2 className="mt-3 mb-2">Stations</h2>
          <StationFields units={units} coach={coach} chosen={chosen} onChoose={setChosen} plan={green?.plan ?? null} />
          <div className="mt-3">
            <Toggle path="open" label="Stations are called while you play" />
            {spec.open && (
              <div className={styles.pair}>
                <NumberField path="calls.stations" label="Stations to call" placeholder="any number" />
                <NumberField path="calls.balls" label="Balls at each" placeholder="any number" />
              </div>
            )}
          </div>
        </section>
        <section aria-label="Scoring" className={styles.middle}>
          <ScoringFields
            path="scoring"
            units={units}
            plan={
              <TargetPlan spec={spec} units={units} chosen={spec.stations?.find((station) => station.key === chosen)} onChange={setField} />
            }
          />
          {schemeOf(spec.scoring).zones(spec.scoring).length > 0 && (
            <div className="mt-3">
              <SizesFields units={units} />
            </div>
          )}
          <h2 className="mt-4 mb-2">Rules</h2>
          <RulesFields />
          <h2 className="mt-4 mb-2">Phases before what counts</h2>
          <LeadInFields units={units} coach={coach} />
        </section>
        <section aria-label="In short" className={styles.right}>
          <Outcome
            spec={spec}
            units={units}
            forecast={(game, problem) => (
              <ForecastPanel
                game={game}
                problem={problem}
                desk={{ slug, units, candidates: players, coach }}
                onSet={setField}
                goalField={<GoalField />}
              />
            )}
          />
        </section>
        <div className={styles.foot}>
          <Totals spec={spec} />
          <div className={styles.footKeys}>
            <FormAlert message={formState.errors.root?.message} />
            <Link href={isNew ? `/a/${slug}/games` : address} className="btn btn-outline-dark">
              Cancel
            </Link>
            <Submit busy={formState.isSubmitting}>{isNew ? 'Save the game' : 'Save the change'}</Submit>
          </div>
        </div>
      </Form>
    </FormProvider>
  );
}

/** A station with something wrong in it is opened, so that what is wrong can be seen. */
function openFirstWrong(errors: FieldErrors<GameSpec>, stations: GameSpec['stations'], choose: (key: string) => void) {
  const list = errors.stations;
  const first = Array.isArray(list) ? list.findIndex(Boolean) : -1;
  if (first >= 0) choose(stations[first]!.key);
}

function GoalField() {
  const scoring = usePart('scoring');
  const plain = usePlainUnit();
  const unit = schemeOf(scoring).unit(scoring);
  const system = plain === 'm' ? 'metric' : 'imperial';
  if (unit === 'length') return <LengthField path="goal" label="Goal, in all" unit={plain} />;
  return <NumberField path="goal" label={`Goal, ${isPhrase(unit) ? '' : 'in '}${sayUnit(unit, system)}`} placeholder="none" />;
}

/** What the design comes to, as long as it is a game: a good score, the goal in words, what a player is asked. */
function Outcome({
  spec,
  units,
  forecast,
}: {
  spec: GameSpec;
  units: UnitSystem;
  forecast: (game: GameSpec | null, problem: string | null) => React.ReactNode;
}) {
  const parsed = gameSpecSchema.safeParse({ ...useDeferredValue(spec), title: spec.title || 'x' });
  const game = parsed.success ? parsed.data : null;
  const problem = parsed.success ? null : parsed.error.issues[0]!.message;
  const words = game && goalInWords(game, units);
  return (
    <>
      {forecast(game, problem)}
      {words && <p className="mt-2 mb-0">{words}</p>}
      <h2 className="mt-4 mb-2">What a player is asked</h2>
      {game ? <AskedPreview spec={game} units={units} /> : <p className="small-print">Shown once this is complete: {problem}</p>}
    </>
  );
}

/** The time and the balls that it takes; a short version where it takes long. */
function Totals({ spec }: { spec: GameSpec }) {
  const parsed = gameSpecSchema.safeParse({ ...useDeferredValue(spec), title: spec.title || 'x', goal: null });
  if (!parsed.success) return <p className={styles.totals}>{counted(spec.stations?.length ?? 0, 'station')} so far</p>;
  const game = parsed.data;
  const planned = game.open ? ballsPlanned(game.calls) : null;
  if (game.stations.length === 0)
    return (
      <p className={styles.totals}>
        {planned === null ? (
          'No set length: you call the stations as you play.'
        ) : (
          <>
            <b className="fig">{planned}</b> balls: {counted(game.calls.stations!, 'station')} called, {counted(game.calls.balls!, 'ball')}{' '}
            at each
          </>
        )}
      </p>
    );
  const alone = budgetOf(game);
  const phase = phasesOf(game).at(-1)!;
  const best = sayBest(game, schemeOf(game.scoring).best(phase));
  const balls = phasesOf(game).reduce((sum, one) => sum + one.turns, 0);
  const short = shortened(game, 10);
  return (
    <p className={styles.totals}>
      <b className="fig">{balls}</b> balls{schemeOf(game.scoring).most && ' at most'} · {sayTimes(game)} · bring{' '}
      {counted(alone.balls, 'ball')}
      {best && ` · ${best}`}
      {short && ` · in 10 min: ${ballsOf(short)} balls`}
    </p>
  );
}

/** The most that can be earned, or the fewest that can be needed, in words; empty where neither is a figure worth saying. */
function sayBest(spec: GameSpec, best: number): string {
  const scheme = schemeOf(spec.scoring);
  if (scheme.unit(spec.scoring) === 'length') return '';
  return scheme.better(spec.scoring) === 'higher' ? `at most ${best}` : `at best ${best}`;
}
