'use client';

import { useCallback, useRef, useState } from 'react';
import type { Batch } from '@/core/imports/batch';
import type { Mapping } from '@/core/imports/mapping';
import { useLeaveWarning } from '../form/use-leave-warning';
import { NOT_SENT } from '../form/use-save';
import { keepRowsAction, sendRowsAction, startImportAction, undoImportAction } from './actions';

/** What is sent: which file, how it is read, and who is who in it. */
export type Sending = {
  importId: string;
  fileName: string;
  columns: readonly string[];
  mapping: Mapping;
  rows: number;
  players: readonly (readonly [name: string, playerId: string])[];
  /** Of these players, those whom nobody knows yet. */
  made: readonly { playerId: string; name: string }[];
};

/** How far it is: rows are sent, then kept. */
export type Sent =
  | { at: 'sending' | 'keeping' | 'undoing'; share: number }
  | { at: 'kept'; kept: number; known: number; refused: number; lost: number }
  | { at: 'undone' }
  | { at: 'failed'; why: string };

/** So often a piece is tried again where there is no connection. */
const TRIES = 5;
const PAUSE_MS = 1500;

/** One piece, tried again for some time where nothing answers. */
async function patiently<T>(piece: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await piece();
    } catch (error) {
      if (tries >= TRIES) throw error;
      await new Promise((resolve) => setTimeout(resolve, PAUSE_MS * tries));
    }
  }
}

type Next = (as?: { mapping: Mapping; players: Sending['players'] }) => Promise<Batch | null>;
const sentence = (fields: Record<string, string>) => Object.values(fields)[0] ?? NOT_SENT;

/**
 * Sends a file piece by piece and has it kept; it can be stopped, and all of it taken back. Whoever goes to another page before all is sent finds
 * it among the earlier imports, not finished; what was sent already is kept to the end.
 */
export function useSending(slug: string, next: Next) {
  const [sent, setSent] = useState<Sent | null>(null);
  const stopped = useRef(false);
  const busy = sent !== null && (sent.at === 'sending' || sent.at === 'keeping' || sent.at === 'undoing');
  useLeaveWarning(busy);
  const undo = useCallback(
    async (importId: string) => {
      setSent({ at: 'undoing', share: 0 });
      let most = 0;
      try {
        for (;;) {
          const answer = await patiently(() => undoImportAction(slug, importId));
          if (!answer.ok) return setSent({ at: 'failed', why: sentence(answer.fields) });
          const { left } = answer.step;
          most = Math.max(most, left);
          if (left === 0) return setSent({ at: 'undone' });
          setSent({ at: 'undoing', share: 1 - left / most });
        }
      } catch {
        setSent({ at: 'failed', why: NOT_SENT });
      }
    },
    [slug],
  );

  const send = useCallback(
    async ({ importId, fileName, columns, mapping, rows, players, made }: Sending) => {
      stopped.current = false;
      setSent({ at: 'sending', share: 0 });
      try {
        const begun = await patiently(() =>
          startImportAction(slug, { importId, kind: mapping.kind, fileName, columns: [...columns], mapping, players: [...made] }),
        );
        if (!begun.ok) return setSent({ at: 'failed', why: sentence(begun.fields) });
        let [done, refused] = [0, 0];
        for (let batch = await next({ mapping, players }); batch && !stopped.current; batch = await next()) {
          const rowsOf = batch;
          const answer = await patiently(() => sendRowsAction(slug, importId, rowsOf));
          if (!answer.ok) return setSent({ at: 'failed', why: sentence(answer.fields) });
          done += batch.rows.length;
          refused += new Set(answer.problems.map(({ line }) => line)).size;
          setSent({ at: 'sending', share: done / Math.max(1, rows) });
        }
        while (!stopped.current) {
          const answer = await patiently(() => keepRowsAction(slug, importId));
          if (!answer.ok) return setSent({ at: 'failed', why: sentence(answer.fields) });
          const { left, kept, known, refused: never, lost } = answer.step;
          if (left === 0) return setSent({ at: 'kept', kept, known, refused: refused + never, lost });
          setSent({ at: 'keeping', share: 1 - left / Math.max(1, done) });
        }
        await undo(importId);
      } catch {
        setSent({ at: 'failed', why: NOT_SENT });
      }
    },
    [slug, next, undo],
  );

  return {
    sent,
    send,
    undo,
    stop: () => {
      stopped.current = true;
    },
    again: () => setSent(null),
  };
}
