import * as z from 'zod';
import { ballsSchema, MOST_STATIONS, stationSchema } from './station';

/** How much of an open game is planned: its stations are called while it is played. */
export const callsSchema = z.strictObject({
  /** So many stations are called; null: as many as one likes. */
  stations: z
    .int({ error: 'Enter a whole number.' })
    .min(1, 'At least one station.')
    .max(MOST_STATIONS, `At most ${MOST_STATIONS} stations.`)
    .nullable()
    .default(null),
  /** So many balls at each; null: as many as one likes. */
  balls: ballsSchema.nullable().default(null),
  /**
   * The stations that are proposed one after another, and about how many more balls it takes from there until the three weakest shots are told
   * from the rest; null: more than anybody hits. Where they are missing nothing is proposed.
   */
  next: z
    .array(z.strictObject({ station: stationSchema, more: z.int().min(0).nullable() }))
    .max(MOST_STATIONS)
    .optional(),
});
export type Calls = z.infer<typeof callsSchema>;

export const NOTHING_PLANNED: Calls = { stations: null, balls: null };

/** One of the stations that are proposed. */
export type ProposedStation = NonNullable<Calls['next']>[number];

/** How many balls an open game has in all; null where that is left open, and it ends when somebody ends it. */
export function ballsPlanned({ stations, balls }: Calls): number | null {
  return stations === null || balls === null ? null : stations * balls;
}
