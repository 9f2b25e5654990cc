import * as z from 'zod';
import { gameSpecSchema } from '@/core/game/spec';
import { greenPlanSchema } from '@/core/green/plan';
import { hourSchema } from '@/core/hour/hour';
import { weeksSchema } from '@/core/weeks/weeks';
import type { GameRow, GreenRow, HourRow, WeeksRow } from '@/server/data';
import { endpoint, moment, NOT_HERE, Refusal, SAVED, saved } from './endpoint';

/** A document as it is stored: whoever reads it finds its format and version in it. */
const document = (what: string) => z.unknown().describe(`${what}: \`PUT\` says its shape`);
const people = z.array(z.object({ playerId: z.uuid(), name: z.string() }));
const ELSEWHERE = new Refusal(409, 'It was changed somewhere else meanwhile: read it again.');

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

export const GAMES = [
  endpoint({
    method: 'GET',
    path: '/games',
    scope: 'read',
    summary: 'The games in their newest version; those that were put away with `archived=yes`.',
    query: archivedToo,
    answer: z.object({ games: z.array(game) }),
    give: async ({ desk: { data }, query }) => ({ games: (await data.listGames(query.archived === 'yes')).map(gameOut) }),
  }),
  endpoint({
    method: 'GET',
    path: '/games/{id}',
    scope: 'read',
    summary: 'A game in its newest version.',
    answer: game,
    give: async ({ desk: { data }, id }) => {
      const found = await data.getGame(id);
      if (!found) throw NOT_HERE;
      return gameOut(found);
    },
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
  endpoint({
    method: 'GET',
    path: '/greens',
    scope: 'read',
    summary: 'The greens in their newest version; those that were put away with `archived=yes`.',
    query: archivedToo,
    answer: z.object({ greens: z.array(green) }),
    give: async ({ desk: { data }, query }) => ({ greens: (await data.listGreens(query.archived === 'yes')).map(greenOut) }),
  }),
  endpoint({
    method: 'GET',
    path: '/greens/{id}',
    scope: 'read',
    summary: 'A green in its newest version.',
    answer: green,
    give: async ({ desk: { data }, id }) => {
      const found = await data.getGreen(id);
      if (!found) throw NOT_HERE;
      return greenOut(found);
    },
  }),
  endpoint({
    method: 'PUT',
    path: '/greens/{id}',
    scope: 'write',
    summary: 'Adds a green under an id of one’s own, or changes the one of this id; the games on it go along.',
    body: greenPlanSchema,
    answer: saved,
    give: async ({ desk: { data }, id, body }) => {
      if (!(await data.saveGreen(id, body))) throw ELSEWHERE;
      return SAVED;
    },
  }),
  endpoint({
    method: 'GET',
    path: '/hours',
    scope: 'read',
    summary: 'Planned sessions, at most 200, and how each was done.',
    query: archivedToo.extend({ playerId: z.uuid().optional() }),
    answer: z.object({ hours: z.array(hour) }),
    give: async ({ desk: { data }, query: { archived, playerId } }) => ({
      hours: (await data.listHours({ archived: archived === 'yes', ...(playerId ? { playerId } : {}) })).map(hourOut),
    }),
  }),
  endpoint({
    method: 'GET',
    path: '/hours/{id}',
    scope: 'read',
    summary: 'A planned session.',
    answer: hour,
    give: async ({ desk: { data }, id }) => {
      const found = await data.getHour(id);
      if (!found) throw NOT_HERE;
      return hourOut(found);
    },
  }),
  endpoint({
    method: 'PUT',
    path: '/hours/{id}',
    scope: 'write',
    summary: 'Adds a planned session under an id of one’s own, or changes the one of this id.',
    body: z.strictObject({ hour: hourSchema, players: forPlayers, savedAt: basedOn }),
    answer: saved,
    give: async ({ desk: { data }, id, body }) => {
      if (!(await data.saveHour(id, body.hour, body.players, body.savedAt))) throw ELSEWHERE;
      return SAVED;
    },
  }),
  endpoint({
    method: 'GET',
    path: '/weeks',
    scope: 'read',
    summary: 'Planned weeks.',
    query: archivedToo,
    answer: z.object({ weeks: z.array(weeks) }),
    give: async ({ desk: { data }, query }) => ({ weeks: (await data.listWeeks({ archived: query.archived === 'yes' })).map(weeksOut) }),
  }),
  endpoint({
    method: 'GET',
    path: '/weeks/{id}',
    scope: 'read',
    summary: 'Planned weeks.',
    answer: weeks,
    give: async ({ desk: { data }, id }) => {
      const found = await data.getWeeks(id);
      if (!found) throw NOT_HERE;
      return weeksOut(found);
    },
  }),
  endpoint({
    method: 'PUT',
    path: '/weeks/{id}',
    scope: 'write',
    summary: 'Adds planned weeks under an id of one’s own, or changes those of this id.',
    body: z.strictObject({ weeks: weeksSchema, players: forPlayers, savedAt: basedOn }),
    answer: saved,
    give: async ({ desk: { data }, id, body }) => {
      if (!(await data.saveWeeks(id, body.weeks, body.players, body.savedAt))) throw ELSEWHERE;
      return SAVED;
    },
  }),
];
