import 'server-only';
import { erasureMail } from '@/core/people/mails';
import { academyOf } from '@/db/queries/academies';
import { listMembers } from '@/db/queries/members';
import { getPlayer } from '@/db/queries/players';
import { database } from '../db';
import { publicUrl } from '../public-url';
import { makeQuota } from '../quota';
import { sendMailLater } from './post';

/** Whoever asks again and again is heard on the page, and not by e-mail. */
const quota = makeQuota('erasures-asked', { most: 3, windowMs: 24 * 3_600_000 });

/** Tells the owner of an academy that somebody asked to have a player erased: it is due within a month, and nobody looks every day. */
export async function tellErasureAsked(academyId: string, playerId: string): Promise<void> {
  if (!(await quota(`${academyId} ${playerId}`, 1))) return;
  const program = { kind: 'program', academyId } as const;
  const [academy, found, members] = await Promise.all([
    academyOf(database(), program),
    getPlayer(database(), program, playerId),
    listMembers(database(), program),
  ]);
  const owner = members.find(({ role }) => role === 'owner');
  if (!academy || !found || !owner) return;
  const address = `${publicUrl()}/a/${academy.slug}/players/${playerId}/family`;
  sendMailLater(erasureMail(owner, { player: found.player.name, academy: academy.name }, address));
}
