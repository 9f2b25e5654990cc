'use client';

import { useState, type ReactNode } from 'react';
import { say, SHAPES, TRAJECTORIES } from '@/core/golf/words';
import { Chips } from '../session/chips';
import styles from './play.module.scss';

type Props = { title: string; onCall: (called: string) => void; /** Beside the key: undo. */ children: ReactNode };

/** What a player says they will do, before they do it: by a press, in their own words, or aloud. */
export function CallShot({ title, onCall, children }: Props) {
  const [flight, setFlight] = useState<(typeof TRAJECTORIES)[number] | null>(null);
  const [shape, setShape] = useState<(typeof SHAPES)[number] | null>(null);
  const [words, setWords] = useState('');
  const called = [flight && say(flight), shape && say(shape), words.trim()].filter(Boolean).join(', ');
  return (
    <form
      className={styles.call}
      onSubmit={(event) => {
        event.preventDefault();
        onCall(called);
      }}
    >
      <h2>{title}</h2>
      <Chips label="Flight" options={TRAJECTORIES} value={flight} onChange={setFlight} onClear={() => setFlight(null)} />
      <Chips label="Shape" options={SHAPES} value={shape} onChange={setShape} onClear={() => setShape(null)} />
      <label htmlFor="called-words">In your own words</label>
      <input
        id="called-words"
        className="form-control"
        maxLength={40}
        autoComplete="off"
        placeholder="lands past the ridge"
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <div className={styles.finish}>
        {children}
        <button type="submit" className="btn btn-primary">
          {called ? 'Called' : 'Called aloud'}
        </button>
      </div>
    </form>
  );
}
