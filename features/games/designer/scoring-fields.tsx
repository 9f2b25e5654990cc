'use client';

import { Button, Form } from 'react-bootstrap';
import { useFormContext, useWatch } from 'react-hook-form';
import { SCHEME_KINDS, schemeOf, type SchemeKind, type Scoring } from '@/core/game/scoring';
import { LANDING_SHAPES } from '@/core/game/scoring/landing-zone';
import { cellsOf, MATRIX_AXES, valuesOf, type ShotMatrix } from '@/core/game/scoring/shot-matrix';
import { say } from '@/core/golf/words';
import type { UnitSystem } from '@/core/units/length';
import styles from './designer.module.scss';
import { ChoiceField, idOf, LengthField, NumberField, TextField, Toggle, useFault, usePlainUnit, ZoneField } from './parts';
import { RingFields } from './ring-fields';

type Props = {
  path: string;
  units: UnitSystem;
  only?: readonly SchemeKind[];
  /** What is aimed at, drawn between the way of scoring and its figures. */
  plan?: React.ReactNode;
};

/** How it is scored: the way, and what that way needs. */
export function ScoringFields({ path, units, only, plan }: Props) {
  const { setValue, clearErrors, getValues } = useFormContext();
  const scheme = useWatch({ name: `${path}.scheme` }) as SchemeKind;
  const fault = useFault(path);
  const change = (kind: SchemeKind) => {
    clearErrors(path);
    setValue(path, schemeOf({ scheme: kind }).fresh(units), { shouldDirty: true });
    if (path === 'scoring') followScheme(kind, getValues, setValue);
  };
  return (
    <div>
      <Form.Group controlId={`${idOf(path)}-scheme`}>
        <Form.Label>Scored by</Form.Label>
        <Form.Select value={scheme} onChange={(event) => change(event.target.value as SchemeKind)} isInvalid={fault !== undefined}>
          {(only ?? SCHEME_KINDS).map((kind) => (
            <option key={kind} value={kind}>
              {schemeOf({ scheme: kind }).label}
            </option>
          ))}
        </Form.Select>
        <Form.Control.Feedback type="invalid">{fault}</Form.Control.Feedback>
      </Form.Group>
      <p className="small-print mt-1 mb-2">{schemeOf({ scheme }).about}</p>
      {plan}
      <SchemeFields path={path} scheme={scheme} />
    </div>
  );
}

/** The run with which a new streak begins. */
const FRESH_RUN = 5;

/** What follows by itself from another way of scoring: balls a station, a par, a carry, an order that it can have. */
function followScheme(
  kind: SchemeKind,
  getValues: ReturnType<typeof useFormContext>['getValues'],
  setValue: ReturnType<typeof useFormContext>['setValue'],
) {
  const scheme = schemeOf({ scheme: kind });
  const stations = getValues('stations') as { balls: number; carryM: number | null; par: number | null; distanceM: number }[];
  stations.forEach((station, i) => {
    if (!scheme.countsBalls) setValue(`stations.${i}.balls`, 1);
    if (kind === 'landing_zone' && station.carryM === null && Number.isFinite(station.distanceM))
      setValue(`stations.${i}.carryM`, Math.round((station.distanceM / 2) * 1e4) / 1e4);
    if (kind === 'hole_out' && station.par === null) setValue(`stations.${i}.par`, 2);
  });
  const balls = stations.reduce((sum, station) => sum + (station.balls || 0), 0);
  // A run needs enough balls to be had: about twice as many as it is long.
  if (kind === 'streak' && balls < FRESH_RUN)
    stations.forEach((_, i) => setValue(`stations.${i}.balls`, Math.ceil((2 * FRESH_RUN) / stations.length)));
  if (kind === 'ladder' || (kind === 'nearest_wins' && getValues('order') === 'choice')) setValue('order', 'blocked');
  setValue('goal', null);
}

function SchemeFields({ path, scheme }: { path: string; scheme: Scoring['scheme'] }) {
  switch (scheme) {
    case 'ring_points':
      return <RingFields path={path} />;
    case 'total_left':
      return <FarField path={path} />;
    case 'hits':
      return <ZoneField path={`${path}.radiusM`} label="A hit is inside" />;
    case 'landing_zone':
      return <LandingFields path={path} />;
    case 'hole_out':
      return (
        <div className={styles.pair}>
          <NumberField path={`${path}.pickUpAfter`} label="Picked up after, strokes" />
          <NumberField path={`${path}.extraFromLevel`} label="One more stroke from level" placeholder="nobody" />
        </div>
      );
    case 'ladder':
      return <LadderFields path={path} />;
    case 'nearest_wins':
      return <NearestFields path={path} />;
    case 'shot_matrix':
      return <MatrixFields path={path} />;
    case 'club_trial':
      return <ClubFields path={path} />;
    case 'streak':
      return (
        <>
          <ZoneField path={`${path}.radiusM`} label="The run goes on inside" />
          <div className={styles.pair}>
            <NumberField path={`${path}.until`} label="Over with, in a row" placeholder="all balls" />
            <ChoiceField
              path={`${path}.counts`}
              label="The score is"
              options={[
                ['run', 'the longest run'],
                ['balls', 'the balls it took'],
              ]}
            />
          </div>
        </>
      );
  }
}

function FarField({ path }: { path: string }) {
  return <LengthField path={`${path}.farM`} label="Not measured, and counted as, outside" unit={usePlainUnit()} />;
}

