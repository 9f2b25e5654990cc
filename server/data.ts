import 'server-only';
import type { Actor, Limited, Role } from '@/db/actor';
import type { Change } from '@/db/queries/live';
import { seesSessions } from '@/db/queries/seen';
import { LEAVES, leaving } from './activity';
import { ABOUT, NotTheirs, type LimitedQuery } from './about';
import { inTurn, takeInTogether } from './balls-in';
import { database } from './db';
import { keepErasure } from './erasures';
import { doorsEnded, announce } from './live';
import { QUERIES, type Bound, type QueryName } from './queries';
import { reading } from './replica';
import { queriesOf, type DataFor } from './rights';
import { makeTurns } from './turns';

/** The queries of a coach: what the pages at the desk see of the database, and all they see of it. */
export type Data = DataFor<'coach'>;

/** What a query gives, by its name: the row types of the screens. */
export type Answer<Name extends QueryName> = Awaited<ReturnType<Bound[Name]>>;

export type { Academy } from '@/db/queries/academies';
export type { BallFilter } from '@/db/queries/evidence';
export type { GameRow } from '@/db/queries/games';
export type { GreenRow, SavedGreen } from '@/db/queries/greens';
export type { HourRow } from '@/db/queries/hours';
export type { ListedPlayer, PlayerRow } from '@/db/queries/players';
export type { ReportLine } from '@/db/queries/reports';
export type { WeeksRow } from '@/db/queries/weeks';
export type { Best, FinishedLine, SessionLine } from '@/db/queries/sessions';

/** What of a change whoever watches has to be told, once it is through. */
type Announces<Name extends QueryName> = (asked: Parameters<Bound[Name]>, answer: Answer<Name>) => { sessionId: string; change: Change }[];
const session = ([sessionId]: [string, ...unknown[]]) => [{ sessionId, change: 'session' as const }];
const ANNOUNCES: { [Name in QueryName]?: Announces<Name> } = {
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

/** The academy's data as this actor may see and change it: the queries of their role (`rights.ts`), and no others. */
export function dataOf<Of extends Role>(actor: Actor & { kind: Of }): DataFor<Of> {
  return Object.fromEntries(queriesOf(actor.kind).map((name) => [name, bind(actor, name, QUERIES[name] as Query)])) as DataFor<Of>;
}

type Query = (...all: unknown[]) => Promise<unknown>;

/** What ends somebody's right to get in. */
const ENDS: readonly QueryName[] = [
  ...(['revokeLink', 'archivePlayer', 'erasePlayer'] as const),
  ...(['saveRole', 'removeMember', 'leaveAcademy', 'handOver', 'saveGroup', 'removeGroup', 'removeGuardian'] as const),
];

/** Whoever reads all that a player ever did takes a connection for long: some are left for everybody else. */
const LONG_READS = 2;
const longReads = makeTurns({ most: LONG_READS, waiting: 1000 });
const inLine =
  <Rest extends [string, ...unknown[]], T>(name: string, ask: (...asked: Rest) => Promise<T>) =>
  (...asked: Rest): Promise<T> =>
    longReads(`${name} ${asked[0]}`, () => ask(...asked));

/** What changes the balls of a session waits for its turn, and so does what reads long. */
const WAYS: { [Name in QueryName]?: (actor: Actor, ask: Bound[Name]) => Bound[Name] } = {
  takeIn: (actor) => (sessionId, events, clockBehindMs) => takeInTogether(actor, sessionId, events, clockBehindMs),
  saveConditions: (actor, ask) => (sessionId, conditions) => inTurn(actor, sessionId, () => ask(sessionId, conditions)),
  saveStationDistance: (actor, ask) => (sessionId, said) => inTurn(actor, sessionId, () => ask(sessionId, said)),
  erasePlayer: (actor, ask) => async (playerId) => {
    await keepErasure({ academyId: actor.academyId, playerId });
    return ask(playerId);
  },
  tallyStretches: (_, ask) => inLine('tallyStretches', ask),
  scoresOf: (_, ask) => inLine('scoresOf', ask),
};

/** Asks a query only where the actor sees all of whom it speaks (`about.ts`). */
function limited(actor: Limited, name: LimitedQuery, ask: Query): Query {
  const about = ABOUT[name] as 'nobody' | 'seen' | (Record<'players' | 'sessions', Whom | undefined> & { otherwise?: unknown });
  if (typeof about === 'string') return ask;
  return async (...asked) => {
    const sees = about.players
      ? about.players(...asked).every((id) => id !== null && actor.players.includes(id))
      : await seesSessions(database(), actor, about.sessions!(...asked) as string[]);
    if (sees) return ask(...asked);
    if ('otherwise' in about) return about.otherwise;
    throw new NotTheirs(name);
  };
}
type Whom = (...asked: unknown[]) => readonly (string | null)[];

function bind(actor: Actor, name: QueryName, query: Query): Query {
  const kept = leaving(name, query);
  const plain: Query = (...asked) =>
    LEAVES[name] === 'reads' ? reading((db) => kept(db, actor, ...asked)) : kept(database(), actor, ...asked);
  const way = WAYS[name] as ((actor: Actor, ask: Query) => Query) | undefined;
  const announces = ANNOUNCES[name] as ((asked: unknown[], answer: unknown) => ReturnType<Announces<QueryName>>) | undefined;
  const inTime = way ? way(actor, plain) : plain;
  const ask = 'players' in actor ? limited(actor, name as LimitedQuery, inTime) : inTime;
  if (!announces && !ENDS.includes(name)) return ask;
  return async (...asked) => {
    const answer = await ask(...asked);
    if (ENDS.includes(name)) doorsEnded();
    announce((announces?.(asked, answer) ?? []).map((one) => ({ academyId: actor.academyId, ...one })));
    return answer;
  };
}
