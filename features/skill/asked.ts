import * as z from 'zod';
import { endOfDayIn, startOfDayIn } from '@/core/units/day';
import { FIRMNESSES, SITS, STANCES, TRAJECTORIES } from '@/core/golf/words';
import { day as storedDay, filledLine } from '@/core/stored';
import type { BallFilter } from '@/server/data';
import type { BoardOf } from '@/server/known/board';

const day = storedDay.optional().catch(undefined);
const text = filledLine(60).optional().catch(undefined);
const oneOf = <const T extends readonly [string, ...string[]]>(words: T) => z.enum(words).optional().catch(undefined);

/** What a board is asked, as it stands in its address; what makes no sense is passed over. */
const askedSchema = z.object({
  per: z.enum(['shot', 'round']).catch('shot'),
  /** A level, the squad's own average, or the coach's own table. */
  against: z
    .union([z.enum(['squad', 'table']), z.coerce.number().min(-10).max(54)])
    .optional()
    .catch(undefined),
  cell: text,
  from: day,
  to: day,
  game: z.uuid().optional().catch(undefined),
  sit: oneOf(SITS),
  stance: oneOf(STANCES),
  trajectory: oneOf(TRAJECTORIES),
  club: text,
  firmness: oneOf(FIRMNESSES),
  wind: text,
  /** The day on which something changed, for what was before and since. */
  since: day,
  /** Whether kinds of shot are shown that have no ball. */
  all: z.literal('1').optional().catch(undefined),
});
export type BoardAsked = z.infer<typeof askedSchema>;

export const readAsked = (params: Record<string, unknown>): BoardAsked => askedSchema.parse(params);

/** The choices that leave balls out. */
export const FILTERS = ['from', 'to', 'game', 'sit', 'stance', 'trajectory', 'club', 'firmness', 'wind'] as const;
export const isFiltered = (asked: BoardAsked) => FILTERS.some((name) => asked[name] !== undefined);

/** The address part of a choice; what is usual is left out. */
export function asQuery(asked: BoardAsked, change: Partial<Record<keyof BoardAsked, string | number | undefined>> = {}): string {
  const all = { ...asked, ...change };
  const entries = Object.entries(all).flatMap(([name, value]) =>
    value === undefined || value === '' || (name === 'per' && value === 'shot') ? [] : [[name, String(value)] as [string, string]],
  );
  return entries.length === 0 ? '' : `?${new URLSearchParams(entries)}`;
}

/** Which balls of a player a board looks at. */
export function filterOf(asked: BoardAsked, timeZone: string, now: Date): BallFilter {
  const { from, to, game, sit, stance, trajectory, club, firmness, wind } = asked;
  return {
    asOf: to ? endOfDayIn(to, timeZone) : now,
    ...(from ? { from: startOfDayIn(from, timeZone) } : {}),
    ...(game ? { gameId: game } : {}),
    ...(sit ? { sit } : {}),
    ...(stance ? { stance } : {}),
    ...(trajectory ? { trajectory } : {}),
    ...(club ? { clubLabel: club } : {}),
    ...(firmness ? { firmness } : {}),
    ...(wind ? { wind } : {}),
  };
}

/** What a board of a player is, as it was asked. */
export const boardAsked = (asked: BoardAsked, timeZone: string, now: Date): BoardOf => ({
  filter: isFiltered(asked) ? filterOf(asked, timeZone, now) : null,
  against: asked.against,
});
