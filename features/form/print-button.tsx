'use client';

import { Button } from 'react-bootstrap';

/** Prints the page as it stands. */
export function PrintButton() {
  return <Button onClick={() => window.print()}>Print</Button>;
}
