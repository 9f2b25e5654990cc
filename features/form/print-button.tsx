'use client';

import { Button } from 'react-bootstrap';

/** Prints the page as it stands. */
export function PrintButton({ variant = 'primary' }: { variant?: string }) {
  return (
    <Button variant={variant} onClick={() => window.print()}>
      Print
    </Button>
  );
}
