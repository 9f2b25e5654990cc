import * as z from 'zod';
import { gameSpecSchema } from '@/core/game/spec';
import { greenPlanSchema } from '@/core/green/plan';
import { hourSchema } from '@/core/hour/hour';
import { weeksSchema } from '@/core/weeks/weeks';
import type { Data, GameRow, GreenRow, HourRow, WeeksRow } from '@/server/data';
import { endpoint, moment, NOT_HERE, Refusal, SAVED, saved } from './endpoint';

/** A document as it is stored: whoever reads it finds its format and version in it. */
const document = (what: string) => z.unknown().describe(`${what}: \`PUT\` says its shape`);
const people = z.array(z.object({ playerId: z.uuid(), name: z.string() }));
const ELSEWHERE = new Refusal(409, 'It was changed somewhere else meanwhile: read it again.');
/** What answers a change, unless it was changed elsewhere meanwhile. */
function savedOr409(done: unknown): typeof SAVED {
  if (!done) throw ELSEWHERE;
  return SAVED;
}

const game = z.object({
  gameId: z.uuid(),
  version: z.int(),
  greenId: z.uuid().nullable(),
  createdAt: moment,
  archived: z.boolean(),
  game: document('a game'),
});
const gameOut = ({ gameId, version, greenId, createdAt, archivedAt, spec }: GameRow) => ({
  ...{ gameId, version, greenId, createdAt, archived: archivedAt !== null, game: spec },
});

const green = z.object({
  greenId: z.uuid(),
  version: z.int(),
  createdAt: moment,
  archived: z.boolean(),
  green: document('a green'),
});
const greenOut = ({ greenId, version, createdAt, archivedAt, plan }: GreenRow) => ({
  ...{ greenId, version, createdAt, archived: archivedAt !== null, green: plan },
});

const hour = z.object({
  hourId: z.uuid(),
  savedAt: moment,
  players: people,
  hour: document('a planned session'),
  run: z.unknown().describe('how it was done; null: it was not'),
});
const hourOut = ({ hourId, savedAt, players, hour: planned, run }: HourRow) => ({ hourId, savedAt, players, hour: planned, run });

const weeks = z.object({ weeksId: z.uuid(), savedAt: moment, archived: z.boolean(), players: people, weeks: document('planned weeks') });
const weeksOut = ({ weeksId, savedAt, archived, players, weeks: planned }: WeeksRow) => ({
  weeksId,
  savedAt,
  archived,
  players,
  weeks: planned,
});

const archivedToo = z.strictObject({ archived: z.enum(['yes']).optional() });
/** When what is changed had been saved, as it was read; left out for what is new. */
const basedOn = z.iso
  .datetime({ offset: true })
  .transform((at) => new Date(at))
  .nullable()
  .default(null);
const forPlayers = z.array(z.uuid()).max(100).default([]);

type Kept<Row, Of extends z.ZodType, Asked extends z.ZodType> = {
  /** The address of all, and how they are called in an answer. */
  name: 'games' | 'greens' | 'hours' | 'weeks';
  summaries: { all: string; one: string };
  asks: Asked;
  of: Of;
  all: (data: Data, asked: z.output<Asked>) => Promise<Row[]>;
  one: (data: Data, id: string) => Promise<Row | null>;
  out: (row: Row) => z.input<Of>;
};

/** How something that is kept is read: all of it, and one by its id. */
function readable<Row, Of extends z.ZodType, Asked extends z.ZodType>({ name, summaries, asks, of, all, one, out }: Kept<Row, Of, Asked>) {
  return [
    endpoint({
      method: 'GET',
      path: `/${name}`,
      scope: 'read',
      summary: summaries.all,
      query: asks,
      answer: z.object({ [name]: z.array(of) }),
      give: async ({ desk: { data }, query }) => ({ [name]: (await all(data, query)).map(out) }),
    }),
    endpoint({
      method: 'GET',
      path: `/${name}/{id}`,
      scope: 'read',
      summary: summaries.one,
      answer: of,
      give: async ({ desk: { data }, id }) => {
        const row = await one(data, id);
        if (!row) throw NOT_HERE;
        return out(row);
      },
    }),
  ];
}

export const GAMES = [
  ...readable({
    name: 'games',
    summaries: {
      all: 'All games, each in its latest version; with `archived=yes`, those that were put away.',
      one: 'The latest version of a game.',
    },
    asks: archivedToo,
    of: game,
    all: (data, { archived }) => data.listGames(archived === 'yes'),
    one: (data, id) => data.getGame(id),
    out: gameOut,
  }),
  endpoint({
    method: 'PUT',
    path: '/games/{id}',
    scope: 'write',
    summary: 'Adds a game under an id of one’s own, or changes the one of this id: where it has results, as a new version.',
    body: z.strictObject({ game: gameSpecSchema, greenId: z.uuid().nullable().default(null) }),
    answer: z.object({ version: z.int() }),
    give: async ({ desk: { data }, id, body }) => {
      const version = await data.saveGame(id, body.game, body.greenId);
      if (version === null) throw ELSEWHERE;
      return { version };
    },
  }),
  ...readable({
    name: 'greens',
    summaries: {
      all: 'All greens, each in its latest version; with `archived=yes`, those that were put away.',
      one: 'The latest version of a green.',
    },
    asks: archivedToo,
    of: green,
    all: (data, { archived }) => data.listGreens(archived === 'yes'),
    one: (data, id) => data.getGreen(id),
    out: greenOut,
  }),
  endpoint({
    method: 'PUT',
    path: '/greens/{id}',
    scope: 'write',
    summary: 'Adds a green under an id of one’s own, or changes the one of this id; the games on it go along.',
    body: greenPlanSchema,
    answer: saved,
    give: async ({ desk: { data }, id, body }) => savedOr409(await data.saveGreen(id, body)),
  }),
  ...readable({
    name: 'hours',
    summaries: { all: 'Planned sessions (at most 200), with how each one went.', one: 'A planned session.' },
    asks: archivedToo.extend({ playerId: z.uuid().optional() }),
    of: hour,
    all: (data, { archived, playerId }) => data.listHours({ archived: archived === 'yes', ...(playerId ? { playerId } : {}) }),
    one: (data, id) => data.getHour(id),
    out: hourOut,
  }),
  endpoint({
    method: 'PUT',
    path: '/hours/{id}',
    scope: 'write',
    summary: 'Adds a planned session under an id of one’s own, or changes the one of this id.',
    body: z.strictObject({ hour: hourSchema, players: forPlayers, savedAt: basedOn }),
    answer: saved,
    give: async ({ desk: { data }, id, body }) => savedOr409(await data.saveHour(id, body.hour, body.players, body.savedAt)),
  }),
  ...readable({
    name: 'weeks',
    summaries: { all: 'All planned weeks.', one: 'Planned weeks.' },
    asks: archivedToo,
    of: weeks,
    all: (data, { archived }) => data.listWeeks({ archived: archived === 'yes' }),
    one: (data, id) => data.getWeeks(id),
    out: weeksOut,
  }),
  endpoint({
    method: 'PUT',
    path: '/weeks/{id}',
    scope: 'write',
    summary: 'Adds planned weeks under an id of one’s own, or changes those of this id.',
    body: z.strictObject({ weeks: weeksSchema, players: forPlayers, savedAt: basedOn }),
    answer: saved,
    give: async ({ desk: { data }, id, body }) => savedOr409(await data.saveWeeks(id, body.weeks, body.players, body.savedAt)),
  }),
];
