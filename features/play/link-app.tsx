'use client';

import { useCallback, useEffect, useState } from 'react';
import type { LinkHome } from '@/core/exchange/link-home';
import { counted } from '@/core/units/format';
import { playAddress } from '../session/address';
import { getHome, postAgain } from './device/server';
import { newId } from '../form/ids';
import { forgetHome, keepHome, readHome } from './device/store';
import { sendWaiting } from './device/sync';
import { useStored } from './device/use-stored';
import { Notice } from './notice';
import styles from './link.module.scss';
import { WaitingLine } from './waiting-line';

type LinkState = 'asking' | 'got' | 'ended' | 'unreachable';
/** A session that the coach starts is here after so long, without anything being pressed. */
const LOOK_MS = 15_000;

/** What a personal link opens: the player's own sessions, on their own phone. */
export function LinkApp({ token }: { token: string }) {
  const held = useStored(useCallback(async () => (await readHome(token)) ?? null, [token]));
  const asked = useHome(token);
  if (asked === 'ended')
    return (
      <Notice title="This link holds no longer" text="Ask the coach for a new one. Balls that were not sent yet are kept." leave={false} />
    );
  if (!held && asked === 'unreachable')
    return <Notice title="No network" text="Open the link once with a network; from then on it works without." leave={false} />;
  if (!held) return <Notice title="One moment …" leave={false} />;
  return <Home home={held} token={token} offline={asked === 'unreachable'} />;
}

/** Asks for the page of a link, again and again while it is looked at. */
function useHome(token: string): LinkState {
  const [asked, setAsked] = useState<LinkState>('asking');
  useEffect(() => {
    let current = true;
    let ended = false;
    const look = async () => {
      if (document.visibilityState === 'hidden' || ended) return;
      await sendWaiting();
      const home = await getHome(token);
      if (!current) return;
      if (typeof home === 'object') await keepHome(token, home.got);
      ended = home === 'signed-out';
      if (ended) await forgetHome(token);
      setAsked(typeof home === 'object' ? 'got' : home === 'signed-out' ? 'ended' : 'unreachable');
    };
    void look();
    const timer = setInterval(() => void look(), LOOK_MS);
    const now = () => void look();
    document.addEventListener('visibilitychange', now);
    window.addEventListener('online', now);
    return () => {
      current = false;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', now);
      window.removeEventListener('online', now);
    };
  }, [token]);
  return asked;
}

function Home({ home: { academy, player, sessions }, token, offline }: { home: LinkHome; token: string; offline: boolean }) {
  const open = sessions.filter((session) => !session.over);
  const over = sessions.filter((session) => session.over);
  return (
    <div className={`${styles.page} dusk`}>
      <header>
        <b>{player.name}</b>
        <span>{academy.name}</span>
        <WaitingLine />
      </header>
      <main>
        {offline && (
          <p role="status" className={styles.offline}>
            No network: this is how it stood last. What is open here can be played.
          </p>
        )}
        <h1>To play</h1>
        {open.length === 0 && <p>Nothing is waiting. When the coach starts a game with you, it comes here by itself.</p>}
        <ul>
          {open.map((session) => (
            <li key={session.sessionId}>
              <a className={styles.open} href={playAddress(session.sessionId)}>
                <b>{session.title}</b>
                <span>
                  {session.balls === 0 ? 'no ball yet' : `${counted(session.balls, 'ball')} so far`} · {sayWhen(session.startedAt)}
                </span>
              </a>
            </li>
          ))}
        </ul>
        {over.length > 0 && <h2>What came of the others</h2>}
        <ul>
          {over.map((session) => (
            <li key={session.sessionId} className={styles.over}>
              <a href={playAddress(session.sessionId)}>
                <b>{session.title}</b>
                <span>
                  {counted(session.balls, 'ball')} · {sayWhen(session.startedAt)}
                </span>
              </a>
              <span className="fig">{session.score ?? '–'}</span>
              {session.gameId && <Again token={token} gameId={session.gameId} title={session.title} />}
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}

/** Plays a game of one's own once more, alone. */
function Again({ token, gameId, title }: { token: string; gameId: string; title: string }) {
  const [state, setState] = useState<'ready' | 'starting' | 'failed'>('ready');
  const [sessionId] = useState(newId);
  const start = async () => {
    setState('starting');
    const home = await postAgain(token, { sessionId, gameId });
    if (typeof home !== 'object') return setState('failed');
    await keepHome(token, home.got);
    window.location.assign(playAddress(sessionId));
  };
  return (
    <button type="button" className="btn btn-outline-dark" disabled={state === 'starting'} onClick={() => void start()}>
      {state === 'failed' ? 'No network' : 'Again'}
      <span className="visually-hidden">: {title}</span>
    </button>
  );
}

/** The day and time by the phone's own clock and place. */
function sayWhen(at: string): string {
  return new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }).format(
    new Date(at),
  );
}
