import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import type { Question } from '@/core/play/questions';
import type { Result } from '@/core/game/scoring/ball';
import { buzz } from './device/device-extras';

/**
 * What somebody pressed. A key is named by what it says, not by the ball that was on the screen: whoever enters a row of balls presses the
 * next key before the screen has caught up.
 */
export type Press =
  | { do: 'key'; question: Question['kind']; key: string }
  | { do: 'result'; result: Result }
  | { do: 'set'; results: Result[] }
  | { do: 'call'; called: string }
  | { do: 'mark'; counts: NonNullable<Result['counts']> }
  | { do: 'undo' };

/** What became of a press: a ball came or went, something else was said, or it could not be taken. */
export type Taken = 'ball' | 'choice' | 'nothing';

/** The same press again within this time is a thumb that bounced: five presses a second are farther apart. */
const BOUNCE_MS = 100;
/** So long a press waits until the screen shows what the one before it came to: a phone may be slow, but not for ever. */
const SHOWN_MS = 10_000;
/** So long a sentence about a press stays, whatever is pressed after it. */
const NOTED_MS = 4_000;

const NOTES = {
  twice: 'Double tap: counted once.',
  missed: 'That tap didn’t count. Tap again.',
} as const;

export type Presses = {
  /** Whether presses are still being taken, or the same one again would be a bounce. */
  busy: boolean;
  /** What has to be said about the last press; empty where it was taken. */
  note: string;
  press: (one: Press) => void;
  /** Says, after every drawing, who takes the next press. */
  takenBy: (take: (one: Press) => Promise<Taken>) => void;
};

/**
 * Takes presses one after another, each when the screen shows what the one before it came to; none is lost. One that can't be taken, or that
 * is the same as the one right before it, is answered with a buzz and a sentence.
 * @param balls of the session: how many there are tells when the screen shows the last one
 */
export function usePresses(balls: number): Presses {
  const queue = useRef<Press[]>([]);
  const last = useRef({ press: '', atMs: -Infinity });
  const taker = useRef<(one: Press) => Promise<Taken>>(async () => 'nothing');
  const shownBalls = useRef(balls);
  const awaited = useRef<{ taken: Taken; shown: () => void } | null>(null);
  const running = useRef(false);
  const [busy, setBusy] = useState(false);
  const [note, setNote] = useState<keyof typeof NOTES | null>(null);

  const takenBy = useCallback((take: (one: Press) => Promise<Taken>) => {
    taker.current = take;
    if (awaited.current?.taken === 'choice') awaited.current.shown();
  }, []);
  // Whoever takes the next press has said so by now: they are drawn within.
  useLayoutEffect(() => {
    shownBalls.current = balls;
    if (awaited.current?.taken === 'ball') awaited.current.shown();
  }, [balls]);

  const saying = useRef<ReturnType<typeof setTimeout>>(undefined);
  const say = useCallback((what: keyof typeof NOTES) => {
    clearTimeout(saying.current);
    setNote(what);
    saying.current = setTimeout(() => setNote(null), NOTED_MS);
  }, []);
  useEffect(() => () => clearTimeout(saying.current), []);

  const run = useCallback(async () => {
    if (running.current) return;
    running.current = true;
    setBusy(true);
    for (let one = queue.current.shift(); one; one = queue.current.shift()) {
      const [before, take] = [shownBalls.current, taker.current];
      const taken = await take(one).catch(() => 'nothing' as const);
      if (taken === 'nothing') {
        buzz();
        say('missed');
        continue;
      }
      const isShown = () => (taken === 'ball' ? shownBalls.current !== before : taker.current !== take);
      if (isShown()) continue;
      await new Promise<void>((resolve) => {
        const timer = setTimeout(resolve, SHOWN_MS);
        awaited.current = { taken, shown: () => (clearTimeout(timer), resolve()) };
      });
      awaited.current = null;
    }
    running.current = false;
    // A moment longer the same press again would be a bounce.
    setTimeout(() => running.current || setBusy(false), BOUNCE_MS);
  }, [say]);

  const press = useCallback(
    (one: Press) => {
      // When the finger came down, however late it is heard of.
      const atMs = window.event?.timeStamp ?? performance.now();
      const said = JSON.stringify(one);
      const bounced = last.current.press === said && atMs - last.current.atMs < BOUNCE_MS;
      last.current = { press: said, atMs };
      if (bounced) {
        buzz();
        say('twice');
        return;
      }
      queue.current.push(one);
      void run();
    },
    [run, say],
  );
  return { busy, note: note ? NOTES[note] : '', press, takenBy };
}
