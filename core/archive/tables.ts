import * as z from 'zod';
import type { DocumentKind } from '../document';
import { ownReferenceSchema } from '../formats/reference-table';
import { gameShapeSchema } from '../game/spec';
import { storedGames } from '../game/stored-games';
import { HANDS } from '../golf/words';
import { levelSchema } from '../golf/level';
import { greenPlanSchema } from '../green/plan';
import { storedPlans } from '../green/stored-plans';
import { hourSchema } from '../hour/hour';
import { runSchema } from '../hour/run-schema';
import { schoolSchema, storedSchools } from '../hour/school';
import { storedHours, storedRuns } from '../hour/stored-hours';
import { TABLE_KINDS } from '../imports/fields';
import { mappingSchema, storedMappings } from '../imports/mapping';
import { tagsSchema } from '../logbook/asked';
import { keepYearsSchema, settingsSchema } from '../people/account';
import { groupNameSchema } from '../people/group';
import { clubSchema, dreadsSchema, playerSchema, roundMixSchema, swingMarksSchema } from '../people/player';
import { wordsSchema } from '../report/report';
import { conditionsSchema, DISTANCE_SOURCES, storedConditions } from '../shot/conditions';
import { readEvents } from '../shot/read-event';
import { day, filledLine, key, line, lines, moment, sayIssue, whole } from '../stored';
import { weeksSchema } from '../weeks/weeks';
import { storedWeeks } from '../weeks/stored-weeks';

/*
 * What an archive holds of an academy: tables, each row an object with the columns as the database calls them, without the academy, which a file
 * can't name. What can be made again of the rest is not in it: the balls as they are (of the events), what is believed of players. What opens
 * something is not in it either: links, keys, tokens. docs/archive.md describes the format.
 */

/** One table of an archive. */
export type ArchiveTable = {
  name: string;
  /** What a row is told by. */
  key: readonly string[];
  /** What a row is held to as it comes in. What it gives back is stored. */
  row: z.ZodType<Record<string, unknown>>;
  columns: readonly string[];
  /** In which order rows stand in it, where that says something; else that of the key. */
  order?: string;
};

const id = z.uuid();
const at = moment;
const count = whole();
const score = z.number().min(-1e9).max(1e9);
const unitM = z.number().gt(0).max(10);
const person = playerSchema.shape;
const own = settingsSchema.shape;
/** Who did something, as facts name them. */
const actor = line(120);

/** A document as it was stored: it stays as it is, if this program can read it. */
function stored<T>(kind: DocumentKind<T>, schema: z.ZodType): z.ZodType<unknown> {
  return z.unknown().superRefine((document, ctx) => {
    if (!kind.understands(document)) {
      ctx.addIssue({ code: 'custom', message: 'This was made with a newer version of the program.' });
      return;
    }
    const read = schema.safeParse(kind.read(document));
    if (!read.success) ctx.addIssue({ code: 'custom', message: sayIssue(read.error) });
  });
}

/** A game is held to what it is made of, and not to what a designer is held to now. */
const game = stored(storedGames, gameShapeSchema);
const conditions = stored(storedConditions, conditionsSchema);

function table(name: string, key: readonly string[], shape: z.ZodRawShape, order?: string): ArchiveTable {
  return { name, key, row: z.strictObject(shape), columns: Object.keys(shape), ...(order === undefined ? {} : { order }) };
}

const eventShape = {
  event_id: id,
  shot_id: id,
  session_id: id,
  version: whole(1),
  kind: z.enum(['record', 'amend', 'void']),
  payload: z.record(z.string(), z.unknown()),
  actor,
  more: z.record(z.string(), z.unknown()).nullable(),
  device_id: id,
  device_seq: count,
  device_at: at,
  clock_behind_ms: z.int().nullable(),
  received_at: at,
};
const eventRow = z.strictObject(eventShape).superRefine((row, ctx) => {
  const { event_id: eventId, shot_id: shotId, session_id: sessionId, version, kind, payload, more } = row;
  const { device_id: deviceId, device_seq: deviceSeq, device_at: deviceAt } = row;
  const [refused] = readEvents([
    { ...more, ...{ version, eventId, shotId, sessionId, kind, payload, deviceId, deviceSeq, deviceAt } },
  ]).refused;
  if (refused) ctx.addIssue({ code: 'custom', path: ['payload'], message: refused.why });
  else if (kind === 'record' && payload.sessionId !== sessionId)
    ctx.addIssue({ code: 'custom', path: ['payload', 'sessionId'], message: 'This ball is from another session.' });
});

