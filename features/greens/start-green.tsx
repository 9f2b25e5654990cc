'use client';

import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useForm, useWatch } from 'react-hook-form';
import * as z from 'zod';
import { faultOf, type Outline } from '@/core/geometry/polygon';
import { COMPASS, pacedOutline, START_SHAPES, startShape, type StartShape } from '@/core/green/shapes';
import { greenPlanSchema, type GreenPlan } from '@/core/green/plan';
import { PACE_M } from '@/core/measures/sticks';
import { counted } from '@/core/units/format';
import { METRES_PER, toMetres, type UnitSystem } from '@/core/units/length';
import { Choice, Field } from '../form/field';
import { asNumber } from '../form/numbers';
import { GreenEditor } from './editor/editor';
import styles from './greens.module.scss';

type Props = { slug: string; greenId: string; system: UnitSystem; paceM: number | null; openFile: React.ReactNode };

/** A plan of which nothing is known but its outline. */
function planOf(title: string, outline: Outline, withHole: boolean): GreenPlan {
  return {
    ...BLANK,
    title,
    outline,
    holes: withHole ? [{ key: 'h1', label: 'A', target: 'hole', at: [0, 0] }] : [],
  };
}
const BLANK = greenPlanSchema.parse({
  format: 'inch-green',
  version: 1,
  title: 'A green',
  outline: startShape('round', 10, 10),
  fringeM: toMetres(3, 'ft'),
});

/** How a green is begun: from a shape, from paces, or corner by corner; then its plan is drawn further. */
export function StartGreen({ slug, greenId: offered, system, paceM, openFile }: Props) {
  // The first id that was offered: a page that is refreshed offers another one.
  const [greenId] = useState(offered);
  const [begun, setBegun] = useState<GreenPlan | null>(null);
  const [title, setTitle] = useState('');
  if (begun) return <GreenEditor slug={slug} greenId={greenId} initial={begun} system={system} paceM={paceM} last={null} games={[]} />;
  const begin = (outline: Outline, withHole = false) => setBegun(planOf(title.trim() || 'A green', outline, withHole));
  return (
    <div className="p-3 p-md-4" style={{ maxWidth: '74rem' }}>
      <h1 className="mb-3">A new green</h1>
      <Form.Group controlId="green-title" className="mb-3" style={{ maxWidth: '24rem' }}>
        <Form.Label>Name</Form.Label>
        <Form.Control
          value={title}
          maxLength={80}
          autoComplete="off"
          placeholder="A green"
          onChange={(event) => setTitle(event.target.value)}
        />
      </Form.Group>
      <div className={styles.ways}>
        <PaceItOut system={system} paceM={paceM} onBegin={(outline) => begin(outline, true)} />
        <FromShape system={system} onBegin={begin} />
        <section className="panel">
          <h2 className="mb-2">Draw it, or open a file</h2>
          <p>Tap it in corner by corner, or open a GeoJSON file: one saved here, or one from a map.</p>
          <div className="d-flex flex-wrap gap-2">
            <Button onClick={() => begin([])}>Draw it</Button>
            {openFile}
          </div>
        </section>
      </div>
    </div>
  );
}

/** A number between two bounds. */
const between = (least: number, most: number, unit: string) => {
  const bounds = `From ${least} to ${most} ${unit}.`;
  return z.number({ error: 'Enter a number.' }).min(least, bounds).max(most, bounds);
};

const WALK_UNITS = { pace: 'paces', yd: 'yd', m: 'm' } as const;
type WalkUnit = keyof typeof WALK_UNITS;
const walked = (unit: WalkUnit) =>
  z.object({ unit: z.literal(unit), walked: z.array(between(1, 80, WALK_UNITS[unit])).length(COMPASS.length) });
const walkSchema = z.discriminatedUnion('unit', [walked('pace'), walked('yd'), walked('m')]);
type Walk = z.infer<typeof walkSchema>;

