import { lightFormat } from 'date-fns';
import type { Home } from '@/core/exchange/home';
import { beginSession, type Begun } from '@/core/exchange/session-start';
import { newId, now } from '../../form/ids';
import { keepStart } from '../device/store';

export type Chosen = Pick<Begun, 'gameId' | 'playerIds' | 'guests' | 'allowances'>;

/**
 * Begins a game on this device, with or without a network. The server hears of it once somebody means to play it.
 * @param token of the personal link with which it is begun; null for a sign-in
 * @returns the session's id; null where the game or a player is not here
 */
export async function beginHere(home: Home, chosen: Chosen, token: string | null): Promise<string | null> {
  const at = new Date(now());
  const begun = { ...chosen, sessionId: newId(), startedAt: at.toISOString(), day: lightFormat(at, 'yyyy-MM-dd') };
  const made = beginSession(home, begun);
  if (!made) return null;
  await keepStart(made.bundle, made.start, token);
  return begun.sessionId;
}