/** All tables, each after those that it speaks of: in this order they are written and read. */
export const ARCHIVE_TABLES: readonly ArchiveTable[] = [
  table('academy', [], {
    units: own.units,
    time_zone: own.timeZone,
    pace_m: own.paceM,
    club_m: own.clubM,
    putter_m: own.putterM,
    flagstick_m: own.flagstickM,
    shoe_m: own.shoeM,
    half_life_days: own.halfLifeDays,
    strokes_as: own.strokesAs,
    keep_years: keepYearsSchema,
  }),
  table('reference', [], { name: filledLine(40), expected: ownReferenceSchema, changed_at: at }),
  table('green', ['green_id'], { green_id: id, created_at: at, archived_at: at.nullable() }),
  table('green_version', ['green_id', 'version'], {
    green_id: id,
    version: whole(1),
    plan: stored(storedPlans, greenPlanSchema),
    created_at: at,
  }),
  table('game', ['game_id'], { game_id: id, created_at: at, archived_at: at.nullable(), listed: z.boolean() }),
  table('game_version', ['game_id', 'version'], {
    game_id: id,
    version: whole(1),
    spec: game,
    green_id: id.nullable(),
    green_version: whole(1).nullable(),
    created_at: at,
  }),
  table('player', ['player_id'], {
    player_id: id,
    name: person.name,
    level: levelSchema,
    handed: z.enum(HANDS),
    units: person.units,
    pace_m: person.paceM,
    club_m: person.clubM,
    putter_m: person.putterM,
    shoe_m: person.shoeM,
    swing_marks: swingMarksSchema,
    round_mix: roundMixSchema,
    dreads: dreadsSchema.nullable(),
    born_year: z.int().min(1900).max(2200).nullable(),
    report_words: wordsSchema,
    created_at: at,
    saved_at: at,
    archived_at: at.nullable(),
  }),
  table('club', ['player_id', 'club_id'], {
    player_id: id,
    club_id: id,
    label: clubSchema.shape.label,
    loft_deg: clubSchema.shape.loftDeg,
    position: count,
  }),
  table('player_group', ['group_id'], { group_id: id, name: groupNameSchema, created_at: at }),
  table('group_player', ['group_id', 'player_id'], { group_id: id, player_id: id }),
  table('guardian', ['guardian_id'], {
    guardian_id: id,
    player_id: id,
    name: filledLine(60),
    email: line(200),
    phone: line(30),
    created_at: at,
  }),
  table('consent', ['consent_id'], {
    consent_id: id,
    player_id: id,
    given_by: filledLine(60),
    given_on: day,
    actor,
    way: z.enum(['account', 'coach']),
    withdrawn_at: at.nullable(),
  }),
  table('import_file', ['import_id'], {
    import_id: id,
    kind: z.enum(TABLE_KINDS),
    file_name: line(120),
    columns: z.array(z.string().max(200)).max(200),
    mapping: stored(storedMappings, mappingSchema),
    state: z.enum(['kept', 'undone']),
    rows: count,
    last_line: count,
    kept: count,
    known: count,
    refused: count,
    players: z.array(id).max(100_000),
    actor,
    created_at: at,
  }),
  table('session', ['session_id'], {
    session_id: id,
    game_id: id.nullable(),
    game_version: whole(1).nullable(),
    spec: game,
    green_id: id.nullable(),
    green_version: whole(1).nullable(),
    conditions,
    started_at: at,
    stopped_at: at.nullable(),
    completed_at: at.nullable(),
    tags: tagsSchema,
    import_id: id.nullable(),
    given: line(40).nullable(),
  }),
  table('session_player', ['session_id', 'player_id'], {
    session_id: id,
    player_id: id,
    position: count,
    level: levelSchema,
    unit_m: unitM.nullable(),
    scale: z.number().gt(0).max(100),
    allowance: score,
    score: score.nullable(),
    met: z.boolean().nullable(),
  }),
  table('session_station', ['session_id', 'station_key'], {
    session_id: id,
    station_key: key,
    distance_m: z.number().gt(0).max(150),
    source: z.enum(DISTANCE_SOURCES),
  }),
  table('import_session', ['import_id', 'session_id'], { import_id: id, session_id: id }),
  table('day_conditions', ['day'], { day, conditions }),
  table('note', ['note_id'], {
    note_id: id,
    player_id: id,
    session_id: id.nullable(),
    author: actor,
    author_name: line(200),
    text: lines(1000),
    written_at: at,
    changed_at: at,
  }),
  table('hour', ['hour_id'], {
    hour_id: id,
    day: day.nullable(),
    hour: stored(storedHours, hourSchema),
    created_at: at,
    saved_at: at,
    archived_at: at.nullable(),
  }),
  table('hour_player', ['hour_id', 'player_id'], { hour_id: id, player_id: id, position: count }),
  table('hour_game', ['hour_id', 'game_id'], { hour_id: id, game_id: id }),
  table('hour_run', ['run_id'], { run_id: id, hour_id: id, run: stored(storedRuns, runSchema), change: count, started_at: at }),
  table('school', ['school_id'], { school_id: id, school: stored(storedSchools, schoolSchema), created_at: at }),
  table('weeks', ['weeks_id'], {
    weeks_id: id,
    weeks: stored(storedWeeks, weeksSchema),
    created_at: at,
    saved_at: at,
    archived_at: at.nullable(),
  }),
  table('weeks_player', ['weeks_id', 'player_id'], { weeks_id: id, player_id: id, position: count }),
  { name: 'shot_event', key: ['event_id'], row: eventRow, columns: Object.keys(eventShape), order: 'server_seq' },
];
