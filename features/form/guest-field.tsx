'use client';

import { useState } from 'react';
import { guestSchema } from '@/core/people/player';

type Props = { onAdd: (name: string) => void };

/** Lets somebody play along who is no player of the academy: by a name. */
export function GuestField({ onAdd }: Props) {
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const add = () => {
    const read = guestSchema.safeParse(name);
    if (!read.success) return setWrong(read.error.issues[0]!.message);
    onAdd(read.data);
    setName('');
  };
  return (
    <div className="mt-2">
      <div className="input-group">
        <input
          className={`form-control ${wrong ? 'is-invalid' : ''}`}
          aria-label="Guest’s name"
          placeholder="A guest, or the coach"
          maxLength={60}
          autoComplete="off"
          value={name}
          aria-describedby={wrong ? 'guest-wrong' : undefined}
          onChange={(event) => {
            setName(event.target.value);
            setWrong(null);
          }}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            add();
          }}
        />
        <button type="button" className="btn btn-outline-dark" onClick={add}>
          Add a guest
        </button>
      </div>
      {wrong && (
        <p id="guest-wrong" className="text-danger fw-semibold mb-0 mt-1">
          {wrong}
        </p>
      )}
    </div>
  );
}
