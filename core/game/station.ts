import { isPutt, surfacesOf } from '../golf/shot-types';
import * as z from 'zod';
import { longestM } from '../golf/bands';
import { say, shotTypeSchema, SHAPES, SITS, STANCES, surfaceSchema, TRAJECTORIES } from '../golf/words';
import { filledLine, key, line } from '../stored';

/** Limits that keep a game playable; each is named in the sentence that refuses what lies beyond it. */
export const MOST_BALLS = 60;
export const MOST_STATIONS = 40;
/** From this many balls at one spot on, advice is given (balls round the hole block others, a groove is not learning). */
export const MANY_BALLS = 10;

export const ballsSchema = z
  .int({ error: 'Enter a whole number.' })
  .min(1, 'At least one ball.')
  .max(MOST_BALLS, `At most ${MOST_BALLS} balls at one station: split a longer set into stations or sessions.`);

/** In what a coach gives a distance: a unit, or lengths of their own. */
export const DISTANCE_UNITS = ['ft', 'yd', 'm', 'pace', 'club', 'putter', 'flagstick'] as const;
export const BREAKS = ['straight', 'left_to_right', 'right_to_left'] as const;
export const SLOPES = ['uphill', 'downhill'] as const;

export const clubLabel = filledLine(20, 'Name the club.');

export const stationSchema = z
  .strictObject({
    /** Stable within a game, whatever the order: results refer to it. */
    key,
    /** The hole that is played to, as it is called: "B"; empty where there is but one. */
    hole: line(12).default(''),
    /** What the spot is called: "behind the bunker". */
    name: line(30).default(''),
    /** What to think of there: "land it past the ridge". */
    note: line(80).default(''),
    /** The station of a green's plan from which this one was taken, by its key; null where it stands on no plan. */
    place: key.nullable().default(null),
    shotType: shotTypeSchema,
    surface: surfaceSchema,
    sit: z.enum(SITS).default('clean'),
    stance: z.enum(STANCES).default('flat'),
    trajectory: z.enum(TRAJECTORIES).nullable().default(null),
    /** For a right- and a left-hander alike: a draw turns back towards the player. */
    shape: z.enum(SHAPES).nullable().default(null),
    /** A club that must be used, by its name. */
    club: clubLabel.nullable().default(null),
    /** Scoring: a hole, or a peg that stands in for one. */
    target: z.enum(['hole', 'peg']).default('hole'),
    distanceM: z.number({ error: 'Enter the distance to the hole as a number.' }).gt(0, 'The distance must be more than 0.'),
    /** The unit in which the coach gave the distances; only for showing them to the coach again. */
    distanceUnit: z.enum(DISTANCE_UNITS),
    /** Where the landing zone is, from the ball, in metres; for games that have one. */
    carryM: z.number({ error: 'Enter the carry as a number.' }).gt(0, 'The carry must be more than 0.').nullable().default(null),
    /** How far it is to the edge of the green, from the ball, in metres; null where nobody says. */
    edgeM: z
      .number({ error: 'Enter the distance to the green as a number.' })
      .gt(0, 'The distance must be more than 0.')
      .nullable()
      .default(null),
    /** How a putt runs. */
    slope: z.enum(SLOPES).nullable().default(null),
    breaks: z.enum(BREAKS).nullable().default(null),
    /** Strokes to finish, for games against a par. */
    par: z
      .int({ error: 'Enter the par as a whole number.' })
      .min(1, 'A par is 1 to 6.')
      .max(6, 'A par is 1 to 6.')
      .nullable()
      .default(null),
    balls: ballsSchema,
  })
  .superRefine((station, ctx) => {
    const refuse = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (!surfacesOf(station.shotType).includes(station.surface))
      refuse('surface', `A ${say(station.shotType)} is played from ${listed(surfacesOf(station.shotType).map(say))}.`);
    if (station.distanceM > longestM(station.shotType))
      refuse(
        'distanceM',
        isPutt(station.shotType) ? 'A putt is at most 150 ft (45.7 m).' : 'A short-game shot is at most 100 yd (91.4 m).',
      );
    if (station.edgeM !== null && station.surface === 'green') refuse('edgeM', 'This ball is on the green.');
    if (station.edgeM !== null && station.edgeM >= station.distanceM) refuse('edgeM', 'The green begins before the hole.');
    if ((station.slope !== null || station.breaks !== null) && !isPutt(station.shotType))
      refuse('breaks', 'Slope and break are for putts only.');
    if (station.carryM !== null && isPutt(station.shotType)) refuse('carryM', 'A putt does not land.');
    if (station.carryM !== null && station.carryM > station.distanceM * 1.2)
      refuse('carryM', 'The landing zone is at most a fifth beyond the hole.');
  });
export type Station = z.infer<typeof stationSchema>;

/** A station of which nobody says where it is. */
export const NOWHERE_SAID = { hole: '', name: '', note: '' } as const satisfies Partial<Station>;
/** A station of which nobody says how the ground lies. */
export const NO_GROUND_SAID = { edgeM: null, slope: null, breaks: null } as const satisfies Partial<Station>;

/** All stations of a game: of the phase that counts, then those that a phase before it has of its own. */
export function allStations<S extends { key: string }>(game: {
  stations: readonly S[];
  leadIn: readonly { stations: readonly S[] | null }[];
}): S[] {
  return [...game.stations, ...game.leadIn.flatMap(({ stations }) => stations ?? [])];
}

/** "fringe", "fringe or bare", "fringe, fairway or bare". */
export function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;
}
