import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Entrant } from '../game/entrant';
import { playSession } from '../play/play';
import { SCHEME_KINDS } from '../game/scoring';
import { gameSpecSchema } from '../game/spec';
import { GAME_VERSION, storedGame, understandsGame } from '../game/stored-game';
import { AREA_KINDS, greenPlanSchema } from '../green/plan';
import { storedPlan } from '../green/stored-plan';
import { projectShots } from '../shot/project';
import { EVENT_VERSION, eventReader, readEvents, storedEvent } from '../shot/read-event';

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
const read = <T>(name: string) => JSON.parse(readFileSync(join(__dirname, 'golden', name), 'utf8')) as T;

const games = [1].flatMap((version) => read<Played[]>(`games-${version}.json`));
const greens = [1].flatMap((version) => read<Record<string, unknown>[]>(`greens-${version}.json`));

test('every way of scoring, every kind of event and every part of a green is among them', () => {
  expect(new Set(games.map(({ spec }) => spec.scoring.scheme))).toEqual(new Set(SCHEME_KINDS));
  expect(new Set(games.flatMap(({ events }) => events.map(({ kind }) => kind)))).toEqual(new Set(['record', 'amend', 'void']));
  const plans = greens.map(storedPlan);
  expect(plans.some(({ areas }) => areas.some(({ kind }) => AREA_KINDS.includes(kind)))).toBe(true);
  for (const part of ['areas', 'holes', 'stations', 'groups'] as const) expect(plans.some((plan) => plan[part].length > 0)).toBe(true);
  expect(new Set(plans.map(({ slope }) => slope?.by))).toEqual(new Set(['fall', 'spots', undefined]));
});

test.each(games.map((one) => [one.spec.scoring.scheme, one] as const))('a session of %s has the score that it had', (_, played) => {
  const events = played.events.map(storedEvent).filter((event) => event !== null);
  expect(events).toHaveLength(played.events.length);
  const table = playSession(storedGame(played.spec), played.people, projectShots(events));
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
  for (const { spec } of games) expect(storedGame(spec)).toMatchObject({ version: GAME_VERSION });
  for (const plan of greens) expect(greenPlanSchema.parse(storedPlan(plan))).toEqual(storedPlan(plan));
  expect(gameSpecSchema.safeParse(storedGame(games[0]!.spec)).success).toBe(true);
});

test('a game of a newer program is not played as if it were understood', () => {
  expect(understandsGame(games[0]!.spec)).toBe(true);
  expect([{ ...games[0]!.spec, version: GAME_VERSION + 1 }, null, 'text'].map(understandsGame)).toEqual([false, false, false]);
});

test('when the shape of events changes, what was stored and what old phones send is brought along', () => {
  const withHeight = (older: Record<string, unknown>) => ({ ...older, payload: { ...(older.payload as object), heightM: 0 } });
  const later = eventReader([withHeight]);
  const [ball] = games[0]!.events;
  expect(later.version).toBe(2);
  const lifted = { version: 2, payload: { heightM: 0 } };
  expect(later.storedEvent(ball)).toMatchObject(lifted);
  expect(later.readEvents([ball])).toMatchObject({ events: [lifted], refused: [] });
  const own = { ...ball, version: 2, payload: { ...ball!.payload, heightM: 3 } };
  expect(later.storedEvent(own)).toBe(own);
  // The program before it takes what the later one makes.
  expect(readEvents([own]).events).toEqual([own]);
  expect(storedEvent(own)).toEqual(own);
});
