'use client';

import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { GameSpec } from '@/core/game/spec';
import { useReady } from '../form/use-ready';
import { startHere } from '../games/start-here';

type Props = {
  slug: string;
  /** Under which it is kept once it is played. */
  gameId: string;
  game: GameSpec;
  greenId: string | null;
  playerIds: readonly string[];
  allowances: Record<string, number>;
  first: boolean;
};

/** Keeps a proposed game and begins it here, for those it was made for. */
export function PlayProposal({ slug, gameId, game, greenId, playerIds, allowances, first }: Props) {
  const ready = useReady();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const play = async () => {
    setBusy(true);
    const problem = await startHere(slug, { made: game, greenId, gameId }, { playerIds, allowances });
    setRefused(problem);
    if (problem) setBusy(false);
  };
  return (
    <>
      <Button variant={first ? 'primary' : 'outline-dark'} disabled={busy || !ready} onClick={() => void play()}>
        Play it
      </Button>
      {refused && (
        <p role="alert" className="text-danger fw-semibold mb-0 w-100 order-last">
          {refused}
        </p>
      )}
    </>
  );
}
