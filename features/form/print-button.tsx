'use client';

import { Button } from 'react-bootstrap';

/** Prints the page as it stands. */
export function PrintButton({ variant = 'primary', label = 'Print' }: { variant?: string; label?: string }) {
  return (
    <Button variant={variant} onClick={() => window.print()}>
      {label}
    </Button>
  );
}
