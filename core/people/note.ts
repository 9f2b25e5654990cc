import * as z from 'zod';
import { lines } from '../stored';

/** What a coach writes about a player, for coaches. */
export const playerNoteSchema = z.strictObject({ text: lines(1000).min(1, 'Write something first.') });
export type PlayerNote = z.infer<typeof playerNoteSchema>;
