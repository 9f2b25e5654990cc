'use client';

import { useEffect, useRef, useState } from 'react';
import type { Flight } from '@/core/physics/launch';
import type { LandingAsked } from '@/core/tools/landing-answer';
import type { Club, OptionAnswer } from '@/core/tools/landing-options';
import type { Routes } from '@/core/tools/landing-routes';
import type { FromLanding, ToLanding } from '@/workers/landing-messages';
import { startLandingWorker } from './start-worker';

const FAILED = 'The landing spots could not be worked out. Load the page again.';
/** Changes that follow each other faster than this are one. */
const SETTLED_MS = 30;

/** A question and what was answered to it; `of` says to which question an answer belongs. */
type Answers = {
  options: { of: string; options: OptionAnswer[] } | null;
  routes: { of: string; routes: Routes } | null;
  failed: string | null;
};

/**
 * Answers where to land in a worker: all clubs, and of the chosen one the two routes. An older answer stays until the newer one is there.
 * @param asked as JSON; null asks nothing
 * @param choice as JSON: the club and flight of which the routes are wanted
 */
export function useLanding(asked: string | null, choice: string | null) {
  const worker = useRef<Worker | null>(null);
  const questions = useRef(new Map<number, string>());
  const count = useRef(0);
  const [answers, setAnswers] = useState<Answers>({ options: null, routes: null, failed: null });

  useEffect(() => {
    const fail = () => setAnswers((now) => ({ ...now, failed: FAILED }));
    const sent = questions.current;
    try {
      const made = startLandingWorker();
      made.onmessage = ({ data }: MessageEvent<FromLanding>) => {
        const of = sent.get(data.ask);
        sent.delete(data.ask);
        if (of === undefined) return;
        if ('failed' in data) fail();
        else if ('options' in data) setAnswers((now) => ({ ...now, failed: null, options: { of, options: data.options } }));
        else setAnswers((now) => ({ ...now, failed: null, routes: { of, routes: data.routes } }));
      };
      made.onerror = fail;
      worker.current = made;
    } catch {
      queueMicrotask(fail);
    }
    return () => {
      worker.current?.terminate();
      worker.current = null;
      sent.clear();
    };
  }, []);

  const send = (of: string, message: (ask: number) => ToLanding) => {
    const ask = ++count.current;
    questions.current.set(ask, of);
    worker.current?.postMessage(message(ask));
  };
  useEffect(() => {
    if (asked === null) return;
    const timer = setTimeout(() => send(asked, (ask) => ({ ask, asked: JSON.parse(asked) as LandingAsked })), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [asked]);
  const routed = asked === null || choice === null ? null : `${asked}|${choice}`;
  useEffect(() => {
    if (routed === null) return;
    const timer = setTimeout(
      () =>
        send(routed, (ask) => ({
          ask,
          asked: JSON.parse(asked!) as LandingAsked,
          choice: JSON.parse(choice!) as { club: Club; flight: Flight },
        })),
      4 * SETTLED_MS,
    );
    return () => clearTimeout(timer);
    // The question and the choice are in it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [routed]);

  return {
    options: answers.options?.options ?? null,
    busy: asked !== null && answers.options?.of !== asked,
    routes: answers.routes?.of === routed ? (answers.routes?.routes ?? null) : null,
    failed: answers.failed,
  };
}