/** The outline from distances walked at eight compass points round a hole. */
function PaceItOut({ system, paceM, onBegin }: { system: UnitSystem; paceM: number | null; onBegin: (outline: Outline) => void }) {
  const form = useForm<Walk>({
    resolver: zodResolver(walkSchema),
    defaultValues: { unit: system === 'metric' ? 'm' : 'pace', walked: [] },
    mode: 'onChange',
  });
  const { register, control, formState, handleSubmit, getValues, setError, trigger } = form;
  const { errors, isSubmitted } = formState;
  const typed = useWatch({ control });
  const unitM = (unit: WalkUnit) => (unit === 'pace' ? (paceM ?? PACE_M) : METRES_PER[unit]);
  const read = walkSchema.safeParse({ ...typed, walked: typed.walked?.map((one) => asNumber(one)) });
  const outlineOf = (walk: Walk) => pacedOutline(walk.walked.map((figure) => figure * unitM(walk.unit)));
  const unit = typed.unit ?? 'pace';
  const missing = COMPASS.filter((_, i) => !asNumber(getValues(`walked.${i}`) ?? null)).length;
  const begin = handleSubmit((walk) => {
    const outline = outlineOf(walk);
    const fault = faultOf(outline);
    if (fault) setError('root', { message: fault });
    else onBegin(outline);
  });
  return (
    <Form noValidate onSubmit={begin} className="panel">
      <h2 className="mb-2">Pace it out</h2>
      <p>Stand at a hole and pace to the edge in eight directions. Call any fixed direction north; it’s up on the plan.</p>
      <div className="mb-2" style={{ maxWidth: '13rem' }}>
        <Choice
          id="pace-unit"
          label="Counted in"
          // What was typed is held to the bounds of another unit now.
          register={register('unit', { onChange: () => isSubmitted && void trigger() })}
          options={[
            ['pace', 'paces'],
            ['yd', 'yards'],
            ['m', 'metres'],
          ]}
        />
      </div>
      {unit === 'pace' && (
        <p className="small-print">
          {paceM === null
            ? 'Your pace hasn’t been measured, so one pace counts as a yard. Measure it in Settings.'
            : `Yours: ${system === 'metric' ? `${paceM.toFixed(2)} m` : `${Math.round(paceM / METRES_PER.in)} in`} each.`}
        </p>
      )}
      <div className={styles.paces}>
        <div className={styles.compass}>
          {COMPASS.map((point, i) => (
            <Field
              key={point}
              id={`walk-${point}`}
              label={point}
              className="fig"
              inputMode="decimal"
              autoComplete="off"
              register={register(`walked.${i}`, { setValueAs: asNumber })}
              error={errors.walked?.[i]?.message}
            />
          ))}
        </div>
        <Rose
          outline={read.success ? outlineOf(read.data) : null}
          walked={COMPASS.map((_, i) => (asNumber(typed.walked?.[i] ?? null) || 0) * unitM(unit))}
        />
      </div>
      {errors.root && <p className="text-danger fw-semibold">{errors.root.message}</p>}
      <Button type="submit">Use this outline</Button>
      {isSubmitted && missing > 0 && (
        <p role="alert" className="text-danger fw-semibold mt-2 mb-0">
          {counted(missing, 'distance')} still missing.
        </p>
      )}
    </Form>
  );
}

/** Paced so far, as spokes from the hole, and the outline once all are there. */
function Rose({ outline, walked }: { outline: Outline | null; walked: readonly number[] }) {
  const reach = Math.max(4, ...walked) * 1.15;
  return (
    <svg viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`} role="img" aria-label="Paced so far" width="100%">
      {outline && (
        <path
          d={`M${outline.map(([x, y]) => `${x},${-y}`).join('L')}Z`}
          fill="var(--green)"
          stroke="var(--ink)"
          strokeWidth={1.8}
          vectorEffect="non-scaling-stroke"
        />
      )}
      {walked.map((metres, i) => {
        const a = (i * Math.PI) / 4;
        const [x, y] = [Math.sin(a), -Math.cos(a)];
        return (
          <g key={i}>
            <line
              x1={0}
              y1={0}
              x2={x * reach * 0.9}
              y2={y * reach * 0.9}
              stroke="var(--line-2)"
              strokeDasharray="3 5"
              vectorEffect="non-scaling-stroke"
            />
            {metres > 0 && (
              <line x1={0} y1={0} x2={x * metres} y2={y * metres} stroke="var(--tape)" strokeWidth={6} vectorEffect="non-scaling-stroke" />
            )}
          </g>
        );
      })}
      <circle r={reach * 0.035} fill="var(--flag)" />
    </svg>
  );
}

/** Shapes that are as wide as they are long. */
const isEven = (shape: StartShape) => shape === 'round' || shape === 'square';

/** A simple shape of a given size. */
function FromShape({ system, onBegin }: { system: UnitSystem; onBegin: (outline: Outline) => void }) {
  const unit = system === 'metric' ? 'm' : 'yd';
  const size = between(3, 90, unit);
  const form = useForm({
    resolver: zodResolver(z.object({ shape: z.enum(START_SHAPES), length: size, width: size })),
    defaultValues: { shape: 'kidney' as StartShape, length: 26, width: 18 },
    mode: 'onChange',
  });
  const { register, control, formState, handleSubmit } = form;
  const { errors } = formState;
  const even = isEven(useWatch({ control, name: 'shape' }));
  const begin = handleSubmit(({ shape, length, width }) => onBegin(startShape(shape, toMetres(length, unit), toMetres(width, unit))));
  const field = { className: 'fig', inputMode: 'decimal', autoComplete: 'off' } as const;
  const withUnit = (label: string) => (
    <>
      {label} <span className="small-print">{unit}</span>
    </>
  );
  return (
    <Form noValidate onSubmit={begin} className="panel">
      <h2 className="mb-2">From a shape</h2>
      <fieldset>
        <legend className="visually-hidden">Shape</legend>
        <div className={styles.shapes}>
          {START_SHAPES.map((one) => (
            <label key={one}>
              <input type="radio" value={one} defaultChecked={one === 'kidney'} {...register('shape')} />
              <svg viewBox="-16 -12 32 24" width="100%" height={38} aria-hidden="true">
                <path
                  d={`M${startShape(one, isEven(one) ? 18 : 27, 18)
                    .map(([x, y]) => `${x},${-y}`)
                    .join('L')}Z`}
                  fill="var(--green)"
                  stroke="var(--ink)"
                  strokeWidth={1.4}
                />
              </svg>
              {one}
            </label>
          ))}
        </div>
      </fieldset>
      <div className={styles.sizes}>
        <Field
          id="shape-length"
          label={withUnit('Across')}
          {...field}
          register={register('length', { setValueAs: asNumber })}
          error={errors.length?.message}
        />
        {!even && (
          <Field
            id="shape-width"
            label={withUnit('Up and down')}
            {...field}
            register={register('width', { setValueAs: asNumber })}
            error={errors.width?.message}
          />
        )}
      </div>
      <Button type="submit">Use this shape</Button>
    </Form>
  );
}
