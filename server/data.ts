import 'server-only';
import type { Actor } from '@/db/actor';
import type { Db } from '@/db/client';
import * as academies from '@/db/queries/academies';
import * as evidence from '@/db/queries/evidence';
import * as games from '@/db/queries/games';
import * as greens from '@/db/queries/greens';
import * as links from '@/db/queries/links';
import * as players from '@/db/queries/players';
import * as readings from '@/db/queries/readings';
import * as sessions from '@/db/queries/sessions';
import * as shots from '@/db/queries/shots';
import { database } from './db';

const QUERIES = {
  saveAcademy: academies.saveAcademy,
  ...evidence,
  ...games,
  ...greens,
  ...links,
  ...players,
  ...readings,
  ...sessions,
  ...shots,
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

/** The academy's data as this actor may see and change it. */
export function dataOf(actor: Actor): Data {
  const bound = Object.entries(QUERIES)
    .filter(([, query]) => typeof query === 'function')
    .map(([name, query]) => [name, (...rest: unknown[]) => (query as (...all: unknown[]) => unknown)(database(), actor, ...rest)]);
  return Object.fromEntries(bound) as Data;
}
