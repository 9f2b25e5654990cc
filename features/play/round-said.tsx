'use client';

import type { Bundle } from '@/core/exchange/bundle';
import type { Table } from '@/core/play/play';
import { lastRound } from '@/core/play/round';
import { formatLeft, listed } from '@/core/units/format';
import { amendBall } from './record';
import styles from './play.module.scss';

type Props = { bundle: Bundle; table: Table };

/** How the last round of a game between players ended; where it was too close to tell, who is nearer is asked. */
export function RoundSaid({ bundle, table }: Props) {
  const round = lastRound(table);
  if (!round) return null;
  const { players } = bundle;
  const name = (seat: number) => players[seat]!.name;
  /** @param nearest the seat; null: the two are level */
  const say = (nearest: number | null) => {
    const level = round.tooClose && nearest === null ? { leftM: round.balls[round.tooClose[0]]!.leftM } : {};
    for (const [seat, ball] of round.balls.entries())
      void amendBall(bundle, ball.shotId, { nearer: seat === nearest, ...(round.tooClose?.includes(seat) ? level : {}) });
  };
  const mine = (seat: number) => bundle.only === null || players[seat]!.playerId === bundle.only;
  if (round.tooClose && round.balls.every((_, seat) => mine(seat)))
    return (
      <div className={styles.tooClose} role="group" aria-label="Too close to call">
        <p>
          Too close to call: {round.tooClose.map((seat) => formatLeft(round.balls[seat]!.leftM!, players[seat]!.units)).join(' and ')}. Who
          is nearer?
        </p>
        <div>
          {round.tooClose.map((seat) => (
            <button key={seat} type="button" className="btn btn-dark" onClick={() => say(seat)}>
              {name(seat)}
            </button>
          ))}
          <button type="button" className="btn btn-outline-dark" onClick={() => say(null)}>
            level
          </button>
        </div>
      </div>
    );
  return (
    <p className={styles.roundSaid} role="status">
      Round {round.no}: <b>{round.winners.length === 0 ? 'halved, nobody takes it' : listed(round.winners.map(name))}</b>
    </p>
  );
}
