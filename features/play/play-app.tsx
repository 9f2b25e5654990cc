'use client';

import { useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { careLines } from '@/core/game/words/care';
import type { Bundle } from '@/core/exchange/bundle';
import { rulesInWords, scoringInWords } from '@/core/game/words/say-game';
import { schemeOf } from '@/core/game/scoring';
import { mayNote } from '@/core/exchange/session-note';
import { toBeat } from '@/core/play/round';
import { ROTATIONS, whoseBall, type Rotation } from '@/core/play/whose';
import type { Shot } from '@/core/shot/shot';
import { Afterwards } from './afterwards';
import { academyOf, FORGOTTEN, hourOf, playAddress, readPlayHash, sessionOf } from '@/core/exchange/play-address';
import { BallScreen } from './ball-screen';
import { Briefing } from './briefing';
import { useAwake } from './device/device-extras';
import { now } from '../form/ids';
import { meanToPlay, noteSession } from './device/sync';
import type { Offer } from './device/store';
import { useSession, type SessionView } from './device/use-session';
import { LinkApp, StartApp } from './start/home-app';
import { HourApp } from './hour/hour-app';
import { Notice } from './notice';
import { PlayHeader } from './play-header';
import styles from './play.module.scss';
import { tableOf } from './record';
import { RoundSaid } from './round-said';
import { SessionMenu } from './session-menu/session-menu';
import { WhoIsNext } from './who-is-next';

const onHash = (listener: () => void) => {
  window.addEventListener('hashchange', listener);
  return () => window.removeEventListener('hashchange', listener);
};

/** Play: one static page for every session; which one is in the address behind "#". Under /j it is a personal link's. */
export function PlayApp() {
  const hash = useSyncExternalStore(
    onHash,
    () => window.location.hash.slice(1),
    () => null,
  );
  if (hash === null) return <Notice title="One moment …" />;
  if (window.location.pathname === '/j') return <LinkApp key={hash} token={hash} />;
  if (hash === FORGOTTEN)
    return (
      <Notice title="Forgotten" text="What isn’t sent yet stays until it is. Sign in or open your link again to come back." leave={false} />
    );
  const planned = hourOf(hash);
  if (planned) return <HourApp key={hash} {...planned} />;
  const sessionId = sessionOf(hash);
  if (!sessionId) return <StartApp academy={academyOf(hash)} />;
  return <PlaySession key={hash} sessionId={sessionId} stationKey={readPlayHash(hash).stationKey} />;
}

const NOTICES = {
  outdated: ['This game needs a newer version of the program', 'Reload this page when you’re online. Nothing you recorded is lost.'],
  missing: ['This session is not here', 'It may belong to another academy, or was never started. Check Today.'],
  unreachable: ['No connection, and this session isn’t on this device', 'Open it once online. After that it works offline.'],
} as const;

function PlaySession({ sessionId, stationKey }: { sessionId: string; stationKey: string | null }) {
  const view = useSession(sessionId);
  if (view.state === 'loading') return <Notice title="One moment …" />;
  if (view.state === 'signed-out')
    return (
      <Notice title="Sign in to play">
        <a className="btn btn-primary btn-lg" href={`/sign-in?next=${encodeURIComponent(playAddress(sessionId, stationKey))}`}>
          Sign in
        </a>
      </Notice>
    );
  if (view.state !== 'here') return <Notice title={NOTICES[view.state][0]} text={NOTICES[view.state][1]} />;
  return <PlayGame {...view} stationKey={stationKey} />;
}

type GameProps = Omit<Extract<SessionView, { state: 'here' }>, 'state'> & { stationKey: string | null };

function PlayGame({ bundle, shots, home, offer, waits, stationKey }: GameProps) {
  const atMs = useClock(bundle.spec.rules.timeLimitS !== null && shots.length > 0);
  const table = tableOf(bundle, shots, atMs ?? undefined);
  const [ready, setReady] = useState(false);
  const [picked, setPicked] = useState<{ seat: number; balls: number } | null>(null);
  const [rotation, setRotation] = useRotation();
  // A player who was picked by hand stays until a ball is recorded; then it is whoever's turn it is.
  const stays = picked && (picked.balls === shots.length || rotation === 'own');
  const own = stays && table.standings[picked.seat]!.next ? picked.seat : null;
  const last = shots.at(-1)?.playerId;
  const lastSeat = last === undefined ? null : bundle.players.findIndex((player) => player.playerId === last);
  const mine = bundle.only === null ? null : bundle.players.findIndex((player) => player.playerId === bundle.only);
  const [menu, setMenu] = useState(false);
  const [removed, setRemoved] = useState<Shot[]>([]);
  const seat = mine ?? own ?? whoseBall(table, rotation, lastSeat) ?? 0;
  const player = bundle.players[seat]!;
  const standing = table.standings[seat]!;
  const over = table.over || bundle.stopped;
  const { sessionId } = bundle;
  // That time ran out is something the server can't know from the balls.
  const timeUp = table.standings.some((one) => one.early === 'time');
  // By a personal link a session of several is not one's own to end.
  const toldAlready =
    bundle.stopped ||
    !mayNote(
      { say: 'stopped', stopped: true },
      bundle.only,
      bundle.players.map((one) => one.playerId),
    );
  useEffect(() => {
    if (timeUp && !toldAlready) void noteSession(sessionId, { say: 'stopped', stopped: true });
  }, [timeUp, toldAlready, sessionId]);
  useAwake(!over);
  const end = () => noteSession(sessionId, { say: 'stopped', stopped: true });
  const goOn = () => noteSession(sessionId, { say: 'stopped', stopped: false });

  return (
    <div className={`${styles.screen} dusk`}>
      <PlayHeader
        bundle={bundle}
        table={table}
        seat={seat}
        playing={!over}
        leftMs={over ? null : timeLeft(bundle, shots, atMs)}
        onSeat={(next) => setPicked({ seat: next, balls: shots.length })}
        home={home}
        onMenu={() => setMenu(!menu)}
      />
      {menu ? (
        <SessionMenu
          bundle={bundle}
          table={table}
          shots={shots}
          seat={seat}
          rotation={rotation}
          onRotation={setRotation}
          onClose={() => setMenu(false)}
        />
      ) : over ? (
        <Afterwards bundle={bundle} table={table} home={home} onBack={table.over ? null : () => void goOn()} onRemoved={setRemoved} />
      ) : !ready && shots.length === 0 ? (
        <Care
          lines={careLines(bundle.spec)}
          title={bundle.spec.title}
          rules={[scoringInWords(standing.game.scoring, standing.game.sizes, player.units), ...rulesInWords(standing.game, player.units)]}
          onReady={() => {
            setReady(true);
            void meanToPlay(sessionId);
          }}
        >
          {bundle.players.length > 1 && mine === null && !schemeOf(bundle.spec.scoring).round && (
            <div>
              <h2>Taking turns</h2>
              <WhoIsNext rotation={rotation} onRotation={setRotation} />
            </div>
          )}
          {bundle.players.length > 1 && waits && <p>Players with their own link see this game once you press Ready.</p>}
        </Care>
      ) : (
        <>
          <RoundSaid bundle={bundle} table={table} />
          <BallScreen
            sitting={bundle}
            seat={seat}
            standing={standing}
            bag={player}
            system={player.units}
            balls={shots.length}
            rival={toBeat(table, seat)}
            startAt={stationKey}
            removed={removed}
            onRemoved={setRemoved}
            offer={fresh(offer, shots)}
          />
          {bundle.spec.open && shots.length > 0 && (
            <button type="button" className={`btn btn-outline-dark ${styles.enough}`} onClick={() => void end()}>
              That’s it
            </button>
          )}
        </>
      )}
    </div>
  );
}

/** A reading is offered for one ball: until one is recorded after it. */
function fresh(offer: Offer | null, shots: readonly Shot[]): Offer | null {
  return offer && shots.every((shot) => Date.parse(shot.playedAt) < offer.readAt) ? offer : null;
}

const ROTATION = 'inch-rotation';

/** How players take turns on this device: it stays as it was set. */
function useRotation(): [Rotation, (rotation: Rotation) => void] {
  const [rotation, setRotation] = useState<Rotation>(
    () => ROTATIONS.find((one) => one === window.localStorage.getItem(ROTATION)) ?? ROTATIONS[0],
  );
  return [
    rotation,
    (next) => {
      setRotation(next);
      window.localStorage.setItem(ROTATION, next);
    },
  ];
}

/** Milliseconds that are left of a time limit, from the first ball on; null where there is none. */
function timeLeft({ spec }: Bundle, shots: readonly Shot[], atMs: number | null): number | null {
  const { timeLimitS } = spec.rules;
  if (timeLimitS === null) return null;
  const started = Math.min(...shots.map((shot) => Date.parse(shot.playedAt)));
  return timeLimitS * 1000 - (atMs !== null && Number.isFinite(started) ? Math.max(0, atMs - started) : 0);
}

/** The moment, twice a second while a clock is running; else null. */
function useClock(running: boolean): number | null {
  const [atMs, setAtMs] = useState<number | null>(null);
  useEffect(() => {
    if (!running) return;
    const tick = () => setAtMs(now());
    tick();
    const timer = setInterval(tick, 500);
    return () => clearInterval(timer);
  }, [running]);
  return running ? atMs : null;
}

type CareProps = { lines: string[]; title: string; rules: string[]; onReady: () => void; children: ReactNode };

/** The cautions, before anybody swings. */
function Care({ lines, title, rules, onReady, children }: CareProps) {
  return (
    <Briefing lines={lines} onReady={onReady}>
      <h1>{title}</h1>
      <p className={styles.rules}>{rules.join(' ')}</p>
      {children}
      <h2>Before the first ball</h2>
    </Briefing>
  );
}
