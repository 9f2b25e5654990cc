'use client';

import { useTransition } from 'react';
import { Button } from 'react-bootstrap';
import { archiveGreenAction } from './actions';

type Props = { slug: string; greenId: string; archived: boolean };

/** What else can be done with a green that is saved. */
export function GreenTools({ slug, greenId, archived }: Props) {
  const [busy, begin] = useTransition();
  return (
    <div className="d-flex flex-wrap gap-2 mt-3">
      <a href={`/a/${slug}/greens/${greenId}/plan`} className="btn btn-outline-dark btn-sm">
        Print plan
      </a>
      <a href={`/a/${slug}/greens/${greenId}/file`} className="btn btn-outline-dark btn-sm" download>
        Save as a file
      </a>
      <Button
        size="sm"
        variant="outline-dark"
        disabled={busy}
        onClick={() => begin(async () => void (await archiveGreenAction(slug, greenId, !archived)))}
      >
        {archived ? 'Bring back' : 'Put away'}
      </Button>
      {archived && <span className="small-print align-self-center">Put away: games on it stay.</span>}
    </div>
  );
}
