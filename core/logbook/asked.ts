import * as z from 'zod';
import { FIRMNESSES, SHOT_TYPES, SURFACES } from '../golf/words';
import { day, filledLine } from '../stored';

/** In which order sessions stand. */
export const LOGBOOK_SORTS = ['newest', 'oldest', 'game'] as const;
export type LogbookSort = (typeof LOGBOOK_SORTS)[number];
/** How a green was. */
export const GROUNDS = [...FIRMNESSES, 'wet'] as const;
/** Columns that can be left out. */
export const LOGBOOK_COLUMNS = ['change', 'conditions', 'tags'] as const;
export type LogbookColumn = (typeof LOGBOOK_COLUMNS)[number];

/** What is looked for among the sessions that are over; what is not given narrows nothing. */
export const logbookFilterSchema = z.object({
  /** Words of a game, a player or a tag. */
  find: z.string().trim().min(1).max(60),
  playerId: z.uuid(),
  /** Another who played in it too. */
  against: z.uuid(),
  gameId: z.uuid(),
  greenId: z.uuid(),
  /** A shot that was played in it, and a surface that was played from: both of one ball. */
  shotType: z.enum(SHOT_TYPES),
  surface: z.enum(SURFACES),
  ground: z.enum(GROUNDS),
  /** Days as they are in the academy, both of them included. */
  from: day,
  to: day,
  /** Of the player who is looked for, else of anybody. */
  goal: z.enum(['met', 'missed']),
  /** Two or more played. */
  several: z.literal('yes'),
  tag: z.string().min(1).max(30),
  /** These sessions and no others, by their ids with commas between. */
  ids: z.string().regex(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}(,[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}){0,99}$/),
});
type Filter = z.infer<typeof logbookFilterSchema>;
export type LogbookFilter = { [Key in keyof Filter]?: Filter[Key] | undefined };

/** After which session a page begins: what it is sorted by, as text, and its id. */
export type LogbookPlace = { by: string; sessionId: string };
const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{6}Z$/;

/** All that an address of the logbook says. */
export type LogbookAsked = { filter: LogbookFilter; sort: LogbookSort; after: LogbookPlace | null; without: LogbookColumn[] };

/** Reads what the logbook is asked for, as it stands in an address; what makes no sense is passed over. */
export function readLogbookAsked(params: Readonly<Record<string, unknown>>): LogbookAsked {
  const filter: Record<string, unknown> = {};
  for (const [name, schema] of Object.entries(logbookFilterSchema.shape)) {
    const read = schema.safeParse(params[name]);
    if (read.success) filter[name] = read.data;
  }
  const sort = z.enum(LOGBOOK_SORTS).catch('newest').parse(params.sort);
  const without = typeof params.without === 'string' ? params.without.split(',') : [];
  return {
    filter,
    sort,
    after: readPlace(params.after, sort),
    without: LOGBOOK_COLUMNS.filter((column) => without.includes(column)),
  };
}

/** "2026-05-01T18:00:00.000000Z~<id>"; null for what is no place in this order. */
function readPlace(text: unknown, sort: LogbookSort): LogbookPlace | null {
  const [, by, id] = (typeof text === 'string' && /^(.*)~([^~]+)$/s.exec(text)) || [];
  const read = z.uuid().safeParse(id);
  if (by === undefined || !read.success || by.length > 200 || (sort !== 'game' && !possible(by))) return null;
  return { by, sessionId: read.data };
}
const possible = (moment: string) => MOMENT.test(moment) && !Number.isNaN(Date.parse(moment));

/** The address part of it; what is usual is left out. */
export function asLogbookQuery({ filter, sort, after, without }: LogbookAsked): string {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries(filter)) if (value) query.set(name, value);
  if (sort !== 'newest') query.set('sort', sort);
  if (without.length > 0) query.set('without', without.join(','));
  if (after) query.set('after', `${after.by}~${after.sessionId}`);
  return query.size === 0 ? '' : `?${query}`;
}

/** Words that a session is filed under. */
export const tagsSchema = z.array(filledLine(30)).max(10, 'At most ten tags.');

/** Such words as they are typed, with commas between: each once, however it is spelled; the last spelling stands. */
export function tagsTyped(text: string): string[] {
  const tags = text.split(',').map((tag) => tag.trim().replaceAll(/\s+/g, ' '));
  return [...new Map(tags.filter((tag) => tag !== '').map((tag) => [tag.toLocaleLowerCase(), tag])).values()];
}
