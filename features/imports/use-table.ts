'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Batch } from '@/core/imports/batch';
import type { Look } from '@/core/imports/import-file';
import type { Mapping } from '@/core/imports/mapping';
import type { Given } from '@/core/imports/rewrite';
import type { UnitSystem } from '@/core/units/length';
import type { FromImport, Opened, ToImport } from '@/workers/import-messages';
import { startImportWorker } from './start-worker';

const NO_WORKER = 'This browser can’t read the file here. Load the page again.';
/** As much as a page reads without getting into trouble. */
const MOST_BYTES = 60_000_000;

/** What is known of the file that is open. */
export type Table = {
  fileName: string;
  opened: Opened;
  /** What it comes to, and by which mapping that was read, as JSON. */
  look: { of: string; look: Look } | null;
  /** How far the newest reading is, from 0 to 1; null while nothing is read. */
  reading: number | null;
};

/** Reads a table in a worker: what it holds, what it comes to, and its rows as they are sent. */
export function useTable(given: Given, system: UnitSystem) {
  const worker = useRef<Worker | null>(null);
  const asks = useRef({ opened: 0, count: 0, of: '' });
  const waiting = useRef<{ resolve: (batch: Batch | null) => void; reject: (why: Error) => void } | null>(null);
  const waitingBad = useRef<((csv: string) => void) | null>(null);
  const [table, setTable] = useState<Table | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const given0 = useRef(given);

  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => stop, []);
  const post = (message: ToImport, transfer: Transferable[] = []) => worker.current?.postMessage(message, transfer);

  const open = useCallback(
    async (file: File) => {
      stop();
      setTable(null);
      setFailed(null);
      if (file.size > MOST_BYTES) return setFailed('This file is larger than 60 MB. Split it.');
      const opening = ++asks.current.opened;
      const bytes = await file.arrayBuffer();
      // Another was opened meanwhile.
      if (opening !== asks.current.opened) return;
      try {
        const made = startImportWorker();
        made.onerror = () => worker.current === made && setFailed(NO_WORKER);
        made.onmessage = ({ data }: MessageEvent<FromImport>) => {
          if (worker.current !== made) return;
          if ('opened' in data) setTable({ fileName: file.name, opened: data.opened, look: null, reading: null });
          else if ('failed' in data) {
            setFailed(data.failed);
            waiting.current?.reject(new Error(data.failed));
          } else if ('batch' in data) waiting.current?.resolve(data.batch);
          else if ('bad' in data) waitingBad.current?.(data.bad);
          else if (data.ask === asks.current.count) {
            const { of } = asks.current;
            setTable(
              (now) => now && ('look' in data ? { ...now, look: { of, look: data.look }, reading: null } : { ...now, reading: data.done }),
            );
          }
        };
        worker.current = made;
        post({ open: bytes, given: given0.current, system }, [bytes]);
      } catch {
        setFailed(NO_WORKER);
      }
    },
    [system],
  );

  const look = useCallback((mapping: Mapping) => {
    asks.current.count += 1;
    asks.current.of = JSON.stringify(mapping);
    post({ ask: asks.current.count, look: mapping });
    setTable((now) => now && { ...now, reading: 0 });
  }, []);

  return {
    table,
    failed,
    open,
    look,
    close: () => {
      stop();
      setTable(null);
      setFailed(null);
    },
    correct: (line: number, cells: readonly string[]) => post({ correct: line, cells }),
    /** The next rows to send; null: there are no more. */
    next: (as?: Extract<ToImport, { next: true }>['as']) =>
      new Promise<Batch | null>((resolve, reject) => {
        waiting.current = { resolve, reject };
        post({ next: true, ...(as ? { as } : {}) });
      }),
    /** The rows that can't be kept, as CSV. */
    bad: (mapping: Mapping) =>
      new Promise<string>((resolve) => {
        waitingBad.current = resolve;
        post({ bad: mapping });
      }),
  };
}
