'use server';

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { LINK_DAYS } from '@/core/people/link';
import { requireCoach } from '@/server/actor';
import { publicUrl } from '@/server/public-url';
import { newToken } from '@/server/token';

/** The address of a new link: it is shown now and can't be shown again, because only its hash is kept. */
export type NewLink = { linkId: string; playerId: string; address: string };

const days = z.union(LINK_DAYS.map(([count]) => z.literal(count)));

/** Makes a personal link for each of these players. */
export async function makeLinksAction(slug: string, playerIds: unknown, forDays: unknown): Promise<NewLink[]> {
  const { data, academy } = await requireCoach(slug);
  const ids = z.array(z.uuid()).min(1).max(1000).parse(playerIds);
  const expiresAt = addDays(new Date(), days.parse(forDays));
  const made: NewLink[] = [];
  for (const playerId of ids) {
    const { token, hash } = newToken(academy.academyId);
    const linkId = randomUUID();
    if (await data.keepLink(playerId, { linkId, tokenHash: hash, expiresAt }))
      made.push({ linkId, playerId, address: `${publicUrl()}/j#${token}` });
  }
  revalidatePath(`/a/${slug}/players`, 'layout');
  return made;
}

/** Ends a link at once. */
export async function revokeLinkAction(slug: string, linkId: unknown): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.revokeLink(z.uuid().parse(linkId));
  revalidatePath(`/a/${slug}/players`, 'layout');
}
