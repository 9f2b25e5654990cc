'use client';

import { useState } from 'react';
import { makeReaderKey } from '../device/server';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

/** Gives a device that reads distances the key of this session. */
export function ReaderPanel({ bundle, onClose }: MenuProps) {
  const [key, setKey] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');
  const make = async () => {
    setWrong('');
    const made = await makeReaderKey(bundle.sessionId);
    if (typeof made === 'object') setKey(made.got.key);
    else setWrong('No key could be made: is the network there? Try again.');
  };
  return (
    <>
      <Top title="Distance reader" onBack={onClose} />
      <div className={styles.list}>
        <p className="mb-0">
          A device with this session’s key hands in what it reads. The number pad then offers the newest reading; nothing is taken by
          itself. A new key ends the one before; each holds for a day.
        </p>
        {key && (
          <>
            <p className={styles.key} aria-label="Key">
              {key}
            </p>
            <p className="mb-0">
              With the stand-in that comes with the program: <br />
              <code>npm run reader -- --key {key.slice(0, 6)}…</code>
            </p>
          </>
        )}
        {wrong && (
          <p role="alert" className="text-danger fw-semibold mb-0">
            {wrong}
          </p>
        )}
        <button type="button" className="btn btn-primary btn-lg" onClick={() => void make()}>
          {key ? 'Make another key' : 'Make a key'}
        </button>
      </div>
    </>
  );
}
