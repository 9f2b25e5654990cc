'use server';

import { randomBytes, randomUUID } from 'node:crypto';
import { academySchema, slugOf } from '@/core/people/account';
import { newPlayer } from '@/core/people/player';
import type { Coach } from '@/db/actor';
import { homeOf, saveAcademy } from '@/db/queries/academies';
import { savePlayer } from '@/db/queries/players';
import { signedIn } from '@/server/actor';
import { auth } from '@/server/auth';
import { database } from '@/server/db';
import { faults, type FormResult } from '../form/result';

/**
 * Makes the academy of the signed-in user, and for somebody who practises alone the one player in it.
 * Sent twice, it makes one.
 */
export async function makeAcademy(input: unknown): Promise<{ ok: true; address: string } | Extract<FormResult, { ok: false }>> {
  const parsed = academySchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error) as Extract<FormResult, { ok: false }>;
  const user = await signedIn();
  if (!user) return { ok: false, fields: { '': 'You are signed out. Sign in again, then go on here.' } };
  const home = await homeOf(database(), user.id);
  if (home) return { ok: true, address: `/a/${home}` };

  const { who, units } = parsed.data;
  const timeZone = knownZone(parsed.data.timeZone) ? parsed.data.timeZone : 'UTC';
  const name = parsed.data.name || user.name;
  const slug = await freeSlug(name);
  const organization = await auth().api.createOrganization({ body: { name, slug, userId: user.id } });
  const actor: Coach = { kind: 'coach', academyId: organization.id, userId: user.id };
  await saveAcademy(database(), actor, { units, timeZone });
  if (who === 'alone') await savePlayer(database(), actor, randomUUID(), newPlayer(user.name, units));
  return { ok: true, address: `/a/${slug}` };
}

function knownZone(timeZone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en', { timeZone }));
  } catch {
    return false;
  }
}

/** The name's own address, or the same with a few letters behind it where that is taken. */
async function freeSlug(name: string): Promise<string> {
  const slug = slugOf(name);
  const { status } = await auth()
    .api.checkOrganizationSlug({ body: { slug } })
    .catch(() => ({ status: false }));
  return status ? slug : `${slug}-${randomBytes(3).toString('hex')}`;
}
