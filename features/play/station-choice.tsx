'use client';

import { sayStation, sayStationLie, sayWhere } from '@/core/game/words/say-station';
import { sayAsked } from '@/core/play/questions';
import type { Turn } from '@/core/game/turn';
import { counted } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/length';
import styles from './play.module.scss';

type Props = {
  turns: readonly Turn[];
  /** How many stations the game has. */
  stations: number;
  left: (turn: Turn) => number;
  system: UnitSystem;
  onChoose: (turn: Turn) => void;
};

/** Where the player chooses what to play next. */
export function StationChoice({ turns, stations, left, system, onChoose }: Props) {
  return (
    <section className={styles.choice} aria-label="What next?">
      <h2>What next?</h2>
      {turns.map((turn) => (
        <button key={`${turn.station.key}|${turn.ballNo}`} type="button" onClick={() => onChoose(turn)}>
          <b>{[sayStation(turn.station, system), sayAsked(turn)].filter(Boolean).join(' · ')}</b>
          <small>
            {[sayWhere(turn.station, turn.stationNo, stations), sayStationLie(turn.station)].filter(Boolean).join(' · ')} ·{' '}
            {counted(left(turn), 'ball')} left
          </small>
        </button>
      ))}
    </section>
  );
}
