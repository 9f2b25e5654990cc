'use client';

import { useState } from 'react';
import type { Home, HomeHour } from '@/core/exchange/home';
import { isGoing } from '@/core/hour/run';
import { mondayOf, plusDays, sayPlainDay } from '@/core/units/plain-day';
import { counted } from '@/core/units/format';
import { now } from '../../form/ids';
import { hourAddress, playAddress } from '@/core/exchange/play-address';
import { DESK, homesHere } from '../device/store';
import { useHome, useSessionsHere, type HomeView } from '../device/use-home';
import { useStored } from '../device/use-stored';
import { Notice } from '../notice';
import { WaitingLine } from '../waiting-line';
import { beginHere, type Chosen } from './begin-here';
import { linesOf, type Line } from './lines';
import { OwnData } from './own-data';
import { OwnReport } from './own-report';
import { StartGame } from './start-game';
import styles from './start.module.scss';
import { KeepHere, ThisPhone } from './this-phone';

/** What a personal link opens: the player's own sessions, on their own phone. */
export function LinkApp({ token }: { token: string }) {
  const view = useHome(token);
  if (view.asked === 'signed-out')
    return <Notice title="This link no longer works" text="Ask the coach for a new one. Balls not sent yet are kept." leave={false} />;
  if (!view.home && view.asked === 'unreachable')
    return <Notice title="No network" text="Open the link once online. After that it works offline." leave={false} />;
  if (!view.home) return <Notice title="One moment …" leave={false} />;
  return <HomePage home={view.home} view={view} token={token} />;
}

/** Where play begins: of whoever is signed in, or of the personal link that was opened here. @param academy of several, which */
export function StartApp({ academy }: { academy: string | null }) {
  const homes = useStored(homesHere);
  const [link, setLink] = useState<string | null>(null);
  if (homes === undefined) return <Notice title="One moment …" leave={false} />;
  const links = homes.filter((one) => one !== DESK);
  const [only] = links;
  // A phone on which nobody coaches is a player's own.
  const token = link ?? (only !== undefined && !homes.includes(DESK) && academy === null && links.length === 1 ? only : null);
  return token === null ? <DeskHome academy={academy} links={links} onLink={setLink} /> : <LinkApp token={token} />;
}

function DeskHome({ academy, links, onLink }: { academy: string | null; links: readonly string[]; onLink: (token: string) => void }) {
  const view = useHome(DESK, academy);
  if (view.home) return <HomePage home={view.home} view={view} token={undefined} />;
  if (view.asked === 'unreachable')
    return (
      <Notice
        title="No network"
        text="Open this page once online and keep games and players on this phone. After that it works offline."
        leave={false}
      />
    );
  if (view.asked === 'signed-out')
    return (
      <Notice title="Sign in to play" leave={false}>
        <a className="btn btn-primary btn-lg" href={`/sign-in?next=${encodeURIComponent(window.location.pathname + window.location.hash)}`}>
          Sign in
        </a>
        {links.map((token, i) => (
          <button key={token} type="button" className="btn btn-outline-dark btn-lg" onClick={() => onLink(token)}>
            Open the link kept here{links.length > 1 ? `, ${i + 1}` : ''}
          </button>
        ))}
      </Notice>
    );
  if (view.asked === 'missing') return <Notice title="No academy here" text="Create an academy first." />;
  if (view.asked === 'outdated')
    return <Notice title="This page needs a newer version of the program" text="Reload this page when you’re online." leave={false} />;
  return <Notice title="One moment …" leave={false} />;
}

type PageProps = { home: Home; view: HomeView; token: string | undefined };

