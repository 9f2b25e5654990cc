import * as z from 'zod';
import { documentKind, type Step } from '../document';
import { FIRMNESSES } from '../golf/words';
import type { Shot } from './shot';
import { key, line, lines, openObject, whole } from '../stored';

/** How the ball is put down. */
export const PUT_DOWN = ['drop', 'place'] as const;

/** The day, as far as somebody said it: all of it may be left out. */
export const conditionsSchema = openObject({
  version: whole(1).optional(),
  /** The reading of the speed of the green, in feet. */
  stimpFt: z
    .number({ error: 'Enter the speed in feet.' })
    .min(3, 'A green speed is 3 to 16 ft.')
    .max(16, 'A green speed is 3 to 16 ft.')
    .optional(),
  firmness: z.enum(FIRMNESSES).optional(),
  wind: line(40).optional(),
  wet: z.boolean().optional(),
  ball: z.enum(PUT_DOWN).optional(),
  note: lines(200).optional(),
});
export type Conditions = z.infer<typeof conditionsSchema>;

/** How the shape of conditions changed, step by step. */
const STEPS: readonly Step[] = [];
/** Conditions that were stored. */
export const storedConditions = documentKind<Conditions>(STEPS);
/** Conditions as they come in, from whichever version of the program. */
export const sentConditionsSchema = z.preprocess(storedConditions.read, conditionsSchema);

/** How a distance of a station came about. */
export const DISTANCE_SOURCES = ['tape', 'laser', 'pace', 'eye'] as const;

/** How far a station really was, and how that is known: a correction touches the session, never the game. */
export const stationDistanceSchema = openObject({
  key,
  distanceM: z.number({ error: 'Enter the distance.' }).gt(0, 'Enter a distance above 0.').max(150, 'At most 150 m.'),
  source: z.enum(DISTANCE_SOURCES),
});
export type StationDistance = z.infer<typeof stationDistanceSchema>;

/** What holds for all balls of a session, beside what each says itself. */
export type SessionFacts = { stations: StationDistance[]; conditions: Conditions };

/** A ball with what its session says: the distance of its station as it was corrected, and the day where the ball says nothing. */
export function withSession<T extends Pick<Shot, 'stationKey' | 'distanceM' | 'stimpFt' | 'firmness' | 'wind'>>(
  shot: T,
  { stations, conditions }: SessionFacts,
): T {
  const corrected = stations.find((station) => station.key === shot.stationKey);
  return {
    ...shot,
    distanceM: corrected?.distanceM ?? shot.distanceM,
    stimpFt: shot.stimpFt ?? conditions.stimpFt ?? null,
    firmness: shot.firmness ?? conditions.firmness ?? null,
    wind: shot.wind ?? (conditions.wind || null),
  };
}

/** "speed 9 ft, firm, wet, wind light from the left": what is known of the day; empty where nothing is. */
export function sayConditions({ stimpFt, firmness, wet, wind, ball, note }: Conditions): string {
  return [
    stimpFt !== undefined && `speed ${stimpFt} ft`,
    firmness,
    wet === undefined ? '' : wet ? 'wet' : 'dry',
    wind && `wind ${wind}`,
    ball && `balls ${ball === 'drop' ? 'dropped' : 'placed'}`,
    note,
  ]
    .filter(Boolean)
    .join(', ');
}
