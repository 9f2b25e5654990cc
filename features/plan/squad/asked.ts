import * as z from 'zod';
import { GROUPINGS, MOST_PLAYERS, MOST_STATIONS, type Grouping } from '@/core/squad/squad-session';

export const SAY_GROUPING: Readonly<Record<Grouping, string>> = {
  help: 'mixed strengths',
  level: 'by level',
  weakness: 'by what is weakest',
};

const whole = (least: number, most: number, usual: number) => z.coerce.number().int().min(least).max(most).catch(usual);

const ids = z
  .preprocess((value) => (value === undefined ? [] : [value].flat()), z.array(z.uuid()).max(1000))
  .catch([])
  .transform((all) => [...new Set(all)]);

/** What a squad's session is asked for, as it stands in its address; what makes no sense is passed over. */
const squadAskedSchema = z.object({
  /** Of which group. */
  group: z.uuid().optional().catch(undefined),
  /** Who is not there of those who fit; of more players than that, who is. */
  without: ids,
  with: ids,
  green: z.uuid().optional().catch(undefined),
  /** Without a green: how many stations. */
  stations: whole(1, MOST_STATIONS, 6),
  groups: whole(1, MOST_STATIONS, 0),
  by: z.enum(GROUPINGS).catch('help'),
  minutes: whole(10, 240, 60),
  round: whole(2, 60, 7),
  change: whole(0, 15, 2),
  balls: whole(1, 30, 5),
});
export type SquadAsked = z.infer<typeof squadAskedSchema>;

export const readSquadAsked = (params: Record<string, unknown>): SquadAsked => squadAskedSchema.parse(params);

const USUAL = readSquadAsked({});

/** The address part of such a wish; what is usual is left out. */
export function asSquadQuery(asked: SquadAsked): string {
  const query = new URLSearchParams((['without', 'with'] as const).flatMap((name) => asked[name].map((id) => [name, id])));
  for (const name of ['group', 'green', 'stations', 'groups', 'by', 'minutes', 'round', 'change', 'balls'] as const)
    if (asked[name] !== undefined && asked[name] !== USUAL[name]) query.set(name, String(asked[name]));
  return query.size === 0 ? '' : `?${query}`;
}

export { MOST_PLAYERS, MOST_STATIONS };

/**
 * Who is there of these players: all but those who were left out, or, of more than are arranged, those who were chosen.
 * @returns whether they are chosen one by one
 */
export function whoIsHere(playerIds: readonly string[], asked: SquadAsked): { chosen: boolean; here: ReadonlySet<string> } {
  const chosen = playerIds.length > MOST_PLAYERS;
  return { chosen, here: new Set(playerIds.filter((id) => (chosen ? asked.with.includes(id) : !asked.without.includes(id)))) };
}
