import { useState, type ReactNode } from 'react';
import { Button } from 'react-bootstrap';

/** So many rows of a list are drawn at first. */
const FIRST = 50;

/** Rows of a list that are not on the page yet: how many there are in all, how to ask for them, and whether they are on their way. */
export type Others = { of: number; ask: () => void; asked: boolean };

/**
 * Of a long list the first rows, as it is sorted, and a button that shows all of them: hundreds of rows make a page slow that is mostly
 * looked at from its top.
 * @param others where the page has only the first of them
 */
export function useShowAll<Row>(rows: readonly Row[], others: Others | null = null): { shown: readonly Row[]; more: ReactNode } {
  const [all, setAll] = useState(false);
  if (!others && (all || rows.length <= FIRST)) return { shown: rows, more: null };
  const show = () => {
    setAll(true);
    others?.ask();
  };
  return {
    shown: rows.slice(0, FIRST),
    more: others?.asked ? (
      <p className="mt-2 small-print no-print" role="status">
        Loading all {others.of} …
      </p>
    ) : (
      <Button variant="outline-dark" className="mt-2 no-print" onClick={show}>
        Show all {others?.of ?? rows.length}
      </Button>
    ),
  };
}
