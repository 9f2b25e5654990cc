'use client';

import { useState } from 'react';
import type { Notes } from '@/core/exchange/bundle';
import { sayMoment } from '@/core/units/say-moment';
import styles from './session.module.scss';

type Props = {
  id: string;
  notes: Notes;
  /** Who writes: a coach writes the player's and their own, a player by a personal link their own. */
  by: 'coach' | 'player';
  /** In which moments are said. */
  timeZone: string;
  onKeep: (whose: 'own' | 'coach', text: string) => Promise<unknown>;
};

/** What the player and coaches write about a session. It is kept as soon as the field is left. */
export function NoteFields({ id, notes, by, timeZone, onKeep }: Props) {
  // An older server says no more than what a coach wrote last.
  const coaches = notes.coaches.length > 0 || by === 'coach' || !notes.coach ? notes.coaches : [{ by: '', text: notes.coach, at: '' }];
  return (
    <div className={styles.notes}>
      <Note id={`${id}-own`} label="Player’s note" text={notes.own} onKeep={(text) => onKeep('own', text)} />
      {by === 'coach' && (
        <Note id={`${id}-coach`} label="Coach’s note, the player reads it" text={notes.coach} onKeep={(text) => onKeep('coach', text)} />
      )}
      {coaches.map((one, i) => (
        <p key={i} className={styles.said}>
          <b>From {one.by || 'the coach'}:</b> {one.text} {one.at && <small>{sayMoment(new Date(one.at), timeZone)}</small>}
        </p>
      ))}
    </div>
  );
}

const MOST = 500;

type NoteProps = { id: string; label: string; text: string; onKeep: (text: string) => Promise<unknown> };

function Note({ id, label, text, onKeep }: NoteProps) {
  const [typed, setTyped] = useState(text);
  const [held, setHeld] = useState({ text, state: '' });
  const [told, setTold] = useState(text);
  // A note from elsewhere is shown, unless somebody is writing here; what was just kept here stays until it is told back.
  if (told !== text) {
    setTold(text);
    if (typed.trim() === held.text && held.text !== text) {
      setTyped(text);
      setHeld({ text, state: '' });
    }
  }
  const keep = async () => {
    if (typed.trim() === held.text) return;
    setHeld({ text: typed.trim(), state: 'kept' });
    const failed = await onKeep(typed.trim()).then(
      () => false,
      () => true,
    );
    if (failed) setHeld({ text: held.text, state: 'not saved: no connection' });
  };
  return (
    <div>
      <label htmlFor={id}>
        {label} <small role="status">{held.state}</small>
      </label>
      <textarea
        id={id}
        className="form-control"
        rows={2}
        maxLength={MOST}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => void keep()}
      />
    </div>
  );
}
