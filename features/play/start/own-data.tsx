'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Erasure } from '@/core/exchange/erasure';
import { sayDate } from '@/core/units/say-moment';
import { saveFile } from '../../form/save-file';
import { getErasure, getEverything, sayErasure } from '../device/server';
import styles from './start.module.scss';

const NOT_NOW = 'No connection. Try again.';
const ZONE = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** What the player of a personal link can ask for: a copy of everything about them, and an end of it. */
export function OwnData({ token, academy }: { token: string; academy: string }) {
  const [open, setOpen] = useState(false);
  return (
    <details className={styles.phone} onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary>Your data</summary>
      {open && <Opened token={token} academy={academy} />}
    </details>
  );
}

function Opened({ token, academy }: { token: string; academy: string }) {
  const [asked, setAsked] = useState<Erasure['asked']>(null);
  const [sure, setSure] = useState(false);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState('');
  const look = useCallback(
    () =>
      getErasure(token).then((answer) => {
        if (typeof answer === 'object') setAsked(answer.got.asked);
      }),
    [token],
  );
  useEffect(() => void look(), [look]);
  const run = async (act: () => Promise<boolean>) => {
    setBusy(true);
    setWrong((await act()) ? '' : NOT_NOW);
    setBusy(false);
    setSure(false);
  };
  const say = (asks: boolean) =>
    run(async () => {
      if ((await sayErasure(token, asks)) !== 'stored') return false;
      await look();
      return true;
    });
  const get = () =>
    run(async () => {
      const file = await getEverything(token);
      if (file) saveFile('inch-game.zip', file);
      return file !== null;
    });
  const waits = asked && asked.declinedAt === null;
  return (
    <div className={styles.own}>
      <p>
        <a href="/privacy">What Inch Game keeps, and who sees it</a>
      </p>
      <button type="button" className="btn btn-outline-dark btn-lg" disabled={busy} onClick={() => void get()}>
        Download everything
      </button>
      {asked?.declinedAt && (
        <p>
          {academy} declined to erase it on {sayDate(new Date(asked.declinedAt), ZONE())}: “{asked.why}”
        </p>
      )}
      {waits && (
        <p>You asked on {sayDate(new Date(asked.at), ZONE())} to erase everything. A coach will do it, or tell you here why not.</p>
      )}
      {sure && (
        <p>
          Your name, balls, notes and plans will be gone for good, and this link will stop working. A coach will erase them, or tell you why
          not.
        </p>
      )}
      <div className={styles.go}>
        {waits && (
          <button type="button" className="btn btn-outline-dark btn-lg" disabled={busy} onClick={() => void say(false)}>
            Cancel the request
          </button>
        )}
        {!waits && !sure && (
          <button type="button" className="btn btn-outline-dark btn-lg" onClick={() => setSure(true)}>
            Ask to erase everything …
          </button>
        )}
        {sure && (
          <>
            <button type="button" className="btn btn-outline-dark btn-lg" onClick={() => setSure(false)}>
              Keep
            </button>
            <button type="button" className="btn btn-dark btn-lg" disabled={busy} onClick={() => void say(true)}>
              Send the request
            </button>
          </>
        )}
      </div>
      {wrong && (
        <p role="alert" className="fw-semibold">
          {wrong}
        </p>
      )}
    </div>
  );
}
