'use server';

import { academySchema } from '@/core/people/account';
import { foundAcademy } from '@/server/academy';
import { homeAddress, memberAtGreen, signedIn } from '@/server/actor';
import { endSignIns } from '@/server/sign-ins';
import * as z from 'zod';
import { revalidatePath } from 'next/cache';
import { headers } from 'next/headers';
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

/** Ends one of the user's sign-ins, or all but this one. */
export async function endSignInsAction(sent: string | null): Promise<{ ok: true } | Refused> {
  const id = z.string().max(100).nullable().safeParse(sent);
  if (!id.success) return faults(id.error);
  if (!(await endSignIns(id.data))) return refused(SIGNED_OUT);
  revalidatePath('/account');
  return { ok: true };
}

const leaveSchema = z.tuple([z.string().max(200), z.string().max(200)]);

/** Ends one's own work in an academy, where its name was typed to say so. */
export async function leaveAction(...sent: [slug: string, typed: string]): Promise<{ ok: true } | Refused> {
  const read = leaveSchema.safeParse(sent);
  if (!read.success) return faults(read.error);
  const [slug, typed] = read.data;
  const member = await memberAtGreen(await headers(), slug);
  if (member === 'signed out') return refused(SIGNED_OUT);
  if (!member) return refused('You’re no longer part of that academy.');
  if (typed.trim().normalize('NFC') !== member.academy.name.normalize('NFC')) return refused('That’s not the name.');
  if (!(await member.data.leaveAcademy())) return refused('You own this academy. Hand it over or delete it first.');
  revalidatePath('/account');
  return { ok: true };
}
