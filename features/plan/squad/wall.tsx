'use client';

import { useEffect, useState, useSyncExternalStore } from 'react';
import type { SquadSession } from '@/core/squad/squad-session';
import { useAwake } from '../../play/device/device-extras';
import { now } from '../../form/ids';
import styles from './squad.module.scss';

type Props = {
  session: Pick<SquadSession, 'rounds'> & { groups: readonly { name: string; people: string }[] };
  stations: readonly string[];
  back: string;
};

const onHash = (listener: () => void) => {
  window.addEventListener('hashchange', listener);
  return () => window.removeEventListener('hashchange', listener);
};

/** A squad's session on a wall: the minutes that are left, who goes where, and the bell. When it began stands in the address, so that it can be loaded again. */
export function Wall({ session, stations, back }: Props) {
  const { rounds, groups } = session;
  const startedAt = Number(
    useSyncExternalStore(
      onHash,
      () => window.location.hash.slice(1),
      () => '',
    ),
  );
  const running = startedAt > 0;
  const [ms, setMs] = useState(0);
  const [sound, setSound] = useState<AudioContext | null>(null);
  useAwake(running);
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setMs(now()), 250);
    return () => clearInterval(timer);
  }, [running]);
  const gone = running && ms > 0 ? Math.max(0, (ms - startedAt) / 60_000) : 0;
  const round = rounds.findIndex(({ to }) => gone < to);
  const over = round < 0;
  const current = rounds[over ? rounds.length - 1 : round]!;
  const changing = !over && gone < current.from;
  const leftS = over ? 0 : Math.ceil(60 * ((changing ? current.from : current.to) - gone));
  const phase = !running ? 'before' : over ? 'over' : `${round}${changing ? ' change' : ''}`;
  useEffect(() => {
    if (phase !== 'before' && sound) ring(sound);
  }, [phase, sound]);
  const withCoach = (group: number) => !over && current.coach === group;
  const start = () => {
    // A browser lets a page sound only after somebody pressed something.
    setSound(new AudioContext());
    setMs(now());
    window.location.hash = String(now());
  };
  return (
    <main className={styles.wall}>
      <header>
        <a href={back} aria-label="Back to the plan">
          ‹
        </a>
        <span>{over ? 'Finished' : changing ? 'Stop, collect, change' : `Round ${Math.max(0, round) + 1} of ${rounds.length}`}</span>
        {!running && (
          <button type="button" className="btn btn-primary btn-lg" onClick={start}>
            Start
          </button>
        )}
        {running && !sound && !over && (
          <button type="button" className="btn btn-outline-light" onClick={() => setSound(new AudioContext())}>
            Bell on
          </button>
        )}
        <b role="timer" className={styles.left}>
          {Math.floor(leftS / 60)}:{String(leftS % 60).padStart(2, '0')}
        </b>
      </header>
      <ol className={styles.wallGroups} style={{ '--groups': groups.length } as React.CSSProperties}>
        {groups.map(({ name, people }, group) => (
          <li key={name} className={withCoach(group) ? styles.withCoach : undefined}>
            <b>{name}</b>
            <span>{people}</span>
            <strong>{over ? '–' : stations[current.at[group]!]}</strong>
            {withCoach(group) && <small>with the coach</small>}
          </li>
        ))}
      </ol>
    </main>
  );
}

/** Three strokes of a bell. */
function ring(audio: AudioContext): void {
  for (const stroke of [0, 0.5, 1]) {
    const [tone, gain] = [audio.createOscillator(), audio.createGain()];
    const from = audio.currentTime + stroke;
    tone.frequency.value = 880;
    gain.gain.setValueAtTime(0.5, from);
    gain.gain.exponentialRampToValueAtTime(0.001, from + 0.45);
    tone.connect(gain).connect(audio.destination);
    tone.start(from);
    tone.stop(from + 0.45);
  }
}
