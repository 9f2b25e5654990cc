'use client';

import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { inPaces } from '@/core/measures/hands';
import { readLength, type OwnMeasures } from '@/core/measures/read-length';
import { CLUB_M, FLAGSTICK_M, PACE_M, PUTTER_M, SHOE_M } from '@/core/measures/sticks';
import { formatLeft } from '@/core/units/format';
import { METRES_PER, type UnitSystem } from '@/core/units/length';
import styles from './measures.module.scss';

const trim = (value: number, decimals: number) => String(Number(value.toFixed(decimals)));

/** Any length in anything, in all the others. */
export function Converter({ own, units }: { own: OwnMeasures; units: UnitSystem }) {
  const [text, setText] = useState('12 paces');
  const metres = readLength(text, METRES_PER[units === 'metric' ? 'm' : 'yd'], own);
  const wrong = Number.isNaN(metres) || metres < 0 || metres > 1000;
  const lines = [
    ['yards', trim(metres / METRES_PER.yd, 1)],
    ['feet and inches', formatLeft(metres, 'imperial')],
    ['metres', trim(metres, 2)],
    ['paces', inPaces(metres, own.paceM ?? PACE_M)],
    ['clubs', trim(metres / (own.clubM ?? CLUB_M), 1)],
    ['putters', trim(metres / (own.putterM ?? PUTTER_M), 1)],
    ['flagsticks', trim(metres / (own.flagstickM ?? FLAGSTICK_M), 1)],
    ['shoes', trim(metres / (own.shoeM ?? SHOE_M), 0)],
  ] as const;
  return (
    <>
      <Form.Group controlId="convert">
        <Form.Label>A length, in anything</Form.Label>
        <Form.Control
          className={`fig ${styles.typed}`}
          autoComplete="off"
          value={text}
          isInvalid={wrong}
          onChange={({ target }) => setText(target.value)}
        />
        <Form.Control.Feedback type="invalid">Enter a length such as 12 paces, 4 ft 3 or 2½ clubs.</Form.Control.Feedback>
      </Form.Group>
      {!wrong && (
        <div role="status">
          <dl className={styles.lines}>
            {lines.map(([word, value]) => (
              <div key={word}>
                <dd className="fig">{value}</dd>
                <dt>{word}</dt>
              </div>
            ))}
          </dl>
        </div>
      )}
      <p className="small-print mb-0">The same works wherever a length is typed: “12 paces”, “2 clubs”, “4 ft 3”.</p>
    </>
  );
}
