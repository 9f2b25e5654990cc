'use server';

import { atDesk, DONE, id } from '../form/at-desk';

/** Ends a session before its last ball. Its balls stay. */
export const stopAction = atDesk([id], async ({ data }, sessionId) => {
  await data.stopSession(sessionId);
  return DONE;
});

/** Takes an early end back. */
export const resumeAction = atDesk([id], async ({ data }, sessionId) => {
  await data.resumeSession(sessionId);
  return DONE;
});
