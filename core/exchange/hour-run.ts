import * as z from 'zod';
import { sentRunSchema } from '../hour/run-schema';

/** How an hour is done, as a device tells it: of which academy, and the run as it is now. */
export const hourRunSchema = z.object({ academy: z.string().min(1).max(200), run: sentRunSchema });
