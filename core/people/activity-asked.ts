import * as z from 'zod';
import { day } from '../stored';
import { ACTIVITY_KINDS, type ActivityKind } from './activity';

/** What is looked for in the record of activity; what is not given narrows nothing. Days are those of the academy, both included. */
export type ActivityAsked = {
  /** Whose doing, by the id of the account. */
  by?: string | undefined;
  kind?: ActivityKind | undefined;
  /** With which player. */
  player?: string | undefined;
  from?: string | undefined;
  to?: string | undefined;
  /** After which line the page begins, by its number. */
  before?: number | undefined;
};

const fields = {
  by: z.string().min(1).max(64),
  kind: z.enum(Object.keys(ACTIVITY_KINDS) as [ActivityKind, ...ActivityKind[]]),
  player: z.uuid(),
  from: day,
  to: day,
  before: z.coerce.number().pipe(z.int().min(1)),
} as const;

/** Reads what is asked for, as it stands in an address; what makes no sense is passed over. */
export function readActivityAsked(params: Readonly<Record<string, unknown>>): ActivityAsked {
  const asked: Record<string, unknown> = {};
  for (const [name, schema] of Object.entries(fields)) {
    const read = schema.safeParse(params[name]);
    if (read.success) asked[name] = read.data;
  }
  return asked;
}

/** The address part of it. */
export function asActivityQuery(asked: ActivityAsked): string {
  const query = new URLSearchParams();
  for (const name of Object.keys(fields) as (keyof ActivityAsked)[]) if (asked[name] !== undefined) query.set(name, String(asked[name]));
  return query.size === 0 ? '' : `?${query}`;
}
