import { allStations } from '@/core/game/station';
import { formatDistanceStrict } from 'date-fns';
import Link from 'next/link';
import { usualLeft } from '@/core/golf/usual-left';
import { onTheDay } from '@/core/game/on-the-day';
import { seedOf } from '@/core/game/order';
import { playSession } from '@/core/play/play';
import { sayConditions } from '@/core/shot/conditions';
import { wrongClock } from '@/core/shot/when';
import { counted } from '@/core/units/format';
import type { Answer, Best } from '@/server/data';
import { sayMoment } from '@/core/units/say-moment';
import { Changes } from './changes';
import { GivenScore } from './given-score';
import { RemoveResult } from './remove-result';
import { SessionNotes } from './session-notes';
import { SessionTags } from './session-tags';
import { Board } from '../session/board';
import { Summary } from '../session/summary';

type Props = {
  slug: string;
  /** Whether a coach looks; an assistant reads of the players whom they see. */
  mayChange: boolean;
  /** Of whom more is shown than how they stand; null: of all. */
  sees: readonly string[] | null;
  data: NonNullable<Answer<'getSession'>>;
  log: Answer<'sessionLog'>;
  /** By player. */
  bests: Map<string, Best | null>;
  timeZone: string;
};

/** One session, as it ended or as it stands. */
export function SessionPage({ slug, mayChange, sees, data, log, bests, timeZone }: Props) {
  const { session, players, entrants, notes, stations, shots, scores } = data;
  const { given } = session;
  const withoutGame = session.importId !== null && session.gameId === null;
  const spec = onTheDay(session.spec, stations);
  const open = !session.completedAt && !session.stoppedAt;
  const table = playSession(spec, entrants, shots, {
    seed: seedOf(session.sessionId),
    ...(session.stoppedAt ? { atMs: session.stoppedAt.getTime() } : {}),
  });
  const doubled = table.standings.reduce((sum, standing) => sum + standing.doubled.length, 0);
  const read = log.flatMap(({ event, ...rest }) => (event ? [{ event, ...rest }] : []));
  const unread = log.length - read.length;
  const clock = wrongClock(
    read.map(({ event }) => event),
    shots,
  );
  const seated = players.map((player, i) => ({
    ...player,
    entrant: entrants[i]!,
    clubs: [],
    favourite: null,
    marks: [],
    best: null,
    measures: player,
    usual: {},
    notes: notes[i]!,
  }));
  const several = players.length > 1;
  const shown = players.map((player, i) => ({ player, i })).filter(({ player }) => sees === null || sees.includes(player.playerId));
  const again = (name: string) => new URLSearchParams(players.map(({ playerId }) => [name, playerId])).toString();
  return (
    <div className="desk">
      <div>
        {several && <Board bundle={{ spec, players: seated }} table={table} />}
        {shown.map(({ player, i }) => (
          <section key={player.playerId} className="mb-4">
            <h1>
              <Link href={`/a/${slug}/players/${player.playerId}`}>{player.name}</Link> · {session.spec.title}
            </h1>
            <p className="small-print">
              {[
                sayMoment(session.startedAt, timeZone),
                session.gameVersion !== null && `version ${session.gameVersion}`,
                sayConditions(session.conditions),
                session.importId !== null && 'from a file',
              ]
                .filter(Boolean)
                .join(' · ')}
            </p>
            {given !== null ? (
              <GivenScore session={session} {...scores[i]!} system={player.units} />
            ) : (
              <Summary
                spec={spec}
                standing={table.standings[i]!}
                best={bests.get(player.playerId) ?? null}
                system={player.units}
                alone={!several}
                going={open}
                played={!withoutGame}
                usual={usualLeft(entrants[i]!.level, allStations(spec))}
              />
            )}
          </section>
        ))}
      </div>
      <aside>
        <div className="d-flex flex-wrap gap-2 mb-4 no-print">
          {open ? (
            <a className="btn btn-primary" href={`/play#${session.sessionId}`}>
              Go on
            </a>
          ) : (
            mayChange &&
            session.gameId && (
              <>
                <Link className="btn btn-primary" href={`/a/${slug}/games/${session.gameId}?${again('with')}`}>
                  Play it again
                </Link>
                <Link className="btn btn-outline-dark" href={`/a/${slug}/plan/hour/new?${again('for')}&game=${session.gameId}`}>
                  Plan it again
                </Link>
              </>
            )
          )}
          {shots.length > 0 && (
            <a className="btn btn-outline-dark" href={`/play#${session.sessionId}`}>
              Correct balls
            </a>
          )}
          {mayChange && session.spec.open && !withoutGame && shots.length > 0 && (
            <Link className="btn btn-outline-dark" href={`/a/${slug}/games/new?session=${session.sessionId}`}>
              Keep as a game
            </Link>
          )}
          {mayChange && given !== null && <RemoveResult slug={slug} sessionId={session.sessionId} />}
          {open && (
            <Link className="btn btn-outline-dark" href={`/a/${slug}/sessions/${session.sessionId}/board`}>
              Live board
            </Link>
          )}
          <Link className="btn btn-outline-dark" href={mayChange ? `/a/${slug}` : `/a/${slug}/logbook`}>
            {mayChange ? 'Today' : 'Logbook'}
          </Link>
        </div>
        {doubled > 0 && (
          <p role="status" className="fw-semibold">
            {doubled === 1 ? 'One ball was' : `${doubled} balls were`} recorded twice. Press “Correct balls” to say which one counts.
          </p>
        )}
        {clock && (
          <p role="status" className="fw-semibold">
            A phone’s clock was off by {formatDistanceStrict(0, clock.offMs)}: {counted(clock.balls, 'ball')}{' '}
            {clock.balls === 1 ? 'is' : 'are'} dated within this session instead. Check the time on that phone.
          </p>
        )}
        {unread > 0 && (
          <p role="status" className="fw-semibold">
            {counted(unread, 'record')} of this session {unread === 1 ? 'comes' : 'come'} from a newer version of the program.{' '}
            {unread === 1 ? 'It is' : 'They are'} kept, and will count once the program is updated.
          </p>
        )}
        {shown.map(({ player, i }) => (
          <section key={player.playerId} className="mb-4" aria-label={`Notes, ${player.name}`}>
            {several && <h2>{player.name}</h2>}
            <SessionNotes slug={slug} sessionId={session.sessionId} playerId={player.playerId} notes={notes[i]!} timeZone={timeZone} />
          </section>
        ))}
        {mayChange && !open && <SessionTags slug={slug} sessionId={session.sessionId} tags={session.tags} />}
        <Changes log={read} players={shown.map(({ player }) => player)} timeZone={timeZone} />
      </aside>
    </div>
  );
}
