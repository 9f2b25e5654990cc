import * as z from 'zod';
import { MOST_PLAYERS } from '@/core/exchange/session-start';
import { PURPOSES, type Purpose } from '@/core/plan/kinds';

/** Minutes that are offered; any number between the first and the last may stand in an address. */
export const MINUTES = [10, 15, 20, 30, 45, 60, 90, 120] as const;
const USUAL_MINUTES = 20;
const MOST_SEEDS = 999;

/** What a game is to be for, as it goes on from "and wants to". */
export const SAY_PURPOSE: Readonly<Record<Purpose, string>> = {
  take_strokes_off: 'take strokes off',
  find_out: 'find out what is weak',
  warm_up: 'warm up',
  compete: 'compete evenly',
};

/** What a game is asked for, as it stands in its address; what makes no sense is passed over. */
const orderAskedSchema = z.object({
  for: z
    .preprocess((value) => (value === undefined ? [] : [value].flat()), z.array(z.uuid()).max(MOST_PLAYERS))
    .catch([])
    .transform((ids) => [...new Set(ids)]),
  minutes: z.coerce.number().int().min(MINUTES[0]).max(MINUTES.at(-1)!).catch(USUAL_MINUTES),
  green: z.uuid().optional().catch(undefined),
  what: z.enum(PURPOSES).catch(PURPOSES[0]),
  seed: z.coerce.number().int().min(1).max(MOST_SEEDS).catch(1),
});
export type OrderAsked = z.infer<typeof orderAskedSchema>;

export const readOrderAsked = (params: Record<string, unknown>): OrderAsked => orderAskedSchema.parse(params);

/** The address part of an order; what is usual is left out. */
export function asOrderQuery(asked: OrderAsked, change: Partial<OrderAsked> = {}, more: Record<string, string> = {}): string {
  const { for: who, minutes, green, what, seed } = { ...asked, ...change };
  const query = new URLSearchParams(who.map((id) => ['for', id]));
  if (minutes !== USUAL_MINUTES) query.set('minutes', String(minutes));
  if (green) query.set('green', green);
  if (what !== PURPOSES[0]) query.set('what', what);
  if (seed !== 1) query.set('seed', String(seed));
  for (const [name, value] of Object.entries(more)) query.set(name, value);
  return query.size === 0 ? '' : `?${query}`;
}
