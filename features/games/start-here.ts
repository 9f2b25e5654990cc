import { goTo } from '../form/go';
import { NOT_SENT } from '../form/use-save';
import { playAddress } from '@/core/exchange/play-address';
import { kitAction, type StartSource } from './actions';

/** Who plays, in their order; guests among them are known only by their names. */
export type Starters = {
  playerIds: readonly string[];
  guests?: readonly { playerId: string; name: string }[];
  allowances?: Record<string, number>;
};

/**
 * Begins a game on this device and goes there.
 * @param at the station at which it is begun, by its key; without it, as the game says
 * @returns why it can't be begun, in a sentence; null where it is
 */
export async function startHere(slug: string, source: StartSource, { playerIds, guests = [], allowances = {} }: Starters, at?: string) {
  const players = playerIds.filter((playerId) => guests.every((guest) => guest.playerId !== playerId));
  const answer = await kitAction(slug, source, players).catch(() => null);
  if (!answer?.ok) return answer ? (Object.values(answer.fields)[0] ?? NOT_SENT) : NOT_SENT;
  // The device's own store comes when somebody starts: whoever only looks at a game needs none of it.
  const { beginHere } = await import('../play/start/begin-here');
  const { gameId, home } = answer;
  const sessionId = await beginHere(home, { gameId, playerIds, guests, allowances }, null).catch(() => 'no store' as const);
  if (sessionId === 'no store')
    return 'This browser keeps nothing here, so balls could be lost. Leave private browsing, or use another browser.';
  if (sessionId === null) return 'One of the players is no longer here. Load the page again.';
  goTo(playAddress(sessionId, at));
  return null;
}
