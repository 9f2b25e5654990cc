import * as z from 'zod';
import { day, filledLine, line, lines } from '../stored';

/** A result without balls, as somebody types it: of a game of ours, or of any test elsewhere. */
export const resultSchema = z.strictObject({
  playerId: z.uuid('Choose a player.'),
  /** The day it was played, in the academy. */
  day: z.string().min(1, 'When was it?').pipe(day),
  title: filledLine(80, 'What was played?'),
  score: z.number({ error: 'Enter a number.' }).min(-1e6, 'That score is too low.').max(1e6, 'That score is too high.'),
  unit: line(20),
  note: lines(500),
});
export type ResultForm = z.infer<typeof resultSchema>;
