import { counted } from '@/core/units/format';
import Link from 'next/link';
import type { CSSProperties } from 'react';
import { ballsOf } from '@/core/game/phases';
import { sayGoal } from '@/core/game/words/goal-words';
import type { Academy, Answer, FinishedLine, SessionLine } from '@/server/data';
import type { Conditions } from '@/core/shot/conditions';
import { sayDay, sayMoment } from '@/core/units/say-moment';
import { SessionLines } from '../session/session-lines';
import { startAddress } from '../session/address';
import { Day } from './day';
import styles from './today.module.scss';
import { Unfinished } from './unfinished';

type Props = {
  academy: Academy;
  now: Date;
  players: Answer<'listPlayers'>;
  games: Answer<'listGames'>;
  unfinished: SessionLine[];
  recent: FinishedLine[];
  conditions: Conditions;
};

/** The first page: what to do next, what waits, what was. */
export function TodayPage({ academy, now, players, games, unfinished, recent, conditions }: Props) {
  const { slug, timeZone } = academy;
  const base = `/a/${slug}`;
  const weekday = new Intl.DateTimeFormat('en-GB', { timeZone, weekday: 'long', day: 'numeric', month: 'long' }).format(now);
  return (
    <div className="desk" style={{ '--side': '27rem' } as CSSProperties}>
      <section>
        <h1>
          {weekday}{' '}
          <span className="beside">
            {counted(players.length, 'player')} · {counted(games.length, 'game')}
          </span>
        </h1>
        <NextStep base={base} players={players.length} games={games.length} />
        {games.length > 0 && (
          <>
            <h2 className="mt-4 mb-1">Play</h2>
            <ul className="rows">
              {games.slice(0, 8).map(({ gameId, spec, sessions }) => (
                <li key={gameId}>
                  <Link href={`${base}/games/${gameId}`} className={styles.gameLink}>
                    <b>{spec.title}</b>
                    <span className="small-print">
                      {[counted(ballsOf(spec), 'ball'), counted(spec.stations.length, 'station'), sayGoal(spec, academy.units)]
                        .filter(Boolean)
                        .join(' · ')}
                    </span>
                  </Link>
                  <span className="small-print text-nowrap">{sessions === 0 ? 'never played' : counted(sessions, 'session')}</span>
                </li>
              ))}
            </ul>
          </>
        )}
        {players.length > 0 && (
          <>
            <h2 className="mt-4 mb-1">
              The squad <span className={styles.underSmall}>last here, and balls recorded</span>
            </h2>
            <ul className={`rows ${styles.squad}`}>
              {players.map(({ player, balls, lastAt }) => (
                <li key={player.playerId}>
                  <Link href={`${base}/players/${player.playerId}`} className={styles.gameLink}>
                    <b>{player.name}</b>
                  </Link>
                  <span className="small-print text-nowrap">
                    {lastAt ? sayDay(lastAt, timeZone, now) : 'no ball yet'} · {counted(balls, 'ball')}
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <aside>
        {players.length > 0 && <Day slug={slug} conditions={conditions} />}
        <h2>Not finished</h2>
        <Unfinished
          slug={slug}
          lines={unfinished.map(({ session, players: people, balls }) => ({
            sessionId: session.sessionId,
            names: people.map((person) => person.name).join(', '),
            title: session.spec.title,
            balls,
            of: ballsOf(session.spec) * people.length,
            when: sayMoment(session.startedAt, timeZone),
          }))}
        />
        <h2 className="mt-4">Lately</h2>
        {recent.length === 0 ? (
          <p className="small-print">No session is over yet.</p>
        ) : (
          <SessionLines slug={slug} lines={recent} timeZone={timeZone} now={now} />
        )}
      </aside>
    </div>
  );
}

/** What to do now, in the order in which an academy comes about; afterwards, the three things a coach does most. */
function NextStep({ base, players, games }: { base: string; players: number; games: number }) {
  if (players === 0)
    return (
      <p className={styles.next}>
        Begin with who plays.{' '}
        <Link href={`${base}/players/new`} className="btn btn-primary">
          Add a player
        </Link>
      </p>
    );
  if (games === 0)
    return (
      <p className={styles.next}>
        Now a game to play.{' '}
        <Link href={`${base}/games/new`} className="btn btn-primary">
          Design a game
        </Link>
      </p>
    );
  return (
    <p className={styles.next}>
      <Link href={`${base}/games`} className="btn btn-primary btn-lg">
        Play a game
      </Link>
      {/* Play is no page of the desk: it is loaded anew. */}
      <a href={startAddress(base.slice('/a/'.length))} className="btn btn-outline-dark btn-lg">
        At the green
      </a>
      <Link href={`${base}/games/new`} className="btn btn-outline-dark btn-lg">
        Design a game
      </Link>
      <Link href={`${base}/players/new`} className="btn btn-outline-dark btn-lg">
        Add a player
      </Link>
    </p>
  );
}
