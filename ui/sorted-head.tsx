import type { ReactNode } from 'react';

type Props = {
  sorted: 'asc' | 'desc' | false;
  onSort: ((event: unknown) => void) | undefined;
  className?: string | undefined;
  children: ReactNode;
};

/** The head of a column that is sorted by pressing it, up and then down. */
export function SortedHead({ sorted, onSort, className, children }: Props) {
  return (
    <th scope="col" className={className} aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}>
      <button type="button" onClick={onSort}>
        {children}
        <span aria-hidden="true">{sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}</span>
      </button>
    </th>
  );
}
