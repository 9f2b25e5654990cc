import 'server-only';
import { randomBytes, randomUUID } from 'node:crypto';
import { slugOf, type AcademyForm } from '@/core/people/account';
import { newPlayer } from '@/core/people/player';
import { isTimeZone } from '@/core/stored';
import { auth } from './auth';
import { dataOf } from './data';

/**
 * Makes an academy with this user as its coach, and for somebody who practises alone the one player in it.
 * @returns its address
 */
export async function foundAcademy(user: { id: string; name: string }, form: AcademyForm): Promise<string> {
  const name = form.name || user.name;
  const slug = await freeSlug(name);
  const { id } = await auth().api.createOrganization({ body: { name, slug, userId: user.id } });
  const data = dataOf({ kind: 'owner', academyId: id, userId: user.id });
  await data.saveAcademy({ units: form.units, timeZone: isTimeZone(form.timeZone) ? form.timeZone : 'UTC' });
  if (form.who === 'alone') await data.savePlayer(randomUUID(), newPlayer(user.name, form.units));
  return `/a/${slug}`;
}

/** The name's own address, or the same with a few letters behind it where that is taken. */
async function freeSlug(name: string): Promise<string> {
  const slug = slugOf(name);
  const { status } = await auth()
    .api.checkOrganizationSlug({ body: { slug } })
    .catch(() => ({ status: false }));
  return status ? slug : `${slug}-${randomBytes(3).toString('hex')}`;
}
