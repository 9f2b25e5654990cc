'use client';

import Link from 'next/link';
import { useState, useSyncExternalStore } from 'react';
import { z } from 'zod';
import { careLines } from '@/core/game/care';
import { play } from '@/core/game/play';
import type { Bundle } from '@/core/game/bundle';
import type { Shot } from '@/core/shot/shot';
import { BallScreen } from './ball-screen';
import { useSession } from './device/use-session';
import { PlayHeader } from './play-header';
import styles from './play.module.scss';
import { Summary } from './summary';
import { UndoButton } from './undo-button';

const onHash = (listener: () => void) => {
  window.addEventListener('hashchange', listener);
  return () => window.removeEventListener('hashchange', listener);
};

/** Play: one static page for every session; which one is in the address behind "#". */
export function PlayApp() {
  const sessionId = useSyncExternalStore(
    onHash,
    () => window.location.hash.slice(1),
    () => null,
  );
  if (sessionId === null) return <Notice title="One moment …" />;
  if (!z.uuid().safeParse(sessionId).success)
    return <Notice title="No session named" text="Start a game from its page, or go on with one from Today." />;
  return <PlaySession key={sessionId} sessionId={sessionId} />;
}

const NOTICES = {
  missing: ['This session is not here', 'It may belong to another academy, or was never started. Look on Today.'],
  unreachable: [
    'No network, and this session was never opened on this device',
    'Open it once with a network; from then on it works without.',
  ],
} as const;

function PlaySession({ sessionId }: { sessionId: string }) {
  const view = useSession(sessionId);
  if (view.state === 'loading') return <Notice title="One moment …" />;
  if (view.state === 'signed-out')
    return (
      <Notice title="Sign in to play">
        <a className="btn btn-primary btn-lg" href={`/sign-in?next=${encodeURIComponent(`/play#${sessionId}`)}`}>
          Sign in
        </a>
      </Notice>
    );
  if (view.state !== 'here') return <Notice title={NOTICES[view.state][0]} text={NOTICES[view.state][1]} />;
  return <PlayGame bundle={view.bundle} shots={view.shots} />;
}

function Notice({ title, text, children }: { title: string; text?: string; children?: React.ReactNode }) {
  return (
    <main className={`${styles.notice} dusk`}>
      <h1>{title}</h1>
      {text && <p>{text}</p>}
      {children ?? (
        <Link href="/" className="btn btn-outline-dark" prefetch={false}>
          To Today
        </Link>
      )}
    </main>
  );
}

function PlayGame({ bundle, shots }: { bundle: Bundle; shots: Shot[] }) {
  const player = bundle.players[0]!;
  const who = { playerId: player.playerId, sessionId: bundle.sessionId };
  const mine = shots.filter((shot) => shot.playerId === player.playerId);
  const standing = play(bundle.spec, mine);
  const [ready, setReady] = useState(false);

  return (
    <div className={`${styles.screen} dusk`}>
      <PlayHeader bundle={bundle} player={player} standing={standing} />
      {standing.over ? (
        <main className={styles.over}>
          <Summary spec={bundle.spec} standing={standing} best={player.best} system={player.units} />
          {standing.doubled.length > 0 && (
            <p className="small-print">
              {standing.doubled.length === 1 ? 'One ball was' : `${standing.doubled.length} balls were`} recorded twice and not counted.
            </p>
          )}
          <div className={styles.afterwards}>
            <UndoButton spec={bundle.spec} who={who} disabled={false} />
            <a className="btn btn-outline-dark" href={`/a/${bundle.academy.slug}/players/${player.playerId}`}>
              {player.name}’s skills
            </a>
            <a className="btn btn-outline-dark" href={`/a/${bundle.academy.slug}/games/${bundle.gameId}`}>
              Again
            </a>
            <a className="btn btn-primary" href={`/a/${bundle.academy.slug}`}>
              Done
            </a>
          </div>
        </main>
      ) : !ready && mine.length === 0 ? (
        <Care lines={careLines(bundle.spec)} title={bundle.spec.title} onReady={() => setReady(true)} />
      ) : (
        <BallScreen spec={bundle.spec} standing={standing} who={who} system={player.units} />
      )}
    </div>
  );
}

/** The cautions, before anybody swings. */
function Care({ lines, title, onReady }: { lines: string[]; title: string; onReady: () => void }) {
  return (
    <main className={styles.care}>
      <h1>{title}</h1>
      <h2>Before the first ball</h2>
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <button type="button" className="btn btn-primary btn-lg" onClick={onReady}>
        Ready
      </button>
    </main>
  );
}
