'use client';

import type { Bundle } from '@/core/exchange/bundle';
import type { Standing, Table } from '@/core/play/play';
import { goalMet } from '@/core/play/play';
import { sayScore, scoreFigure, sayUnit } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import { sayResult } from '@/core/shot/say-shot';
import { counted } from '@/core/units/format';
import { ProgressTape } from '@/ui/progress-tape';
import { useSession } from './device/use-session';
import styles from './live-board.module.scss';
import { tableOf } from './record';

/** The standing of a session as it is played, to be read from afar. */
export function LiveBoard({ sessionId }: { sessionId: string }) {
  const view = useSession(sessionId);
  if (view.state === 'loading') return <p className="empty">One moment …</p>;
  if (view.state !== 'here') return <p className="empty">The session can’t be loaded: no connection.</p>;
  return <Standings bundle={view.bundle} table={tableOf(view.bundle, view.shots)} />;
}

function Standings({ bundle, table }: { bundle: Bundle; table: Table }) {
  const { spec, players } = bundle;
  const scheme = schemeOf(spec.scoring);
  const unit = scheme.unit(spec.scoring);
  const order = inPlaces(table, scheme.better(spec.scoring));
  const reader = players[0]!.units;
  return (
    <section className={styles.board} aria-label="Live board" data-many={players.length > 8 || undefined}>
      <header>
        <h1>{spec.title}</h1>
        <p>
          {sayUnit(unit, reader)}
          {spec.goal !== null && (
            <>
              {' '}
              · goal <b>{unit === 'points' ? spec.goal : sayScore(spec.goal, unit, reader)}</b>
            </>
          )}
          {(table.over || bundle.stopped) && <b> · over</b>}
        </p>
      </header>
      <ol aria-live="polite">
        {order.map(({ seat, place }) => {
          const player = players[seat]!;
          const standing = table.standings[seat]!;
          return (
            <li key={player.playerId} data-leads={table.ahead.includes(seat) || undefined}>
              <span className={`${styles.place} fig`}>{place}</span>
              <span className={styles.name}>
                <b>{player.name}</b>
                <small>{sayThrough(standing, bundle)}</small>
              </span>
              <span className={styles.tape}>
                <ProgressTape
                  done={standing.played.length}
                  of={bundle.spec.open ? Math.max(1, standing.played.length) : standing.turns}
                  parts={[]}
                />
              </span>
              <output className={`${styles.score} fig`} aria-label={`Score of ${player.name}`}>
                {scoreFigure(standing.score, unit, player.units)}
                {goalMet(spec, standing.score, standing.early) && standing.over && <small>goal</small>}
              </output>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** "through 7 of 12 · last: 4 ft 3, short": how far somebody is, and their last ball. */
function sayThrough({ played, turns, over, now }: Standing, { spec, players }: Bundle): string {
  const last = played.at(-1);
  const far = spec.open ? counted(played.length, 'ball') : over ? 'through' : `through ${played.length} of ${turns}`;
  const units = players.find((player) => player.playerId === last?.playerId)?.units ?? 'imperial';
  return [far, now, last && `last: ${sayResult(last, units)}`].filter(Boolean).join(' · ');
}

/** Seats by their score, the best first; who stands level shares a place. Nobody is behind for a ball not yet played in games against a par. */
function inPlaces(table: Table, better: 'higher' | 'lower'): { seat: number; place: number }[] {
  const figure = (seat: number) => {
    const { score, par } = table.standings[seat]!;
    return better === 'higher' ? score - par : par - score;
  };
  const seats = table.standings.map((_, seat) => seat).sort((a, b) => figure(b) - figure(a));
  return seats.map((seat) => ({ seat, place: 1 + seats.filter((other) => figure(other) > figure(seat)).length }));
}
