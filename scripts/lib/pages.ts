import { sql } from 'drizzle-orm';
import type { Db } from '@/db/client';

/** An academy's address, and of it a player, a game, a session of the player, and a late place in the logbook. */
export type Place = { base: string; player: string; game: string; session: string; late: string; name: string };

/** Where there is something to look at in an academy. */
export async function placeOf(db: Db, slug: string): Promise<Place> {
  const one = async (query: ReturnType<typeof sql>) => (await db.execute<{ id: string }>(query)).rows[0]!.id;
  const academy = await one(sql`select id from auth_organization where slug = ${slug}`);
  const player = await one(sql`select player_id as id from player where academy_id = ${academy} order by name limit 1`);
  return {
    base: `/a/${slug}`,
    player,
    name: await one(sql`select name as id from player where academy_id = ${academy} and player_id = ${player}`),
    game: await one(sql`select game_id as id from game where academy_id = ${academy} order by created_at limit 1`),
    session: await one(sql`select s.session_id as id from session s join session_player p using (academy_id, session_id)
      where s.academy_id = ${academy} and p.player_id = ${player} order by s.started_at desc limit 1`),
    // Of a tenth of all sessions the newest, or the first there is: pages later than that are no other.
    late: await one(sql`select to_char(started_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') || '~' || session_id as id from session
      where academy_id = ${academy} order by started_at offset (select least(60, count(*) - 1) from session where academy_id = ${academy}) limit 1`),
  };
}

/** The pages of the desk. */
export const PAGES: Readonly<Record<string, (at: Place) => string>> = {
  today: ({ base }) => base,
  players: ({ base }) => `${base}/players`,
  board: ({ base, player }) => `${base}/players/${player}`,
  'a cell': ({ base, player }) => `${base}/players/${player}?cell=${encodeURIComponent('chip|fairway|20')}`,
  putting: ({ base, player }) => `${base}/players/${player}/putting`,
  'over time': ({ base, player }) => `${base}/players/${player}/time`,
  sessions: ({ base, player }) => `${base}/players/${player}/sessions`,
  report: ({ base, player }) => `${base}/players/${player}/report`,
  'squad board': ({ base }) => `${base}/players/squad`,
  games: ({ base }) => `${base}/games`,
  'game page': ({ base, game }) => `${base}/games/${game}`,
  designer: ({ base, game }) => `${base}/games/${game}/edit`,
  'link cards': ({ base }) => `${base}/players/links`,
  'logbook, first': ({ base }) => `${base}/logbook`,
  'logbook, late': ({ base, late }) => `${base}/logbook?after=${encodeURIComponent(late)}`,
  'logbook, of a player': ({ base, player }) => `${base}/logbook?playerId=${player}`,
  'logbook, searched': ({ base, name }) => `${base}/logbook?find=${encodeURIComponent(name)}`,
  session: ({ base, session: id }) => `${base}/sessions/${id}`,
  plan: ({ base }) => `${base}/plan`,
  'plan an hour': ({ base, player }) => `${base}/plan/hour/new?for=${player}`,
};
