'use server';

import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { readReferenceTable } from '@/core/formats/reference-table';
import type { TableProblem } from '@/core/formats/shot-table';
import { settingsSchema } from '@/core/people/account';
import { cellsOf } from '@/core/skill/cells';
import { shippedReference } from '@/core/skill/reference';
import { requireCoach } from '@/server/actor';
import { faults, type FormResult } from '../form/result';
import { filledLine } from '@/core/stored';

export async function saveSettings(slug: string, input: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const parsed = settingsSchema.safeParse(input);
  if (!parsed.success) return faults(parsed.error);
  await data.saveAcademy(parsed.data);
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}

/** Takes in a coach's own table of expected strokes; what is wrong in it is said by its line, and nothing is kept then. */
export async function saveOwnTable(slug: string, name: unknown, csv: unknown): Promise<FormResult> {
  const { data } = await requireCoach(slug);
  const named = nameSchema.safeParse(name);
  if (!named.success) return faults(named.error);
  const { reference, problems } = readReferenceTable(z.string().max(200_000).parse(csv), cellsOf(shippedReference));
  if (problems.length > 0) return { ok: false, fields: byLine(problems) };
  await data.saveReference({ name: named.data, expected: reference });
  revalidatePath(`/a/${slug}`, 'layout');
  return { ok: true };
}

const nameSchema = filledLine(40, 'Give the table a name.');

function byLine(problems: readonly TableProblem[]): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const { line, message } of problems) fields[`line ${line}`] = [fields[`line ${line}`], message].filter(Boolean).join('; ');
  return fields;
}

export async function removeOwnTable(slug: string): Promise<void> {
  const { data } = await requireCoach(slug);
  await data.saveReference(null);
  revalidatePath(`/a/${slug}`, 'layout');
}
