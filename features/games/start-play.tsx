'use client';

import Link from 'next/link';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { NOT_SENT } from '../form/use-save';
import { newId } from '../play/device/ids';
import { goTo } from '../shell/go';
import { startAction } from './actions';
import styles from './games.module.scss';

type Props = { slug: string; gameId: string; players: { playerId: string; name: string }[] };

/** Who plays: one tap on a name starts the game. */
export function StartPlay({ slug, gameId, players }: Props) {
  const [sessionId] = useState(newId);
  const [state, setState] = useState<{ starting: string } | { refused: string } | null>(null);
  const starting = state && 'starting' in state ? state.starting : null;

  const start = async (playerId: string) => {
    setState({ starting: playerId });
    const result = await startAction(slug, sessionId, gameId, playerId).catch(() => null);
    if (result?.ok) goTo(`/play#${sessionId}`);
    else setState({ refused: result ? (Object.values(result.fields)[0] ?? NOT_SENT) : NOT_SENT });
  };

  if (players.length === 0)
    return (
      <p className="empty">
        Nobody to play it yet: <Link href={`/a/${slug}/players/new`}>add a player</Link> first.
      </p>
    );
  return (
    <div>
      <h2 className="mb-2">Play it now: who?</h2>
      <div className={styles.people}>
        {players.map(({ playerId, name }) => (
          <Button
            key={playerId}
            variant={players.length === 1 ? 'primary' : 'outline-dark'}
            disabled={starting !== null}
            onClick={() => void start(playerId)}
          >
            {name}
            {starting === playerId && ' …'}
          </Button>
        ))}
      </div>
      {state && 'refused' in state && (
        <p role="alert" className="text-danger fw-semibold mt-2">
          {state.refused}
        </p>
      )}
    </div>
  );
}
