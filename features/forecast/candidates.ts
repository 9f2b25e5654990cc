import { lengthsOf } from '@/core/game/sizes';
import type { Answer } from '@/server/data';
import type { Candidate } from './use-beliefs';

/** Players as those for whom a game can be forecast and started: only what that takes. */
export function candidatesOf(players: readonly Pick<Answer<'listPlayers'>[number], 'player' | 'balls'>[]): Candidate[] {
  return players.map(({ player, balls }) => ({
    playerId: player.playerId,
    name: player.name,
    level: player.level,
    balls,
    ...lengthsOf(player),
  }));
}
