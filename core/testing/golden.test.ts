import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { documentKind } from '../document';
import { bundleSchema, storedBundles, type Bundle } from '../exchange/bundle';
import { homeSchema, storedHomes } from '../exchange/home';
import { hourSchema } from '../hour/hour';
import { runSchema } from '../hour/run-schema';
import { storedHours, storedRuns } from '../hour/stored-hours';
import { storedWeeks } from '../weeks/stored-weeks';
import { weeksSchema } from '../weeks/weeks';
import { sentStartSchema } from '../exchange/session-start';
import { sentNoteSchema, type SessionNote } from '../exchange/session-note';
import type { Entrant } from '../game/entrant';
import { playSession } from '../play/play';
import { SCHEME_KINDS } from '../game/scoring';
import { gameSpecSchema } from '../game/spec';
import { storedGames } from '../game/stored-games';
import { mappingSchema, storedMappings } from '../imports/mapping';
import { reportSchema, storedReports } from '../report/report';
import { squadReportSchema, storedSquadReports } from '../report/squad-report';
import { AREA_KINDS, greenPlanSchema } from '../green/plan';
import { storedPlans } from '../green/stored-plans';
import { sentConditionsSchema, type Conditions } from '../shot/conditions';
import { projectShots } from '../shot/project';
import { EVENT_STEPS, EVENT_VERSION, eventReader, readEvents, storedEvent } from '../shot/read-event';

/*
 * What programs of each version stored, as they stored it. A file here is never changed: whatever becomes of the program, it reads these, and
 * they mean what they meant.
 */
type Played = {
  spec: { scoring: { scheme: string } };
  people: Entrant[];
  events: { kind: string; payload: object }[];
  scores: number[];
  balls: number[];
};
type Exchanged = { bundles: Bundle[]; notes: SessionNote[]; conditions: Conditions[] };
const read = <T>(name: string) => JSON.parse(readFileSync(join(__dirname, 'golden', name), 'utf8')) as T;

const games = [1, 2, 3, 4, 5].flatMap((version) => read<Played[]>(`games-${version}.json`));
const greens = [1].flatMap((version) => read<Record<string, unknown>[]>(`greens-${version}.json`));

const exchanged = [1, 2].map((version) => read<Exchanged>(`exchange-${version}.json`));
const planned = [1].map((version) => read<{ hours: object[]; runs: object[] }>(`hours-${version}.json`));
const weeks = [1].flatMap((version) => read<object[]>(`weeks-${version}.json`));
const reports = [1].flatMap((version) => read<object[]>(`reports-${version}.json`));
const squadReports = [1].flatMap((version) => read<object[]>(`squad-reports-${version}.json`));
const mappings = [1].flatMap((version) => read<object[]>(`mappings-${version}.json`));
const homes = [1, 2].map((version) => read<{ home: object; start: object }>(`home-${version}.json`));

test('every way of scoring, every kind of event and every part of a green is among them', () => {
  expect(new Set(games.map(({ spec }) => spec.scoring.scheme))).toEqual(new Set(SCHEME_KINDS));
  expect(new Set(games.flatMap(({ events }) => events.map(({ kind }) => kind)))).toEqual(new Set(['record', 'amend', 'void']));
  const plans = greens.map(storedPlans.read);
  expect(plans.some(({ areas }) => areas.some(({ kind }) => AREA_KINDS.includes(kind)))).toBe(true);
  for (const part of ['areas', 'holes', 'stations', 'groups'] as const) expect(plans.some((plan) => plan[part].length > 0)).toBe(true);
  expect(new Set(plans.map(({ slope }) => slope?.by))).toEqual(new Set(['fall', 'spots', undefined]));
});

test('reports that were given away, and how files were read, are read as they were', () => {
  for (const one of reports) expect(reportSchema.parse(storedReports.read(one))).toEqual(one);
  for (const one of squadReports) expect(squadReportSchema.parse(storedSquadReports.read(one))).toEqual(one);
  for (const one of mappings) expect(mappingSchema.parse(storedMappings.read(one))).toEqual(one);
});

test.each(games.map((one) => [one.spec.scoring.scheme, one] as const))('a session of %s has the score that it had', (_, played) => {
  const events = played.events.map(storedEvent).filter((event) => event !== null);
  expect(events).toHaveLength(played.events.length);
  const table = playSession(storedGames.read(played.spec), played.people, projectShots(events));
  expect(table.standings.map(({ score }) => Number(score.toFixed(9)))).toEqual(played.scores.map((score) => Number(score.toFixed(9))));
  expect(table.standings.map((standing) => standing.played.length)).toEqual(played.balls);
});

test('what phones sent then is taken in now, nothing of it lost', () => {
  for (const { events } of games) {
    const said = readEvents(events);
    expect(said.refused).toEqual([]);
    expect(said.events).toMatchObject(events.map((event) => ({ ...event, version: EVENT_VERSION })));
  }
});

test('games and greens of then are games and greens of the present shape', () => {
  for (const { spec } of games) expect(storedGames.read(spec)).toMatchObject({ version: storedGames.version });
  // Where a station is was not said before the second version.
  const where = games.map(({ spec }) => storedGames.read(spec).stations[0]).map((station) => [station!.hole, station!.note]);
  expect(new Set(where.map(String))).toEqual(new Set([',', 'B,land it past the ridge']));
  for (const plan of greens) expect(greenPlanSchema.parse(storedPlans.read(plan))).toEqual(storedPlans.read(plan));
  expect(gameSpecSchema.safeParse(storedGames.read(games[0]!.spec)).success).toBe(true);
  // What is newly made says the version up to which older ones are brought.
  expect(gameSpecSchema.shape.version.value).toBe(storedGames.version);
  expect(greenPlanSchema.shape.version.value).toBe(storedPlans.version);
});

