import 'server-only';
import type { MemberRole } from '@/db/actor';
import { academyOf } from '@/db/queries/academies';
import { getPlayer } from '@/db/queries/players';
import { dataOf } from './data';
import { database } from './db';
import { deskModel } from './known/model';

/**
 * What is known of one player, for whoever may see it and may not ask for everything it takes: it is read as somebody would who helps with this
 * player, and sees nobody else.
 * @returns null where the player is not there any more
 */
export async function helpWith(academyId: string, playerId: string) {
  const data = dataOf<MemberRole>({ kind: 'assistant', academyId, userId: 'nobody', players: [playerId] });
  const program = { kind: 'program', academyId } as const;
  const [academy, found] = await Promise.all([academyOf(database(), program), getPlayer(database(), program, playerId)]);
  return academy && found && { desk: { data, academy, model: deskModel }, ...found };
}
