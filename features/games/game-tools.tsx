'use client';

import Link from 'next/link';
import { useTransition } from 'react';
import { Button } from 'react-bootstrap';
import { archiveAction } from './actions';

type Props = { slug: string; gameId: string; archived: boolean };

/** What else can be done with a game. Putting it away can be taken back in the same place. */
export function GameTools({ slug, gameId, archived }: Props) {
  const [busy, begin] = useTransition();
  const address = `/a/${slug}/games`;
  return (
    <div className="d-flex flex-wrap gap-2 mt-4 no-print">
      <Link href={`${address}/new?copy=${gameId}`} className="btn btn-outline-dark btn-sm">
        Duplicate
      </Link>
      <Link href={`${address}/${gameId}/levels`} className="btn btn-outline-dark btn-sm">
        Scores by level
      </Link>
      <a href={`${address}/${gameId}/file`} className="btn btn-outline-dark btn-sm" download>
        Save as a file
      </a>
      <Button size="sm" variant="outline-dark" onClick={() => window.print()}>
        Print
      </Button>
      <Button
        size="sm"
        variant="outline-dark"
        disabled={busy}
        onClick={() => begin(async () => void (await archiveAction(slug, gameId, !archived)))}
      >
        {archived ? 'Bring back' : 'Put away'}
      </Button>
      {archived && <span className="small-print align-self-center">Put away: its results stay, and it’s no longer offered.</span>}
    </div>
  );
}
