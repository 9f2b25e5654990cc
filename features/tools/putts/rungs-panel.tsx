'use client';

import Link from 'next/link';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { BREAKS, SLOPES } from '@/core/game/station';
import { say } from '@/core/golf/words';
import { PUTTER_M } from '@/core/measures/sticks';
import { rungDistances, rungsSchema, type Rungs } from '@/core/tools/rungs';
import { capital, formatLength, listed } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import { LengthInput } from '@/ui/length-input';
import { PLAIN } from '../fields';
import styles from './putts.module.scss';

type Props = { slug: string; putterM: number | null; units: UnitSystem };
type Typed = { [Key in keyof Rungs]: Rungs[Key] extends number ? number | null : Rungs[Key] };

/** Putts along one line, in putter-lengths or feet: a game of them is one press away. */
export function RungsPanel({ slug, putterM, units }: Props) {
  const plain = units === 'metric' ? 'm' : 'ft';
  const putter = putterM ?? PUTTER_M;
  const [typed, setTyped] = useState<Typed>({ firstM: putter, stepM: putter, rungs: 6, unit: 'putter', slope: null, breaks: null });
  const set = (change: Partial<Typed>) => setTyped({ ...typed, ...change });
  const read = rungsSchema.safeParse(typed);
  const faultOf = (key: keyof Rungs) => read.error?.issues.find(({ path }) => path[0] === key)?.message;
  const unit = typed.unit === 'putter' ? { word: 'putters', metres: putter } : plain;
  const choice = (key: 'slope' | 'breaks', label: string, options: readonly string[], none: string) => (
    <Form.Group controlId={`rungs-${key}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Select value={typed[key] ?? ''} onChange={({ target }) => set({ [key]: target.value || null })}>
        <option value="">{none}</option>
        {options.map((one) => (
          <option key={one} value={one}>
            {capital(say(one))}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  return (
    <section aria-label="Rungs">
      <h2>Rungs along one line</h2>
      <div className={styles.lies}>
        <Form.Group controlId="rungs-unit">
          <Form.Label>Measured in</Form.Label>
          <Form.Select
            value={typed.unit}
            onChange={({ target }) => {
              const long = target.value === 'putter' ? putter : units === 'metric' ? 1 : 3 * METRES_PER.ft;
              set({ unit: target.value as Rungs['unit'], firstM: long, stepM: long });
            }}
          >
            <option value="putter">putters</option>
            <option value={plain}>{plain === 'm' ? 'metres' : 'feet'}</option>
          </Form.Select>
        </Form.Group>
        <LengthInput
          id="rungs-first"
          label="First"
          unit={unit}
          value={typed.firstM}
          error={faultOf('firstM')}
          onChange={(firstM) => set({ firstM })}
        />
        <LengthInput
          id="rungs-step"
          label="Then every"
          unit={unit}
          value={typed.stepM}
          error={faultOf('stepM')}
          onChange={(stepM) => set({ stepM })}
        />
        <LengthInput
          id="rungs-count"
          label="Rungs"
          unit={PLAIN}
          value={typed.rungs}
          error={faultOf('rungs')}
          onChange={(rungs) => set({ rungs })}
        />
        {choice('slope', 'Slope', SLOPES, 'level')}
        {choice('breaks', 'Break', BREAKS, 'any')}
      </div>
      {read.success && (
        <p className="mb-0">
          {listed(rungDistances(read.data).map((metres) => formatLength(metres, plain)))}.{' '}
          <Link href={`/a/${slug}/games/new?rungs=${encodeURIComponent(JSON.stringify(read.data))}`}>Make a game of them</Link>
        </p>
      )}
    </section>
  );
}
