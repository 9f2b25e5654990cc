'use client';

import { Form } from 'react-bootstrap';
import type { Named } from './who-choice';

type Props = {
  greens: readonly Named[];
  greenId: string | null | undefined;
  onChange: (greenId: string | null) => void;
  /** Its name where no label stands beside it. */
  label?: string;
};

/** On which green, or on any. */
export function GreenChoice({ greens, greenId, onChange, label }: Props) {
  return (
    <Form.Select aria-label={label} value={greenId ?? ''} onChange={({ target }) => onChange(target.value || null)}>
      <option value="">any green</option>
      {greens.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Form.Select>
  );
}
