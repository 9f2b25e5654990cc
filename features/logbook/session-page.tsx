import Link from 'next/link';
import { play } from '@/core/game/play';
import type { Answer, Best } from '@/server/data';
import { sayMoment } from '../form/when';
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
  const { session, players, shots } = data;
  const open = !session.completedAt && !session.stoppedAt;
  return (
    <div className="p-3 p-md-4">
      {players.map((player) => {
        const standing = play(
          session.spec,
          shots.filter((shot) => shot.playerId === player.playerId),
        );
        return (
          <section key={player.playerId} className="mb-4">
            <h1>
              <Link href={`/a/${slug}/players/${player.playerId}`}>{player.name}</Link> · {session.spec.title}
            </h1>
            <p className="small-print">
              {sayMoment(session.startedAt, timeZone)} · version {session.gameVersion}
            </p>
            <Summary spec={session.spec} standing={standing} best={bests.get(player.playerId) ?? null} system={player.units} />
          </section>
        );
      })}
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
        <Link className="btn btn-outline-dark" href={`/a/${slug}`}>
          To Today
        </Link>
      </div>
    </div>
  );
}
