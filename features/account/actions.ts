'use server';

import { academySchema } from '@/core/people/account';
import { foundAcademy } from '@/server/academy';
import { homeAddress, signedIn } from '@/server/actor';
import { faults, refused, type Refused } from '../form/result';

const SIGNED_OUT = 'You’re signed out. Sign in again, then carry on here.';

/** Makes the academy of the signed-in user; sent twice, it makes one. */
export async function makeAcademy(input: unknown): Promise<{ ok: true; address: string } | Refused> {
  const parsed = academySchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  const user = await signedIn();
  if (!user) return refused(SIGNED_OUT);
  const address = (await homeAddress(user.id)) ?? (await foundAcademy(user, parsed.data));
  return { ok: true, address };
}
