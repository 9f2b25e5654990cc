'use client';

import { usePathname, useRouter } from 'next/navigation';
import { Form } from 'react-bootstrap';

/** The day that divides before from since. */
export function SinceForm({ day }: { day: string }) {
  const router = useRouter();
  const path = usePathname();
  return (
    <Form.Group controlId="since" className="d-flex align-items-center gap-2 no-print">
      <Form.Label className="mb-0 text-nowrap">Before and since</Form.Label>
      <Form.Control
        type="date"
        defaultValue={day}
        key={day}
        onChange={(event) => event.target.value && router.replace(`${path}?since=${event.target.value}`, { scroll: false })}
      />
    </Form.Group>
  );
}
