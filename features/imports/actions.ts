'use server';

import { batchSchema } from '@/core/imports/batch';
import { resultSchema } from '@/core/imports/result';
import { columnsSchema, importStartSchema } from '@/core/imports/start';
import { momentIn } from '@/core/units/day';
import { askedAtDesk, atDesk, DONE, id } from '../form/at-desk';
import { refused } from '../form/result';

const GONE = refused('This import was undone somewhere else. Open the file again.');

/** How the last file with these columns was read. */
export const mappingForAction = askedAtDesk([columnsSchema], async ({ data }, columns) => ({
  ...DONE,
  mapping: await data.mappingFor(columns),
}));

/** Begins to take in a file. */
export const startImportAction = askedAtDesk([importStartSchema], async ({ data }, start) => {
  await data.startImport(start);
  return DONE;
});

/** Takes in some rows of it; they stand aside. */
export const sendRowsAction = askedAtDesk([id, batchSchema], async ({ data }, importId, batch) => {
  const problems = await data.stageRows(importId, batch);
  return problems ? { ...DONE, problems } : GONE;
});

/** Keeps the next rows that stand aside. */
export const keepRowsAction = askedAtDesk([id], async ({ data }, importId) => {
  const step = await data.keepRows(importId);
  return step ? { ...DONE, step } : GONE;
});

/** Takes back the next of what came in with a file. */
export const undoImportAction = atDesk([id], async ({ data }, importId) => {
  const step = await data.undoImport(importId);
  return step ? { ...DONE, step } : GONE;
});

/** Notes a result without balls under the id that the page made for it. */
export const addResultAction = atDesk([id, resultSchema], async ({ data, academy }, sessionId, { day, ...result }) => {
  // A day without a time is noon, as in a file.
  const playedAt = momentIn(day, '12:00', academy.timeZone).toISOString();
  return (await data.addResult({ sessionId, playedAt, ...result }))
    ? DONE
    : { ok: false, fields: { playerId: 'This player isn’t here any more.' } };
});

/** Takes a noted result away. */
export const removeResultAction = atDesk([id], async ({ data }, sessionId) => {
  await data.removeResult(sessionId);
  return DONE;
});