test('what devices kept and sent then is read now: sessions, notes and the day', () => {
  const bundles = exchanged.flatMap((one) => one.bundles);
  const { notes, conditions } = exchanged[0]!;
  for (const bundle of bundles) {
    const present = { ...bundle, version: storedBundles.version, spec: storedGames.read(bundle.spec) };
    expect(bundleSchema.parse(bundle)).toMatchObject(present);
    expect(bundleSchema.parse(storedBundles.read(bundle)).players.map(({ notes: said }) => said.coaches.length)).toEqual(
      bundle.players.map(({ notes: said }) => (said.coaches ?? []).length),
    );
  }
  for (const note of notes) expect(sentNoteSchema.parse(note)).toMatchObject(note);
  expect(new Set(notes.map(({ say }) => say))).toEqual(new Set(['stopped', 'note', 'station', 'conditions']));
  for (const day of conditions) expect(sentConditionsSchema.parse(day)).toEqual(day);
});

test('what is left of a newer session, once what is not known of it is gone, is one of the present version', () => {
  const [bundle] = exchanged.at(-1)!.bundles;
  const newer = {
    ...bundle,
    version: storedBundles.version + 1,
    tide: 'low',
    conditions: { ...bundle!.conditions, version: 9, dew: true },
  };
  const read = bundleSchema.parse(newer);
  expect(read).not.toHaveProperty('tide');
  expect(read.version).toBe(storedBundles.version);
  // The day goes back as it came.
  expect(read.conditions).toEqual(newer.conditions);
});

test('when the shape of games, greens or conditions changes, what was stored is brought along', () => {
  const later = documentKind<object>([(older) => older, (older) => older, (older) => ({ ...older, minutes: 20 })]);
  for (const stored of [...games.map(({ spec }) => spec), ...greens, ...exchanged[0]!.conditions])
    expect(later.read(stored)).toEqual({ ...stored, version: 4, minutes: 20 });
});

test('a game of a newer program is not played as if it were understood', () => {
  expect(storedGames.understands(games[0]!.spec)).toBe(true);
  expect([{ ...games[0]!.spec, version: storedGames.version + 1 }, null, 'text'].map(storedGames.understands)).toEqual([
    false,
    false,
    false,
  ]);
});

test('when the shape of events changes, what was stored and what old phones send is brought along', () => {
  const withHeight = (older: Record<string, unknown>) => ({ ...older, payload: { ...(older.payload as object), heightM: 0 } });
  const later = eventReader([...EVENT_STEPS, withHeight]);
  const [ball] = games[0]!.events;
  const version = EVENT_VERSION + 1;
  expect(later.version).toBe(version);
  const lifted = { version, payload: { heightM: 0 } };
  expect(later.storedEvent(ball)).toMatchObject(lifted);
  expect(later.readEvents([ball])).toMatchObject({ events: [lifted], refused: [] });
  const own = { ...ball, version, payload: { ...storedEvent(ball)!.payload, heightM: 3 } };
  expect(later.storedEvent(own)).toBe(own);
  // A version that is none is no reason to take it for an old one.
  expect(readEvents([{ ...ball, version: 'x' }]).events).toEqual([]);
  // The program before it takes what the later one makes.
  expect(readEvents([own]).events).toEqual([own]);
  expect(storedEvent(own)).toEqual(own);
});

test('weeks that were planned then are read as they were', () => {
  expect(weeks.map((one) => weeksSchema.parse(storedWeeks.read(one)))).toEqual(weeks);
  expect(weeksSchema.shape.version.value).toBe(storedWeeks.version);
});

test('hours that were planned then, and how they were done, are read as they were', () => {
  for (const { hours, runs } of planned) {
    expect(hours.map((hour) => hourSchema.parse(storedHours.read(hour)))).toEqual(hours);
    expect(runs.map((run) => runSchema.parse(storedRuns.read(run)))).toEqual(runs);
  }
});

test('the start page that a phone keeps, and a session that it began, are what they were', () => {
  for (const { home, start } of homes) {
    const { kit } = home as { kit: { games: { spec: unknown }[]; players: { clubs: object[] }[]; guest: { clubs: object[] } } };
    const games = kit.games.map((game) => ({ listed: true, ...game, spec: storedGames.read(game.spec) }));
    // Swing marks, charts and lofts came later: nobody has any.
    const later = <T extends { clubs: object[] }>(one: T) => ({
      marks: [],
      swings: [],
      strays: null,
      ...one,
      clubs: one.clubs.map((club) => ({ loftDeg: null, ...club })),
    });
    const [players, guest] = [kit.players.map(later), later(kit.guest)];
    const hours = ((home as { hours?: object[] }).hours ?? []).map((one) => ({ at: null, ...one }));
    expect(homeSchema.parse(home)).toEqual({ ...home, hours, version: storedHomes.version, kit: { ...kit, games, players, guest } });
    expect(sentStartSchema.parse({ start, sentAt: '2026-05-01T18:00:00.000Z' }).start).toEqual(start);
  }
});
