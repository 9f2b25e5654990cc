import { measuresOf } from '@/core/game/sizes';
import { counted } from '@/core/units/format';
import { inZone } from '@/core/units/in-zone';
import Link from 'next/link';
import type { CSSProperties, ReactNode } from 'react';
import { ballsOf } from '@/core/game/phases';
import { sayGoal } from '@/core/game/words/goal-words';
import type { Academy, Answer, FinishedLine, HourRow, SessionLine } from '@/server/data';
import type { Conditions } from '@/core/shot/conditions';
import { sayDay, sayMoment } from '@/core/units/say-moment';
import { HourLine } from '../session/hour-line';
import { SessionLines } from '../session/session-lines';
import { startAddress } from '@/core/exchange/play-address';
import type { Candidate } from '../forecast/use-beliefs';
import { RefreshWhile } from '../form/refresh-while';
import type { PlayerRow } from '../players/player-rows';
import { PractiseNext } from '../players/practise-next';
import { Day } from './day';
import { FirstLook } from '../games/first-look';
import styles from './today.module.scss';
import { Unfinished } from './unfinished';

type Props = {
  academy: Academy;
  now: Date;
  /** How many there are, and how many of them have hit a ball. */
  players: { all: number; played: number };
  /** Who is shown: the first of those who are usually here on this weekday, `usual` in all, and of the others who was here last. */
  shown: { expected: PlayerRow[]; others: PlayerRow[]; usual: number };
  /** What changed, and what is shared, in sentences. */
  news: readonly string[];
  /** Who could play the first look, and under which id it would be kept. */
  firstLook: { gameId: string; players: Candidate[] };
  games: Answer<'listGames'>;
  /** The newest of those that are not finished, and how many these are. */
  unfinished: SessionLine[];
  notFinished: number;
  recent: FinishedLine[];
  conditions: Conditions;
  /** Hours that are planned for today, or under way. */
  hours: readonly HourRow[];
  /** The day there. */
  today: string;
  /** Whether what is not known of some players is being worked out. */
  pending: boolean;
  /** Whom somebody asked to have erased. */
  asked: ReactNode;
};

/** So many are offered. */
const SHOWN = { players: 12, games: 5 } as const;

