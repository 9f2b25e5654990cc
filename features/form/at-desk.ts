import 'server-only';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { requireCoach, type Desk } from '@/server/actor';
import { faults, type Refused } from './result';

type Schemas = readonly z.ZodType[];

type Read<Args extends Schemas> = { [At in keyof Args]: z.output<Args[At]> };
type Done = { ok: true } | Refused;

/** An id that the page itself sends along: where it makes no sense, no field is to blame. */
export const id = z.uuid({ error: 'This page is out of date. Load it again.' });
/** When what is changed had been saved, as the page has it; null for what was not saved yet. */
export const basedOn = z.date({ error: 'This page is out of date. Load it again.' }).nullable();
/** The text of a file. */
export const fileText = z.string({ error: 'Choose a file.' }).max(1_000_000, 'This file is too large.');

/**
 * An action of a page at the desk: it asks who it is, reads all that was sent, each part with its schema, does its work and has the pages
 * drawn anew. What can't be read is answered with a sentence for its field, and nothing is done.
 * @param schemas one for each thing that is sent beside the address of the academy
 */
export function atDesk<const Args extends Schemas, Answer extends Done>(
  schemas: Args,
  act: (desk: Desk, ...args: Read<Args>) => Promise<Answer>,
): (slug: string, ...sent: Read<Args>) => Promise<Answer | Refused> {
  return async (slug, ...sent) => {
    const where = z.string().max(200).safeParse(slug);
    if (!where.success) return faults(where.error);
    const desk = await requireCoach(where.data);
    const read: unknown[] = [];
    for (const [at, schema] of schemas.entries()) {
      const part = schema.safeParse(sent[at]);
      if (!part.success) return faults(part.error);
      read.push(part.data);
    }
    const answer = await act(desk, ...(read as Read<Args>));
    if (answer.ok) revalidatePath(`/a/${where.data}`, 'layout');
    return answer;
  };
}

export const DONE = { ok: true } as const;
