'use client';

import { Form } from 'react-bootstrap';
import { LINK_DAYS, type LinkDays } from '@/core/people/link';

/** For how long a link is made. */
export function DaysSelect({ days, onDays }: { days: LinkDays; onDays: (days: LinkDays) => void }) {
  return (
    <Form.Select aria-label="Valid for" value={days} onChange={(event) => onDays(Number(event.target.value) as LinkDays)}>
      {LINK_DAYS.map(([count, words]) => (
        <option key={count} value={count}>
          {words}
        </option>
      ))}
    </Form.Select>
  );
}
