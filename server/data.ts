import 'server-only';
import type { Actor } from '@/db/actor';
import type { Db } from '@/db/client';
import * as academies from '@/db/queries/academies';
import * as erase from '@/db/queries/erase';
import * as evidence from '@/db/queries/evidence';
import * as games from '@/db/queries/games';
import * as greens from '@/db/queries/greens';
import * as links from '@/db/queries/links';
import * as players from '@/db/queries/players';
import * as readings from '@/db/queries/readings';
import * as sessions from '@/db/queries/sessions';
import type { Change } from '@/db/queries/live';
import * as shots from '@/db/queries/shots';
import { takeIn } from '@/db/queries/take-in';
import { inTurn, takeInTogether } from './balls-in';
import { database } from './db';
import { doorsEnded, tell } from './live';
import { makeTurns } from './turns';

const QUERIES = {
  saveAcademy: academies.saveAcademy,
  ...erase,
  ...evidence,
  ...games,
  ...greens,
  ...links,
  ...players,
  ...readings,
  ...sessions,
  ...shots,
  takeIn,
};
type Queries = typeof QUERIES;

/** Every query of an academy, bound to who asks: what features see of the database, and all they see of it. */
export type Data = {
  [
    Name in keyof Queries as Queries[Name] extends (db: Db, actor: Actor, ...rest: never[]) => unknown ? Name : never
  ]: Queries[Name] extends (db: Db, actor: Actor, ...rest: infer Rest) => infer Answer ? (...rest: Rest) => Answer : never;
};

/** What a query gives, by its name: the row types of the screens. */
export type Answer<Name extends keyof Data> = Awaited<ReturnType<Data[Name]>>;

export type { Academy } from '@/db/queries/academies';
export type { BallFilter } from '@/db/queries/evidence';
export type { GameRow } from '@/db/queries/games';
export type { GreenRow, SavedGreen } from '@/db/queries/greens';
export type { PlayerRow } from '@/db/queries/players';
export type { Best, SessionLine } from '@/db/queries/sessions';

/** What of a change whoever watches has to be told, once it is through. */
type Tells<Name extends keyof Data> = (asked: Parameters<Data[Name]>, answer: Answer<Name>) => { sessionId: string; change: Change }[];
const session = ([sessionId]: [string, ...unknown[]]) => [{ sessionId, change: 'session' as const }];
const TELLS: { [Name in keyof Data]?: Tells<Name> } = {
  takeIn: ([sessionId], { stored }) => (stored > 0 ? [{ sessionId, change: 'facts' }] : []),
  takeReading: ([{ sessionId }], taken) => (taken ? [{ sessionId, change: 'reading' }] : []),
  saveConditions: session,
  saveStationDistance: session,
  saveNote: session,
  stopSession: session,
  resumeSession: session,
  erasePlayer: (_, sessions) => (sessions ?? []).map((sessionId) => ({ sessionId, change: 'session' })),
  saveConditionsToday: (_, sessions) => sessions.map((sessionId) => ({ sessionId, change: 'session' })),
};

/** The academy's data as this actor may see and change it. */
export function dataOf(actor: Actor): Data {
  const bound = Object.entries(QUERIES).map(([name, query]) => [name, bind(actor, name as keyof Data, query as Query)]);
  return Object.fromEntries(bound) as Data;
}

type Query = (...all: unknown[]) => Promise<unknown>;

/** What ends somebody's right to get in. */
const ENDS: readonly (keyof Data)[] = ['revokeLink', 'archivePlayer', 'erasePlayer'];

/** Whoever reads all that a player ever did takes a connection for long: some are left for everybody else. */
const LONG_READS = 2;
const longReads = makeTurns({ most: LONG_READS, waiting: 1000 });
const inLine =
  <Rest extends [string, ...unknown[]], T>(name: string, ask: (...asked: Rest) => Promise<T>) =>
  (...asked: Rest): Promise<T> =>
    longReads(`${name} ${asked[0]}`, () => ask(...asked));

/** What changes the balls of a session waits for its turn, and so does what reads long. */
const WAYS: { [Name in keyof Data]?: (actor: Actor, ask: Data[Name]) => Data[Name] } = {
  takeIn: (actor) => (sessionId, events, clockBehindMs) => takeInTogether(actor, sessionId, events, clockBehindMs),
  saveConditions: (actor, ask) => (sessionId, conditions) => inTurn(actor, sessionId, () => ask(sessionId, conditions)),
  saveStationDistance: (actor, ask) => (sessionId, said) => inTurn(actor, sessionId, () => ask(sessionId, said)),
  tallyStretches: (_, ask) => inLine('tallyStretches', ask),
  scoresOf: (_, ask) => inLine('scoresOf', ask),
};

function bind(actor: Actor, name: keyof Data, query: Query): Query {
  const plain: Query = (...asked) => query(database(), actor, ...asked);
  const way = WAYS[name] as ((actor: Actor, ask: Query) => Query) | undefined;
  const tells = TELLS[name] as ((asked: unknown[], answer: unknown) => ReturnType<Tells<keyof Data>>) | undefined;
  const ask = way ? way(actor, plain) : plain;
  if (!tells && !ENDS.includes(name)) return ask;
  return async (...asked) => {
    const answer = await ask(...asked);
    if (ENDS.includes(name)) doorsEnded();
    tell((tells?.(asked, answer) ?? []).map((one) => ({ academyId: actor.academyId, ...one })));
    return answer;
  };
}
