'use client';

import { useEffect, useRef, useState } from 'react';
import type { Part } from '@/core/forecast/forecast';
import type { Outlook } from '@/core/forecast/outlook';
import type { AskedForecast, FromForecast, KnownOfPlayer, ToForecast } from '@/workers/messages';
import { startForecastWorker } from './start-worker';

/** A piece of an answer, with the number of the question that it answers. */
type Of<T> = T & { ask: number };
type Piece<Kind extends Part['kind']> = Of<Extract<Part, { kind: Kind }>>;

/** What has been answered so far. Pieces of an older question stay until their own come; `ask` tells them apart. */
export type ForecastAnswer = {
  ask: number;
  rows: Record<string, Of<{ outlook: Outlook; rough: boolean }>>;
  goal?: Piece<'goal'>;
  zones?: Piece<'zones'>;
  pars?: Piece<'pars'>;
  information?: Piece<'information'>;
  together?: Piece<'together'>;
  busy: boolean;
  failed: string | null;
};

const NOTHING: ForecastAnswer = { ask: 0, rows: {}, busy: false, failed: null };
const NOT_STARTED = 'The forecast did not start. Load the page again to see it; what you typed can be saved first.';

/** What is known of a player, as it is sent to the worker. */
export type KnownCandidate = { key: string } & KnownOfPlayer;

/** Changes that follow each other faster than this are one. */
const SETTLED_MS = 40;

/**
 * Answers a question in a worker, piece by piece, and drops what is outdated.
 * @param question as JSON, so that the same question is not asked again; null asks nothing
 * @param subject what the question is about: answers about another subject are not shown at all
 */
export function useForecast(question: string | null, subject: string, known: readonly KnownCandidate[]): ForecastAnswer {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const told = useRef(new Set<string>());
  const [answer, setAnswer] = useState<{ subject: string; question: string | null; answer: ForecastAnswer }>({
    subject,
    question: null,
    answer: NOTHING,
  });

  useEffect(() => {
    const sent = told.current;
    const fail = () => setAnswer((now) => ({ ...now, answer: { ...NOTHING, failed: NOT_STARTED } }));
    try {
      const made = startForecastWorker();
      made.onmessage = ({ data }: MessageEvent<FromForecast>) => {
        if (data.ask === asked.current) setAnswer((now) => ({ ...now, answer: withMessage(now.answer, data) }));
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

  useEffect(() => {
    const send = (message: ToForecast) => worker.current?.postMessage(message);
    for (const { key, ...rest } of known)
      if (!told.current.has(key)) {
        told.current.add(key);
        send({ know: key, ...rest });
      }
    asked.current += 1;
    if (question === null) return;
    const ask = asked.current;
    const timer = setTimeout(() => {
      if (!worker.current) return;
      setAnswer((now) => {
        const before = now.subject === subject ? now.answer : NOTHING;
        return { subject, question, answer: { ...before, ask, busy: true, failed: null } };
      });
      send({ ask, question: JSON.parse(question) as AskedForecast });
    }, SETTLED_MS);
    return () => clearTimeout(timer);
  }, [question, subject, known]);

  if (answer.subject !== subject && !answer.answer.failed) return NOTHING;
  // What was answered to another question is nobody's answer now, though it is still shown.
  return answer.question === question ? answer.answer : { ...answer.answer, ask: NO_ASK };
}

/** The number of no question. */
const NO_ASK = -1;

function withMessage(now: ForecastAnswer, message: FromForecast): ForecastAnswer {
  if ('failed' in message) return { ...NOTHING, failed: `This can’t be forecast: ${message.failed}.` };
  if ('done' in message) return { ...now, busy: false };
  const { ask, part } = message;
  if (part.kind === 'row') return { ...now, rows: { ...now.rows, [part.key]: { outlook: part.outlook, rough: part.rough, ask } } };
  return { ...now, [part.kind]: { ...part, ask } };
}
