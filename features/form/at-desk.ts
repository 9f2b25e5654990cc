import 'server-only';
import { revalidatePath } from 'next/cache';
import * as z from 'zod';
import { notFound } from 'next/navigation';
import { requireCoach, requireDesk, requireGuardian, requireOwner, type AtHome } from '@/server/actor';
import { NotTheirs } from '@/server/about';
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
 * Makes actions of pages at the desk: an action asks who it is, reads all that was sent, each part with its schema, does its work and has the
 * pages drawn anew. What can't be read is answered with a sentence for its field, and nothing is done.
 * @param changes the pages that are others afterwards: those of the academy, or of a family; null: none
 * @param require answers as if there were nothing for whoever may not
 */
const actionsOf =
  <At>(require: (slug: string) => Promise<At>, changes: string | null = '/a') =>
  /** @param schemas one for each thing that is sent beside the address of the academy */
  <const Args extends Schemas, Answer extends Done>(schemas: Args, act: (desk: At, ...args: Read<Args>) => Promise<Answer>) =>
  async (slug: string, ...sent: Read<Args>): Promise<Answer | Refused> => {
    const where = z.string().max(200).safeParse(slug);
    if (!where.success) return faults(where.error);
    const desk = await require(where.data);
    const read: unknown[] = [];
    for (const [at, schema] of schemas.entries()) {
      const part = schema.safeParse(sent[at]);
      if (!part.success) return faults(part.error);
      read.push(part.data);
    }
    const answer = await act(desk, ...(read as Read<Args>)).catch((error: unknown) => {
      // About somebody whom they don't see: as if there were none.
      if (error instanceof NotTheirs) notFound();
      throw error;
    });
    if (answer.ok && changes !== null) revalidatePath(`${changes}/${where.data}`, 'layout');
    return answer;
  };

/** An action of whoever works in the academy, with the players whom they see. */
export const atSharedDesk = actionsOf(requireDesk);
/** An action of any coach. */
export const atDesk = actionsOf(requireCoach);
/** The same for what only asks: nothing is drawn anew. */
export const askedAtDesk = actionsOf(requireCoach, null);
/** An action of the academy's owner alone. */
export const atOwnersDesk = actionsOf(requireOwner);

/** The same for what only asks. */
export const askedAtOwnersDesk = actionsOf(requireOwner, null);

/** An action of a guardian, with one of the players about whom they read. */
export const atHome = <const Args extends Schemas, Answer extends Done>(
  schemas: Args,
  act: (home: AtHome, playerId: string, ...args: Read<Args>) => Promise<Answer>,
) =>
  actionsOf(requireGuardian, '/family')([id, ...schemas], (home, playerId, ...args) => {
    if (!home.actor.players.includes(playerId as string)) notFound();
    return act(home, playerId as string, ...(args as unknown as Read<Args>));
  });

export const DONE = { ok: true } as const;
