'use client';

import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { faultOf, type Outline } from '@/core/geometry/polygon';
import { COMPASS, pacedOutline, START_SHAPES, startShape, type StartShape } from '@/core/green/shapes';
import { greenPlanSchema, type GreenPlan } from '@/core/green/plan';
import { PACE_M } from '@/core/measures/sticks';
import { counted } from '@/core/units/format';
import { METRES_PER, toMetres, type UnitSystem } from '@/core/units/length';
import { readNumber } from '@/ui/length-input';
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
          <p>Corner by corner, on a plan to scale; or a green that was saved as GeoJSON, from here or from a map.</p>
          <div className="d-flex flex-wrap gap-2">
            <Button onClick={() => begin([])}>Draw it</Button>
            {openFile}
          </div>
        </section>
      </div>
    </div>
  );
}

/** The figure that was typed, or what is wrong with it, between two bounds. */
function read(text: string, least: number, most: number, unit: string): { figure: number; fault: null } | { figure: null; fault: string } {
  const figure = readNumber(text);
  if (figure === null || Number.isNaN(figure)) return { figure: null, fault: 'Give a number.' };
  return figure < least || figure > most ? { figure: null, fault: `From ${least} to ${most} ${unit}.` } : { figure, fault: null };
}

/** The outline from distances walked at eight compass points round a hole. */
function PaceItOut({ system, paceM, onBegin }: { system: UnitSystem; paceM: number | null; onBegin: (outline: Outline) => void }) {
  const [walked, setWalked] = useState<string[]>(() => COMPASS.map(() => ''));
  const [unit, setUnit] = useState<'pace' | 'yd' | 'm'>(system === 'metric' ? 'm' : 'pace');
  const [tried, setTried] = useState(false);
  const unitM = unit === 'pace' ? (paceM ?? PACE_M) : METRES_PER[unit];
  const figures = walked.map((text) => read(text, 1, 80, unit === 'pace' ? 'paces' : unit));
  const done = figures.every((one) => one.fault === null);
  const outline = done ? pacedOutline(figures.map((one) => one.figure! * unitM)) : null;
  const fault = outline && faultOf(outline);
  const missing = figures.filter((one) => one.fault !== null).length;
  return (
    <section className="panel">
      <h2 className="mb-2">Pace it out</h2>
      <p>Stand at a hole and walk to the edge in eight directions. North is up the plan; any fixed direction will do.</p>
      <Form.Group controlId="pace-unit" className="mb-2" style={{ maxWidth: '13rem' }}>
        <Form.Label>Counted in</Form.Label>
        <Form.Select value={unit} onChange={(event) => setUnit(event.target.value as typeof unit)}>
          <option value="pace">paces</option>
          <option value="yd">yards</option>
          <option value="m">metres</option>
        </Form.Select>
        {unit === 'pace' && (
          <p className="small-print mt-1 mb-0">
            {paceM === null
              ? 'Your pace was never measured: a yard each. Measure it in the settings.'
              : `Yours: ${system === 'metric' ? `${paceM.toFixed(2)} m` : `${Math.round(paceM / METRES_PER.in)} in`} each.`}
          </p>
        )}
      </Form.Group>
      <div className={styles.paces}>
        <div className={styles.compass}>
          {COMPASS.map((point, i) => {
            const wrong = (tried || walked[i] !== '') && figures[i]!.fault !== null;
            return (
              <Form.Group key={point} controlId={`walk-${point}`}>
                <Form.Label>{point}</Form.Label>
                <Form.Control
                  className="fig"
                  inputMode="decimal"
                  autoComplete="off"
                  value={walked[i]!}
                  isInvalid={wrong}
                  aria-describedby={wrong ? `walk-${point}-error` : undefined}
                  onChange={(event) => setWalked(walked.map((one, n) => (n === i ? event.target.value : one)))}
                />
                <Form.Control.Feedback type="invalid" id={`walk-${point}-error`}>
                  {figures[i]!.fault}
                </Form.Control.Feedback>
              </Form.Group>
            );
          })}
        </div>
        <Rose outline={outline} walked={figures.map((one) => (one.figure ?? 0) * unitM)} />
      </div>
      {fault && <p className="text-danger fw-semibold">{fault}</p>}
      <Button
        onClick={() => {
          setTried(true);
          if (outline && !fault) onBegin(outline);
        }}
      >
        Begin with this outline
      </Button>
      {tried && missing > 0 && (
        <p role="alert" className="text-danger fw-semibold mt-2 mb-0">
          {counted(missing, 'distance')} still missing.
        </p>
      )}
    </section>
  );
}

/** What was walked so far, as spokes from the hole, and the outline once all are there. */
function Rose({ outline, walked }: { outline: Outline | null; walked: readonly number[] }) {
  const reach = Math.max(4, ...walked) * 1.15;
  return (
    <svg viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`} role="img" aria-label="What was walked so far" width="100%">
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

/** A simple shape of a given size. */
function FromShape({ system, onBegin }: { system: UnitSystem; onBegin: (outline: Outline) => void }) {
  const [shape, setShape] = useState<StartShape>('kidney');
  const [length, setLength] = useState('26');
  const [width, setWidth] = useState('18');
  const unit = system === 'metric' ? 'm' : 'yd';
  const [long, wide] = [read(length, 3, 90, unit), read(width, 3, 90, unit)];
  const even = shape === 'round' || shape === 'square';
  const fault = long.fault ?? (even ? null : wide.fault);
  return (
    <section className="panel">
      <h2 className="mb-2">From a shape</h2>
      <fieldset>
        <legend className="visually-hidden">Shape</legend>
        <div className={styles.shapes}>
          {START_SHAPES.map((one) => (
            <label key={one}>
              <input type="radio" name="shape" checked={shape === one} onChange={() => setShape(one)} />
              <svg viewBox="-16 -12 32 24" width="100%" height={38} aria-hidden="true">
                <path
                  d={`M${startShape(one, one === 'round' || one === 'square' ? 18 : 27, 18)
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
        {(
          [
            ['shape-length', 'Across', length, setLength, long.fault],
            ['shape-width', 'Up and down', width, setWidth, even ? null : wide.fault],
          ] as const
        ).map(([id, label, text, set, wrong], i) => (
          <Form.Group key={id} controlId={id}>
            <Form.Label>
              {label} <span className="small-print">{unit}</span>
            </Form.Label>
            <Form.Control
              className="fig"
              inputMode="decimal"
              autoComplete="off"
              disabled={i === 1 && even}
              value={i === 1 && even ? length : text}
              isInvalid={wrong !== null}
              aria-describedby={wrong ? `${id}-error` : undefined}
              onChange={(event) => set(event.target.value)}
            />
            <Form.Control.Feedback type="invalid" id={`${id}-error`}>
              {wrong}
            </Form.Control.Feedback>
          </Form.Group>
        ))}
      </div>
      <Button
        disabled={fault !== null}
        onClick={() =>
          long.figure !== null && onBegin(startShape(shape, toMetres(long.figure, unit), toMetres(wide.figure ?? long.figure, unit)))
        }
      >
        Begin with this shape
      </Button>
    </section>
  );
}
