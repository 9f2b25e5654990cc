import * as z from 'zod';
import { diagnosisAnswer } from '@/core/formats/diagnosis';
import { levelSchema } from '@/core/golf/level';
import { HANDS } from '@/core/golf/words';
import { ONE_WORD } from '@/core/people/family';
import { formOf, playerSchema } from '@/core/people/player';
import { reportSchema } from '@/core/report/report';
import { squadReportSchema } from '@/core/report/squad-report';
import { day } from '@/core/stored';
import { UNIT_SYSTEMS } from '@/core/units/length';
import type { Desk } from '@/server/actor';
import { boardOf } from '@/server/known/board';
import { reportOf } from '@/server/known/report';
import { squadReportOf } from '@/server/known/squad-report';
import { readReportAsked } from '../report/asked';
import { endpoint, moment, NOT_HERE, Refusal, SAVED, saved } from './endpoint';

const lengthM = z.number().nullable().describe('metres');
const player = z.object({
  playerId: z.uuid(),
  name: z.string(),
  level: z.number(),
  handed: z.enum(HANDS),
  units: z.enum(UNIT_SYSTEMS),
  archived: z.boolean(),
});
const inFull = player.extend({
  paceM: lengthM,
  clubM: lengthM,
  putterM: lengthM,
  shoeM: lengthM,
  clubs: z.array(z.object({ clubId: z.uuid(), label: z.string(), loftDeg: z.number().nullable() })),
});
const inLists = player.extend({ balls: z.int(), lastBallAt: moment.nullable() });

const cell = z.object({
  shot_type: z.string(),
  surface: z.string(),
  band_min: z.number(),
  band_max: z.number().nullable(),
  unit: z.string(),
  balls: z.int(),
  expected_strokes: z.number(),
  reference_strokes: z.number(),
  lost_per_shot: z.number().describe('strokes against the level; a minus gains'),
  interval80: z.array(z.number()).length(2),
  p_weakest3: z.number(),
  lost_per_round: z.number(),
  interval80_per_round: z.array(z.number()).length(2),
  p_weakest3_per_round: z.number(),
  uses_per_round: z.number(),
});
const board = z.object({
  player: z.string(),
  level: z.number(),
  balls: z.int(),
  says_nothing: z.int(),
  no_place: z.int(),
  as_of: z.iso.datetime().nullable(),
  half_life_days: z.int().nullable(),
  summary: z.string(),
  summary_per_round: z.string(),
  cells: z.array(cell),
});

async function known({ data }: Desk, playerId: string) {
  const found = await data.getPlayer(playerId);
  if (!found) throw NOT_HERE;
  return found;
}
const yes = z.enum(['yes']).optional();

export const PEOPLE = [
  endpoint({
    method: 'GET',
    path: '/players',
    scope: 'read',
    summary: 'The players by name, with their balls; those who were put away with `archived=yes`.',
    query: z.strictObject({ archived: yes }),
    answer: z.object({ players: z.array(inLists) }),
    give: async ({ desk: { data }, query }) => ({
      players: (await data.listPlayers(query.archived === 'yes')).map(({ player: one, balls, lastAt }) => ({
        ...{ playerId: one.playerId, name: one.name, level: one.level, handed: one.handed, units: one.units },
        ...{ archived: one.archivedAt !== null, balls, lastBallAt: lastAt },
      })),
    }),
  }),
  endpoint({
    method: 'GET',
    path: '/players/{id}',
    scope: 'read',
    summary: 'A player, with clubs, pace and other measures.',
    answer: inFull,
    give: async ({ desk, id }) => {
      const { player: one, clubs } = await known(desk, id);
      return { ...formOf({ player: one, clubs }), playerId: one.playerId, archived: one.archivedAt !== null };
    },
  }),
  endpoint({
    method: 'PUT',
    path: '/players/{id}',
    scope: 'write',
    summary: 'Adds a player under an id of one’s own, or changes the one of this id.',
    body: playerSchema,
    answer: saved,
    give: async ({ desk: { data }, id, body }) => {
      if ((await data.savePlayer(id, body)) === 'one word') throw new Refusal(400, `name: ${ONE_WORD}`);
      return SAVED;
    },
  }),
  endpoint({
    method: 'GET',
    path: '/players/{id}/board',
    scope: 'read',
    summary: 'What is known of a player’s skills: strokes against a level by shot, with ranges, the likeliest of the three weakest first.',
    query: z.strictObject({ level: z.coerce.number().pipe(levelSchema).optional().describe('the player’s own, where it is left out') }),
    answer: board,
    give: async ({ desk, id, query: { level } }) => {
      const { player: one } = await known(desk, id);
      const found = await boardOf(desk, one, { filter: null, against: level });
      const { evidence, asOf } = found.known;
      const { balls, silent } = evidence;
      const { halfLifeDays } = desk.academy;
      return diagnosisAnswer({ player: one.name, level: found.level, balls, silent, asOf, halfLifeDays }, found.diagnosis);
    },
  }),
  endpoint({
    method: 'GET',
    path: '/players/{id}/report',
    scope: 'read',
    summary: 'A player’s report of a period, as a document.',
    query: z.strictObject({
      from: day.optional().describe('eight weeks before `to`, where it is left out'),
      to: day.optional().describe('today, where it is left out'),
      against: z.union([z.literal('squad'), z.coerce.number().pipe(levelSchema)]).optional(),
    }),
    answer: reportSchema,
    give: async ({ desk, id, query }) => {
      const { player: one } = await known(desk, id);
      return reportOf(desk, one, readReportAsked(query, await desk.data.dayInAcademy()), new Date());
    },
  }),
  endpoint({
    method: 'GET',
    path: '/squad/report',
    scope: 'read',
    summary: 'The squad’s report of a period, as a document: a row for each player who recorded something.',
    query: z.strictObject({ from: day.optional(), to: day.optional() }),
    answer: squadReportSchema,
    give: async ({ desk, query }) => squadReportOf(desk, readReportAsked(query, await desk.data.dayInAcademy()), new Date()),
  }),
];
