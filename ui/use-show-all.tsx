import { useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';

/** So many rows of a list are drawn at first. */
const FIRST = 50;

/**
 * Of a long list the first rows, as it is sorted, and a button that shows all of them: hundreds of rows make a page slow that is mostly
 * looked at from its top.
 */
export function useShowAll<Row>(rows: readonly Row[]): { shown: readonly Row[]; more: ReactNode } {
  const [all, setAll] = useState(false);
  if (all || rows.length <= FIRST) return { shown: rows, more: null };
  return {
    shown: rows.slice(0, FIRST),
    more: (
      <Button variant="outline-dark" className="mt-2 no-print" onClick={() => setAll(true)}>
        Show all {rows.length}
      </Button>
    ),
  };
}
