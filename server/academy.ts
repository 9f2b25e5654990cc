import 'server-only';
import { randomBytes, randomUUID } from 'node:crypto';
import { slugOf, type AcademyForm } from '@/core/people/account';
import { USUAL_BAG } from '@/core/golf/usual-bag';
import { newPlayer, type PlayerForm } from '@/core/people/player';
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
  if (form.who === 'alone') await data.savePlayer(randomUUID(), playerOf(user.name, form));
  return `/a/${slug}`;
}

function playerOf(name: string, { units, level, handed, paceM, bag }: AcademyForm): PlayerForm {
  const clubs = bag === 'usual' ? USUAL_BAG.map((club) => ({ clubId: randomUUID(), ...club })) : [];
  return { ...newPlayer(name, units), level, handed, paceM, clubs };
}

/** The name's own address, or the same with a few letters behind it where that is taken. */
async function freeSlug(name: string): Promise<string> {
  const slug = slugOf(name);
  const { status } = await auth()
    .api.checkOrganizationSlug({ body: { slug } })
    .catch(() => ({ status: false }));
  return status ? slug : `${slug}-${randomBytes(3).toString('hex')}`;
}
