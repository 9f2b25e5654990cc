import * as z from 'zod';
import { filledLine, line } from '../stored';
import { MOST_PLAYERS } from './batch';
import { TABLE_KINDS } from './fields';
import { mappingSchema } from './mapping';

/** How the columns of a file are called. */
export const columnsSchema = z.array(line(200)).max(80);

/** What is said of a file before its rows come. */
export const importStartSchema = z.strictObject({
  importId: z.uuid({ error: 'This page is out of date. Load it again.' }),
  kind: z.enum(TABLE_KINDS),
  fileName: line(120),
  columns: columnsSchema,
  mapping: mappingSchema,
  /** Players whom nobody knows yet, with the ids that the rows say. */
  players: z
    .array(
      z.strictObject({
        playerId: z.uuid({ error: 'This page is out of date. Load it again.' }),
        name: filledLine(60, 'A player needs a name.'),
      }),
    )
    .max(MOST_PLAYERS),
});
