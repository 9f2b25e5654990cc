import * as z from 'zod';
import { runSchema } from '../hour/run-schema';
import { storedRuns } from '../hour/stored-hours';

/** How an hour is done, as a device tells it: of which academy, and the run as it is now. */
export const hourRunSchema = z.object({ academy: z.string().min(1).max(200), run: z.preprocess(storedRuns.read, runSchema) });
