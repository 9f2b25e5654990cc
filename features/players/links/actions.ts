'use server';

import { randomUUID } from 'node:crypto';
import { addDays } from 'date-fns';
import * as z from 'zod';
import { LINK_DAYS } from '@/core/people/link';
import { publicUrl } from '@/server/public-url';
import { newToken } from '@/server/token';
import { atDesk, DONE, id } from '../../form/at-desk';

/** The address of a new link: it is shown now and can't be shown again, because only its hash is kept. */
export type NewLink = { linkId: string; playerId: string; address: string };

const days = z.union(LINK_DAYS.map(([count]) => z.literal(count)));

/** Makes a personal link for each of these players. */
export const makeLinksAction = atDesk([z.array(id).min(1).max(1000), days], async ({ data, academy }, playerIds, forDays) => {
  const expiresAt = addDays(new Date(), forDays);
  const links: NewLink[] = [];
  for (const playerId of playerIds) {
    const { token, hash } = newToken(academy.academyId);
    const linkId = randomUUID();
    if (await data.keepLink(playerId, { linkId, tokenHash: hash, expiresAt }))
      links.push({ linkId, playerId, address: `${publicUrl()}/j#${token}` });
  }
  return { ...DONE, links };
});

/** Ends a link at once. */
export const revokeLinkAction = atDesk([id], async ({ data }, linkId) => {
  await data.revokeLink(linkId);
  return DONE;
});
