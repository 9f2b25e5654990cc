'use client';

import { useEffect, useRef, useState } from 'react';
import type { Standing, Table } from '@/core/play/play';
import { scoreFigure } from '@/core/game/words/say-score';
import { schemeOf } from '@/core/game/scoring';
import type { Bundle } from '@/core/exchange/bundle';
import { ProgressTape } from '@/ui/progress-tape';
import styles from './play.module.scss';
import { WaitingLine } from './waiting-line';

type Props = {
  bundle: Bundle;
  table: Table;
  seat: number;
  playing: boolean;
  leftMs: number | null;
  onSeat: (seat: number) => void;
  /** Where play leads back to: Today, or the page of the personal link. */
  home: string;
  onMenu: () => void;
};

/** Who plays what, how far they are, and whether every ball has reached the server. */
export function PlayHeader({ bundle, table, seat, playing, leftMs, onSeat, home, onMenu }: Props) {
  const standing = table.standings[seat]!;
  const several = bundle.players.length > 1;
  return (
    <header>
      <div className={styles.top}>
        <a href={home} aria-label={bundle.only ? 'Leave play' : 'Leave play, to Today'} className={styles.back}>
          ‹
        </a>
        <span className={styles.topName}>
          {!several && (
            <>
              <b>{bundle.players[seat]!.name}</b> ·{' '}
            </>
          )}
          {bundle.spec.title}
        </span>
        {leftMs !== null && <Clock leftMs={leftMs} />}
        <WaitingLine />
        <button type="button" className={styles.menuButton} aria-label="This session" onClick={onMenu}>
          ⋯
        </button>
      </div>
      {several && playing && <Seats bundle={bundle} table={table} seat={seat} onSeat={onSeat} />}
      <ProgressTape
        done={standing.played.length}
        of={bundle.spec.open ? Math.max(1, standing.played.length) : standing.turns}
        parts={partsOf(standing)}
      />
    </header>
  );
}

/** Where the parts of the game end on the progress tape: stations in a row, or phases. */
function partsOf({ phase, phases }: Standing): number[] {
  if (phases.length > 1) return phases.map((one) => one.turns);
  return phase.order === 'blocked' && phase.lots
    ? phase.stations.map((station) => phase.lots!.filter((lot) => phase.stations[lot.at]!.key === station.key).length)
    : [];
}

/** More players than this are easier to find in a list than in a row. */
const MANY = 5;

/** The players of the session with their scores; whose ball it is stands out, and another can be chosen. */
function Seats({ bundle, table, seat, onSeat }: Pick<Props, 'bundle' | 'table' | 'seat' | 'onSeat'>) {
  const [all, setAll] = useState(false);
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    row.current?.querySelector('[aria-selected="true"]')?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [seat]);
  const unit = schemeOf(bundle.spec.scoring).unit(bundle.spec.scoring);
  const many = bundle.players.length > MANY;
  return (
    <div className={styles.seatRow}>
      {many && (
        <button type="button" className={styles.allSeats} aria-expanded={all} onClick={() => setAll(!all)}>
          all {bundle.players.length}
        </button>
      )}
      <div ref={row} className={all ? `${styles.seats} ${styles.seatGrid}` : styles.seats} role="tablist" aria-label="Players">
        {bundle.players.map((player, i) => (
          <button
            key={player.playerId}
            type="button"
            role="tab"
            aria-selected={i === seat}
            // By a personal link one plays for oneself; the others are there to look at.
            disabled={bundle.only !== null && player.playerId !== bundle.only}
            onClick={() => {
              onSeat(i);
              setAll(false);
            }}
          >
            <span>{player.name}</span>
            <b className="fig">
              {scoreFigure(table.standings[i]!.score, unit, player.units)}
              {table.ahead.includes(i) && table.ahead.length < bundle.players.length && <span aria-label="leads"> ▲</span>}
            </b>
          </button>
        ))}
      </div>
    </div>
  );
}

function Clock({ leftMs }: { leftMs: number }) {
  const seconds = Math.max(0, Math.ceil(leftMs / 1000));
  return (
    <time className={`${styles.clock} fig`} role="timer" aria-label="Time left">
      {Math.floor(seconds / 60)}:{String(seconds % 60).padStart(2, '0')}
    </time>
  );
}