function HomePage({ home, view, token }: PageProps) {
  const here = useSessionsHere();
  const lines = linesOf(home, here ?? [], token);
  const open = lines.filter((line) => !line.over);
  const over = lines.filter((line) => line.over);
  const { player, academy, kit } = home;
  const start = async (chosen: Chosen) => {
    const sessionId = await beginHere(home, chosen, token ?? null);
    if (sessionId) window.location.assign(playAddress(sessionId));
    return sessionId !== null;
  };
  return (
    <div className={`${styles.page} dusk`}>
      <header>
        {!player && (
          <a href={`/a/${academy.slug}${home.desk === false ? '/players' : ''}`} aria-label="To the desk" className={styles.desk}>
            ‹
          </a>
        )}
        <b>{player ? player.name : 'Play'}</b>
        <span>{academy.name}</span>
        <a href="/play/tools" className={styles.tools}>
          Tools
        </a>
        <WaitingLine />
      </header>
      <main>
        {(view.asked === 'unreachable' || (view.asked === 'signed-out' && token === undefined)) && (
          <p role="status" className={styles.offline}>
            {view.asked === 'unreachable' ? 'No network' : <a href="/sign-in?next=%2Fplay">Sign in to send</a>}: this is how it stood
            {home.at ? ` ${sayAgo(home.at)}` : ' last'}. What is here can be played.
          </p>
        )}
        {token !== undefined && <h1>To play</h1>}
        {token === undefined && <h1 className={open.length === 0 ? 'visually-hidden' : undefined}>Under way</h1>}
        {open.length === 0 && token !== undefined && <p>Nothing yet. When the coach starts a game with you, it appears here.</p>}
        <ul>
          {open.map((line) => (
            <li key={line.sessionId}>
              <a className={styles.open} href={playAddress(line.sessionId)}>
                {!player && <span>{line.players.map(({ name }) => name).join(', ')}</span>}
                <b>{line.title}</b>
                <span>
                  {line.balls === 0 ? 'no ball yet' : `${counted(line.balls, 'ball')} so far`} · {sayLine(line)}
                </span>
              </a>
            </li>
          ))}
        </ul>
        <Planned home={home} />
        {kit && token === undefined && <StartGame kit={kit} onStart={start} />}
        {token === undefined && <KeepHere home={home} view={view} />}
        {player && token !== undefined && <OwnReport token={token} />}
        {over.length > 0 && <h2>{player ? 'Results' : 'Lately'}</h2>}
        <ul>
          {over.map((line) => (
            <li key={line.sessionId} className={styles.over}>
              <a href={playAddress(line.sessionId)}>
                <b>{line.title}</b>
                <span>
                  {!player && `${line.players.map(({ name }) => name).join(', ')} · `}
                  {counted(line.balls, 'ball')} · {sayLine(line)}
                </span>
              </a>
              <span className="fig">{line.score ?? '–'}</span>
              {player && kit?.games.some(({ gameId }) => gameId === line.gameId) && (
                <Again title={line.title} onAgain={() => start({ gameId: line.gameId!, playerIds: [player.playerId] })} />
              )}
            </li>
          ))}
        </ul>
        {player && token !== undefined && <OwnData token={token} academy={academy.name} />}
        <ThisPhone home={home} view={view} desk={token === undefined} />
      </main>
    </div>
  );
}

/** Planned hours: what goes on and what is for today, then the other days of the week, those that are done too, then what else may be done. */
function Planned({ home: { hours, academy, kit } }: { home: Home }) {
  const today = kit?.today.day ?? '';
  const monday = today && mondayOf(today);
  const sunday = today && plusDays(monday, 6);
  const nameOf = (id: string) => kit?.players.find(({ playerId }) => playerId === id)?.name;
  const isNow = ({ hour, run }: HomeHour) => isGoing(run, now()) || (hour.day === today && run === null);
  const isThisWeek = ({ hour: { day } }: HomeHour) => day !== null && day >= monday && day <= sunday;
  const groups = [
    ['Today', isNow],
    ['This week', (one: HomeHour) => !isNow(one) && isThisWeek(one)],
    ['Planned', (one: HomeHour) => !isNow(one) && !isThisWeek(one) && !one.run?.endedAt],
  ] as const;
  const inOrder = hours.toSorted((a, b) => (a.hour.day ?? '~').localeCompare(b.hour.day ?? '~') || (a.at ?? '').localeCompare(b.at ?? ''));
  return groups.map(([name, belongs]) => {
    const those = inOrder.filter(belongs);
    if (those.length === 0) return null;
    return (
      <section key={name} aria-label={name}>
        <h2>{name}</h2>
        <ul>
          {those.map(({ hourId, at, hour, playerIds, run }) => (
            <li key={hourId}>
              <a
                className={isGoing(run, now()) ? styles.open : `${styles.open} ${styles.planned}`}
                href={hourAddress(academy.slug, hourId)}
              >
                <b>{hour.title}</b>
                <span>
                  {[
                    hour.day !== null && hour.day !== today && sayPlainDay(hour.day),
                    at,
                    `${hour.minutes} min`,
                    playerIds.length > 1 ? counted(playerIds.length, 'player') : nameOf(playerIds[0] ?? ''),
                    run && (isGoing(run, now()) ? 'under way' : run.endedAt === null ? 'not finished' : 'done'),
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </span>
              </a>
            </li>
          ))}
        </ul>
      </section>
    );
  });
}

/** Plays a game of one's own once more, alone. */
function Again({ title, onAgain }: { title: string; onAgain: () => Promise<boolean> }) {
  const [busy, setBusy] = useState(false);
  const start = async () => {
    setBusy(true);
    if (!(await onAgain())) setBusy(false);
  };
  return (
    <button type="button" className="btn btn-outline-dark" disabled={busy} onClick={() => void start()}>
      Again
      <span className="visually-hidden">: {title}</span>
    </button>
  );
}

const sayLine = (line: Line) => `${sayWhen(line.startedAt)}${line.waits ? ' · only on this phone so far' : ''}`;

/** The day and time by the phone's own clock and place. */
function sayWhen(at: string): string {
  return new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }).format(
    new Date(at),
  );
}

const HOUR_MS = 3_600_000;

/** "at 17:05", "on Thu 26 Nov, 17:05, 3 days ago": how old what is kept is. */
function sayAgo(at: string): string {
  const hours = (now() - Date.parse(at)) / HOUR_MS;
  const days = Math.round(hours / 24);
  return `on ${sayWhen(at)}${days >= 1 ? `, ${counted(days, 'day')} ago` : ''}`;
}
