'use client';

import { useEffect, useRef, useState } from 'react';
import type { Part } from '@/core/forecast/forecast';
import type { Outlook } from '@/core/forecast/outlook';
import type { Asked, FromForecast, ToForecast } from '@/workers/messages';

/** What has been answered so far; what was answered to an older question is marked so until its own piece comes. */
export type Answer = {
  rows: Record<string, { outlook: Outlook; rough: boolean }>;
  goal?: Extract<Part, { kind: 'goal' }>;
  zones?: Extract<Part, { kind: 'zones' }>;
  pars?: Extract<Part, { kind: 'pars' }>;
  tells?: Extract<Part, { kind: 'tells' }>;
  together?: Extract<Part, { kind: 'together' }>;
  /** Of an older question: all of it will be replaced. */
  stale: boolean;
  /** Still at work. */
  busy: boolean;
  failed: string | null;
};

const NOTHING: Answer = { rows: {}, stale: false, busy: false, failed: null };

/** What is believed of a player, as it is sent to the worker. */
export type Known = { key: string; level: number; draws: Float32Array };

/** Changes that follow each other faster than this are one. */
const SETTLED_MS = 40;

/**
 * Answers a question in a worker, piece by piece, and drops what is outdated.
 * @param question as JSON, so that the same question is not asked again; null asks nothing
 */
export function useForecast(question: string | null, known: readonly Known[]): Answer {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const told = useRef(new Set<string>());
  const [answer, setAnswer] = useState<Answer>(NOTHING);

  useEffect(() => {
    const sent = told.current;
    const made = new Worker(new URL('../../../workers/forecast.ts', import.meta.url), { type: 'module' });
    made.onmessage = ({ data }: MessageEvent<FromForecast>) => {
      if (data.ask === asked.current) setAnswer((now) => withMessage(now, data));
    };
    made.onerror = () => setAnswer((now) => ({ ...now, busy: false, failed: 'The forecast did not start. Load the page again to see it.' }));
    worker.current = made;
    return () => {
      made.terminate();
      worker.current = null;
      sent.clear();
    };
  }, []);

  useEffect(() => {
    const send = (message: ToForecast) => worker.current?.postMessage(message);
    for (const { key, level, draws } of known)
      if (!told.current.has(key)) {
        told.current.add(key);
        send({ know: key, level, draws });
      }
    asked.current += 1;
    if (question === null) return;
    const ask = asked.current;
    const timer = setTimeout(() => {
      setAnswer((now) => ({ ...now, stale: true, busy: true, failed: null }));
      send({ ask, question: JSON.parse(question) as Asked });
    }, SETTLED_MS);
    return () => clearTimeout(timer);
  }, [question, known]);

  return question === null ? NOTHING : answer;
}

function withMessage(now: Answer, message: FromForecast): Answer {
  if ('failed' in message) return { ...NOTHING, failed: message.failed };
  if ('done' in message) return { ...now, busy: false };
  const { part } = message;
  // The first piece of an answer takes the place of all that was answered before.
  const before = now.stale ? { ...now, rows: {}, stale: false } : now;
  if (part.kind === 'row') return { ...before, rows: { ...before.rows, [part.key]: { outlook: part.outlook, rough: part.rough } } };
  return { ...before, [part.kind]: part };
}