function LandingFields({ path }: { path: string }) {
  const { setValue } = useFormContext();
  const finishM = useWatch({ name: `${path}.finishM` }) as number | null;
  const shape = useWatch({ name: `${path}.shape` }) as (typeof LANDING_SHAPES)[number];
  const size = { circle: 'Radius of the circle', strip: 'Half the strip, short and long', peg: 'Tolerance round the peg' }[shape];
  return (
    <>
      <div className={styles.pair}>
        <ChoiceField path={`${path}.shape`} label="Landing zone" options={LANDING_SHAPES.map((word) => [word, word])} />
        <ZoneField path={`${path}.sizeM`} label={size} holeToo={false} />
      </div>
      <Form.Check
        type="switch"
        id={`${idOf(path)}-finish`}
        className="my-2"
        label="It must also finish near the hole"
        checked={finishM !== null}
        onChange={(event) => setValue(`${path}.finishM`, event.target.checked ? 1.8288 : null, { shouldDirty: true })}
      />
      {finishM !== null && <ZoneField path={`${path}.finishM`} label="Finish inside" holeToo={false} />}
    </>
  );
}

function LadderFields({ path }: { path: string }) {
  return (
    <>
      <ZoneField path={`${path}.radiusM`} label="Climbs inside" />
      <div className={styles.pair}>
        <NumberField path={`${path}.drop`} label="A miss drops, rungs" />
        <ChoiceField
          path={`${path}.bottom`}
          label="The lowest rung is"
          options={[
            ['floor', 'a floor'],
            ['end', 'the edge: below it, the end'],
          ]}
        />
        <ChoiceField
          path={`${path}.counts`}
          label="The score is"
          options={[
            ['balls', 'balls used'],
            ['rungs', 'the highest rung'],
          ]}
        />
        <NumberField path={`${path}.mostBalls`} label="Balls at most" />
      </div>
      <Toggle path={`${path}.byTurns`} label="By turns: over when somebody has passed the last rung" />
    </>
  );
}

function NearestFields({ path }: { path: string }) {
  return (
    <>
      <div className={styles.pair}>
        <NumberField path={`${path}.firstTo`} label="First to, points" placeholder="all balls" />
        <ChoiceField
          path={`${path}.ties`}
          label="Equally near"
          options={[
            ['nobody', 'nobody takes it'],
            ['each', 'each takes it'],
          ]}
        />
        <NumberField path={`${path}.callPoints`} label="A kept call earns" placeholder="no calls" />
        <FarField path={path} />
      </div>
    </>
  );
}

const AXIS_WORDS = { trajectory: 'Flight', shape: 'Shape', swingWidth: 'Swing width' } as const;

function MatrixFields({ path }: { path: string }) {
  const { setValue, clearErrors } = useFormContext();
  const scoring = useWatch({ name: path }) as ShotMatrix;
  const fault = useFault(`${path}.trajectory`);
  return (
    <>
      {MATRIX_AXES.map((axis) => (
        <fieldset key={axis} className="mb-2">
          <legend className={styles.legend}>{AXIS_WORDS[axis]}</legend>
          <div className={styles.chips}>
            {valuesOf(axis).map((value) => {
              const chosen = (scoring[axis] as readonly string[]).includes(value);
              const next = valuesOf(axis).filter((one) => (one === value) !== (scoring[axis] as readonly string[]).includes(one));
              return (
                <Button
                  key={value}
                  size="sm"
                  variant={chosen ? 'dark' : 'outline-dark'}
                  aria-pressed={chosen}
                  onClick={() => {
                    clearErrors(path);
                    setValue(`${path}.${axis}`, next, { shouldDirty: true });
                  }}
                >
                  {say(value)}
                </Button>
              );
            })}
          </div>
          <AxisFault path={`${path}.${axis}`} skip={axis === 'trajectory'} />
        </fieldset>
      ))}
      {fault && (
        <p role="alert" className="text-danger fw-semibold">
          {fault}
        </p>
      )}
      <p className="small-print">{cellsOf(scoring).length} different shots at each station</p>
    </>
  );
}

function AxisFault({ path, skip }: { path: string; skip: boolean }) {
  const fault = useFault(path);
  return fault && !skip ? <p className="text-danger fw-semibold mb-1">{fault}</p> : null;
}

function ClubFields({ path }: { path: string }) {
  const { setValue, getValues, trigger } = useFormContext();
  const clubs = useWatch({ name: `${path}.clubs` }) as string[];
  const fault = useFault(`${path}.clubs`);
  const change = (next: string[]) => {
    setValue(`${path}.clubs`, next, { shouldDirty: true });
    if (fault) void trigger(path);
  };
  return (
    <>
      <p className="small-print mb-1">From the longest to the shortest: those that follow each other are neighbours.</p>
      <ol className={styles.clubs}>
        {clubs.map((_, i) => (
          <li key={i}>
            <TextField path={`${path}.clubs.${i}`} label={`Club ${i + 1}`} maxLength={20} />
            <Button
              size="sm"
              variant="outline-dark"
              onClick={() => change((getValues(`${path}.clubs`) as string[]).filter((_club, at) => at !== i))}
            >
              Remove<span className="visually-hidden"> club {i + 1}</span>
            </Button>
          </li>
        ))}
      </ol>
      {fault && (
        <p role="alert" className="text-danger fw-semibold">
          {fault}
        </p>
      )}
      <Button size="sm" variant="outline-dark" className="mb-2" disabled={clubs.length >= 14} onClick={() => change([...clubs, ''])}>
        Add club
      </Button>
      <FarField path={path} />
    </>
  );
}
