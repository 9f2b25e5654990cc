'use client';

import { Form } from 'react-bootstrap';

type Props = {
  greens: readonly { id: string; name: string }[];
  greenId: string | null | undefined;
  onChange: (greenId: string | null) => void;
  /** Its name where no label stands beside it. */
  label?: string;
  /** What stands for none of them. */
  none?: string;
};

/** On which green, or on any. */
export function GreenChoice({ greens, greenId, onChange, label, none = 'any green' }: Props) {
  return (
    <Form.Select aria-label={label} value={greenId ?? ''} onChange={({ target }) => onChange(target.value || null)}>
      <option value="">{none}</option>
      {greens.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </Form.Select>
  );
}
