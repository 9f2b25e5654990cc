import * as z from 'zod';
import { batchSchema } from '@/core/imports/batch';
import { importStartSchema } from '@/core/imports/start';
import { resultSchema } from '@/core/imports/result';
import { LOGBOOK_SORTS, logbookFilterSchema, readLogbookAsked } from '@/core/logbook/asked';
import { momentIn } from '@/core/units/day';
import { schemeOf } from '@/core/game/scoring';
import { endpoint, moment, Refusal, SAVED, saved } from './endpoint';

const AT_ONCE = 100;
const place = z.string().max(300).optional().describe('`next` of the page before');
const asked = z.strictObject({ ...logbookFilterSchema.partial().shape, sort: z.enum(LOGBOOK_SORTS).optional(), after: place });
const next = z.string().nullable().describe('what `after` says for the next page; null: this is the last');
const nextOf = (at: { by: string; sessionId: string } | null) => at && `${at.by}~${at.sessionId}`;

/** Which sessions are asked for, and where their page begins. */
function pageOf(query: z.output<typeof asked>) {
  const { filter, sort, after } = readLogbookAsked(query);
  return [filter, { sort, after, limit: AT_ONCE }] as const;
}

const session = z.object({
  sessionId: z.uuid(),
  startedAt: moment,
  game: z.string(),
  gameId: z.uuid().nullable(),
  gameVersion: z.int().nullable(),
  unit: z.string().describe('of the scores; `m` for lengths'),
  goal: z.number().nullable(),
  balls: z.int(),
  toTheEnd: z.boolean(),
  tags: z.array(z.string()),
  conditions: z.unknown(),
  players: z.array(z.object({ playerId: z.uuid(), name: z.string(), score: z.number().nullable(), goalMet: z.boolean().nullable() })),
});

const shot = z.object({
  shotId: z.uuid(),
  player: z.string(),
  game: z.string(),
  gameVersion: z.int().nullable(),
  shot: z.unknown().describe('the facts of a ball; lengths in metres'),
});

const step = z.object({
  state: z.string(),
  kept: z.int(),
  known: z.int(),
  refused: z.int(),
  left: z.int().describe('rows, or sessions, still to go: ask again until it is 0'),
  lost: z.int(),
});
/** What becomes of an import, unless there is none. */
function there<T>(done: T | null): T {
  if (done === null) throw new Refusal(409, 'This import was undone, or never started.');
  return done;
}

export const RECORDS = [
  endpoint({
    method: 'GET',
    path: '/logbook',
    scope: 'read',
    summary: 'Sessions that are over, a page of 100, filtered like the logbook.',
    query: asked,
    answer: z.object({ sessions: z.array(session), next }),
    give: async ({ desk: { data }, query }) => {
      if (!query.after) await data.noteDownload('gotSessions', query.playerId ?? null);
      const page = await data.logbookPage(...pageOf(query));
      return {
        sessions: page.lines.map(({ session: { sessionId, startedAt, spec, gameId, gameVersion, tags, conditions, given }, ...line }) => {
          const unit = gameId === null && given !== null ? given : schemeOf(spec.scoring).unit(spec.scoring);
          return {
            ...{ sessionId, startedAt, game: spec.title, gameId, gameVersion, goal: spec.goal, tags, conditions },
            ...{ unit: unit === 'length' ? 'm' : unit, balls: line.balls, toTheEnd: line.outcome.through },
            players: line.players.map(({ playerId, name }) => {
              const scored = line.outcome.scores.find((one) => one.playerId === playerId);
              return { playerId, name, score: scored?.score ?? null, goalMet: scored?.met ?? null };
            }),
          };
        }),
        next: nextOf(page.next),
      };
    },
  }),
  endpoint({
    method: 'GET',
    path: '/shots',
    scope: 'read',
    summary: 'The balls of such sessions, of 100 sessions at a time, each as it is now.',
    query: asked,
    answer: z.object({ shots: z.array(shot), next }),
    give: async ({ desk: { data }, query }) => {
      if (!query.after) await data.noteDownload('gotBalls', query.playerId ?? null);
      const page = await data.logbookShots(...pageOf(query));
      return {
        shots: page.balls.map(({ shot: { shotId, ...facts }, player, game, gameVersion }) => ({
          ...{ shotId, player, game, gameVersion, shot: facts },
        })),
        next: nextOf(page.next),
      };
    },
  }),
  endpoint({
    method: 'PUT',
    path: '/results/{id}',
    scope: 'write',
    summary: 'Adds a result without balls under an id of one’s own; the same once more changes nothing.',
    body: resultSchema,
    answer: saved,
    give: async ({ desk: { data, academy }, id, body: { day, ...result } }) => {
      const playedAt = momentIn(day, '12:00', academy.timeZone).toISOString();
      if (!(await data.addResult({ sessionId: id, playedAt, ...result }))) throw new Refusal(400, 'playerId: There is no such player.');
      return SAVED;
    },
  }),
  endpoint({
    method: 'POST',
    path: '/imports',
    scope: 'write',
    summary: 'Starts an import of a table of balls or scores, with the players who are new.',
    body: importStartSchema,
    answer: saved,
    give: async ({ desk: { data }, body }) => {
      await data.startImport(body);
      return SAVED;
    },
  }),
  endpoint({
    method: 'POST',
    path: '/imports/{id}/rows',
    scope: 'write',
    summary: 'Sends some of its rows, in the columns of the shot table or of the table of results; nothing is saved yet.',
    body: batchSchema,
    answer: z.object({ problems: z.array(z.object({ line: z.int(), column: z.string(), message: z.string() })) }),
    give: async ({ desk: { data }, id, body }) => ({ problems: there(await data.stageRows(id, body)) }),
  }),
  endpoint({
    method: 'POST',
    path: '/imports/{id}/keep',
    scope: 'write',
    summary: 'Saves the next rows that were sent.',
    answer: step,
    give: async ({ desk: { data }, id }) => there(await data.keepRows(id)),
  }),
  endpoint({
    method: 'POST',
    path: '/imports/{id}/undo',
    scope: 'write',
    summary: 'Undoes the next part of an import.',
    answer: step,
    give: async ({ desk: { data }, id }) => there(await data.undoImport(id)),
  }),
];
