import { z } from 'zod';
import { longestM } from '../golf/bands';
import { say, shotTypeSchema, SITS, STANCES, surfaceSchema, SURFACES_OF, TRAJECTORIES } from '../golf/words';
import { scoringSchema, schemeOf } from './scoring';

/** Limits that keep a game playable; each is named in the sentence that refuses what lies beyond it. */
export const MOST_BALLS = 60;
export const MOST_STATIONS = 40;
/** From this many balls at one spot on, advice is given (balls round the hole block others, a groove is not learning). */
export const MANY_BALLS = 10;

const wholeNumber = 'Give a whole number.';

export const stationSchema = z
  .strictObject({
    /** Stable within a game, whatever the order: results refer to it. */
    key: z.string().min(1).max(40),
    shotType: shotTypeSchema,
    surface: surfaceSchema,
    sit: z.enum(SITS),
    stance: z.enum(STANCES),
    trajectory: z.enum(TRAJECTORIES).nullable(),
    distanceM: z.number({ error: 'Give the distance to the hole as a number.' }).gt(0, 'The distance must be more than nothing.'),
    /** The unit in which the coach gave the distance; only for showing it to the coach again. */
    distanceUnit: z.enum(['ft', 'yd', 'm']),
    balls: z
      .int({ error: wholeNumber })
      .min(1, 'At least one ball.')
      .max(MOST_BALLS, `At most ${MOST_BALLS} balls at one station: split a longer set into stations or sessions.`),
  })
  .superRefine((station, ctx) => {
    const refuse = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (!SURFACES_OF[station.shotType].includes(station.surface))
      refuse('surface', `A ${say(station.shotType)} is played from ${listed(SURFACES_OF[station.shotType].map(say))}.`);
    if (station.sit === 'buried' && station.surface !== 'sand') refuse('sit', 'Only a ball in sand is buried.');
    if (station.distanceM > longestM(station.shotType))
      refuse(
        'distanceM',
        station.shotType === 'putt' ? 'A putt is at most 150 ft (45.7 m).' : 'A short-game shot is at most 100 yd (91.4 m).',
      );
  });

/** "fringe", "fringe or bare", "fringe, fairway or bare". */
function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;
}

export const gameSpecSchema = z
  .strictObject({
    format: z.literal('inch-game'),
    version: z.literal(1),
    title: z.string().trim().min(1, 'A game needs a title.').max(80, 'At most 80 characters.'),
    stations: z.array(stationSchema).min(1, 'A game needs at least one station.').max(MOST_STATIONS, `At most ${MOST_STATIONS} stations.`),
    scoring: scoringSchema,
    /** The score to reach; null where there is none. */
    goal: z.number({ error: 'Give a number, or leave it empty.' }).min(0, 'A goal is not negative.').nullable(),
  })
  .superRefine((game, ctx) => {
    const keys = game.stations.map((station) => station.key);
    if (new Set(keys).size < keys.length) ctx.addIssue({ code: 'custom', path: ['stations'], message: 'Two stations have the same key.' });
    const best = schemeOf(game.scoring).best(game.scoring, ballsOf(game));
    if (game.goal !== null && game.goal > best)
      ctx.addIssue({ code: 'custom', path: ['goal'], message: `This game can give ${best} at most.` });
  });

/** A game as data: all that is needed to set it up, play it and score it. */
export type GameSpec = z.infer<typeof gameSpecSchema>;
export type Station = z.infer<typeof stationSchema>;

/** All the balls of a game, one player's. */
export function ballsOf(game: { stations: readonly { balls: number }[] }): number {
  return game.stations.reduce((sum, station) => sum + station.balls, 0);
}

/** A key that none of these has yet: "s3" after "s1" and "s2". Keys of removed parts may come again only if nothing newer stands. */
export function freshKey(prefix: string, taken: readonly string[]): string {
  const numbers = taken.map((key) => Number(key.slice(prefix.length))).filter(Number.isFinite);
  return `${prefix}${Math.max(0, ...numbers) + 1}`;
}