/** The first page: what to do next, what waits, what was. */
export function TodayPage({
  academy,
  now,
  players,
  shown: { expected, others, usual },
  news,
  firstLook,
  games,
  unfinished,
  notFinished,
  recent,
  conditions,
  hours,
  today,
  pending,
  asked,
}: Props) {
  const { slug, timeZone, strokesAs: strokes } = academy;
  const base = `/a/${slug}`;
  const said = (options: Intl.DateTimeFormatOptions) => inZone(timeZone, options).format(now);
  const weekday = said({ weekday: 'long' });
  const among = [...expected, ...others];
  const alone = players.all === 1;
  return (
    <div className="desk" style={{ '--side': '26rem' } as CSSProperties}>
      <section>
        <h1>
          {weekday} {said({ day: 'numeric', month: 'long' })}{' '}
          <span className="beside">
            {[players.all > 1 && counted(players.all, 'player'), games.length > 0 && counted(games.length, 'game')]
              .filter(Boolean)
              .join(' · ')}
            {notFinished > 0 && (
              <>
                {' · '}
                <a href="#not-finished">{notFinished} not finished</a>
              </>
            )}
          </span>
        </h1>
        {asked}
        {hours.length > 0 && (
          <>
            <h2 className="mt-2 mb-1">Planned</h2>
            <ul className="rows">
              {hours.map((row) => (
                <HourLine key={row.hourId} {...{ slug, row, today, now }} />
              ))}
            </ul>
          </>
        )}
        {firstLook.players.length > 0 && (
          <FirstLook
            slug={slug}
            gameId={firstLook.gameId}
            players={firstLook.players.slice(0, SHOWN.players)}
            more={firstLook.players.length - SHOWN.players}
            coach={measuresOf(academy)}
          />
        )}
        <NextStep base={base} players={players.all} games={games.length} />
        {players.played > 0 && (
          <>
            <h2 className="mt-4 mb-1">
              Practise next{' '}
              <span className={styles.underSmall}>
                strokes {strokes} a round against {alone ? 'your' : 'each one’s'} level
              </span>
            </h2>
            {expected.length > 0 && !alone && (
              <>
                <h3 className={styles.group}>Usually here on a {weekday}</h3>
                <PractiseNext slug={slug} rows={expected} among={among} strokes={strokes} />
                {usual > expected.length && <p className="small-print mt-2 mb-3">and {usual - expected.length} more</p>}
                {others.length > 0 && <h3 className={styles.group}>Others</h3>}
              </>
            )}
            <PractiseNext slug={slug} rows={expected.length > 0 && !alone ? others : among} among={among} strokes={strokes} />
            {players.all > among.length && (
              <p className="mt-2">
                <Link href={`${base}/players`}>All {counted(players.all, 'player')}</Link>
              </p>
            )}
          </>
        )}
        {games.length > 0 && (
          <>
            <h2 className="mt-4 mb-1">Play</h2>
            <ul className="rows">
              {games.slice(0, SHOWN.games).map(({ gameId, spec, lastAt }) => (
                <li key={gameId}>
                  <Link href={`${base}/games/${gameId}`} className={styles.gameLink}>
                    <b>{spec.title}</b>
                    <span className="small-print">
                      {[counted(ballsOf(spec), 'ball'), counted(spec.stations.length, 'station'), sayGoal(spec, academy.units)]
                        .filter(Boolean)
                        .join(' · ')}
                    </span>
                  </Link>
                  <span className="small-print text-nowrap">{lastAt ? `played ${sayDay(lastAt, timeZone, now)}` : 'never played'}</span>
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <aside>
        {(unfinished.length > 0 || recent.length > 0) && (
          <section className="mb-4">
            <h2 id="not-finished">Not finished</h2>
            <Unfinished
              slug={slug}
              of={notFinished}
              lines={unfinished.map(({ session, players: people, balls }) => ({
                sessionId: session.sessionId,
                names: people.map((person) => person.name).join(', '),
                title: session.spec.title,
                balls,
                of: ballsOf(session.spec) * people.length,
                when: sayMoment(session.startedAt, timeZone),
              }))}
            />
          </section>
        )}
        {players.all > 0 && <Day slug={slug} conditions={conditions} />}
        {news.length > 0 && (
          <section className="mb-4">
            <h2>Worth knowing</h2>
            {news.map((line) => (
              <p key={line} className="mb-1">
                {line}
              </p>
            ))}
          </section>
        )}
        <h2>Lately</h2>
        {recent.length === 0 ? (
          <p className="small-print">Results appear here.</p>
        ) : (
          <SessionLines slug={slug} lines={recent} timeZone={timeZone} now={now} withNames={!alone} />
        )}
      </aside>
      <RefreshWhile pending={pending} />
    </div>
  );
}

/** What to do now, in the order in which an academy comes about; afterwards, the three things a coach does most. */
function NextStep({ base, players, games }: { base: string; players: number; games: number }) {
  if (players === 0)
    return (
      <p className={styles.next}>
        Begin with who plays.{' '}
        <Link href={`${base}/players/new`} className="btn btn-primary btn-lg">
          Add a player
        </Link>
        <Link href={`${base}/games/library`} className="btn btn-outline-dark btn-lg">
          Ready games
        </Link>
      </p>
    );
  if (games === 0)
    return (
      <p className={styles.next}>
        <Link href={`${base}/games/library`} className="btn btn-outline-dark btn-lg">
          Ready games
        </Link>
        <Link href={`${base}/games/new`} className="btn btn-outline-dark btn-lg">
          Design a game
        </Link>
        <Link href={`${base}/players/new`} className="btn btn-outline-dark btn-lg">
          Add a player
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
