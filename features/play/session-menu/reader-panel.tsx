'use client';

import { useState } from 'react';
import { makeReaderKey, type Got } from '../device/server';
import type { MenuProps } from './menu-props';
import styles from './session-menu.module.scss';
import { Top } from './top';

/** Why there is no key. A session that has just begun may still be on its way to the server. */
const WHY: Record<Exclude<Got<never>, object>, string> = {
  missing: 'No key made: the server doesn’t have this session yet. Try again in a moment.',
  'signed-out': 'No key made: you’re signed out.',
  outdated: 'No key made: this needs a newer version of the program. Reload this page.',
  unreachable: 'No key made: no connection. Try again.',
};

/** Gives a device that reads distances the key of this session. */
export function ReaderPanel({ bundle, onClose }: MenuProps) {
  const [key, setKey] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');
  const make = async () => {
    setWrong('');
    const made = await makeReaderKey(bundle.sessionId);
    if (typeof made === 'object') setKey(made.got.key);
    else setWrong(WHY[made]);
  };
  return (
    <>
      <Top title="Distance reader" onBack={onClose} />
      <div className={styles.list}>
        <p className="mb-0">
          A device with this session’s key sends what it reads. The number pad offers the newest reading; you decide whether to use it. A
          new key replaces the old one. Each lasts a day.
        </p>
        {key && (
          <>
            <p className={styles.key} aria-label="Key">
              {key}
            </p>
            <p className="mb-0">
              To try it with the program’s own simulator: <br />
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
