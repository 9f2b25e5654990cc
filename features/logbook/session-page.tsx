import Link from 'next/link';
import { seedOf } from '@/core/game/order';
import { playSession } from '@/core/game/play';
import type { Answer, Best } from '@/server/data';
import { sayMoment } from '../form/when';
import { Board } from '../play/board';
import { Summary } from '../play/summary';

type Props = {
  slug: string;
  data: NonNullable<Answer<'getSession'>>;
  /** By player. */
  bests: Map<string, Best | null>;
  timeZone: string;
};

/** One session, as it ended or as it stands. */
export function SessionPage({ slug, data, bests, timeZone }: Props) {
  const { session, players, entrants, notes, shots } = data;
  const open = !session.completedAt && !session.stoppedAt;
  const table = playSession(session.spec, entrants, shots, {
    seed: seedOf(session.sessionId),
    ...(session.stoppedAt ? { atMs: session.stoppedAt.getTime() } : {}),
  });
  const seated = players.map((player, i) => ({
    ...player,
    entrant: entrants[i]!,
    clubs: [],
    favourite: null,
    best: null,
    notes: notes[i]!,
  }));
  return (
    <div className="p-3 p-md-4">
      {players.length > 1 && <Board bundle={{ spec: session.spec, players: seated }} table={table} />}
      {players.map((player, i) => (
        <section key={player.playerId} className="mb-4">
          <h1>
            <Link href={`/a/${slug}/players/${player.playerId}`}>{player.name}</Link> · {session.spec.title}
          </h1>
          <p className="small-print">
            {sayMoment(session.startedAt, timeZone)} · version {session.gameVersion}
          </p>
          <Summary
            spec={session.spec}
            standing={table.standings[i]!}
            best={bests.get(player.playerId) ?? null}
            system={player.units}
            alone={players.length === 1}
            going={open}
          />
        </section>
      ))}
      <div className="d-flex gap-2 no-print">
        {open ? (
          <a className="btn btn-primary" href={`/play#${session.sessionId}`}>
            Go on
          </a>
        ) : (
          session.gameId && (
            <Link className="btn btn-primary" href={`/a/${slug}/games/${session.gameId}`}>
              Again
            </Link>
          )
        )}
        {session.spec.open && shots.length > 0 && (
          <Link className="btn btn-outline-dark" href={`/a/${slug}/games/new?session=${session.sessionId}`}>
            Keep as a game
          </Link>
        )}
        <Link className="btn btn-outline-dark" href={`/a/${slug}`}>
          To Today
        </Link>
      </div>
    </div>
  );
}
