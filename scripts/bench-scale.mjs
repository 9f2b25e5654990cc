import { onBed } from './lib/bed.mjs';
import { main, Stop } from './lib/say.mjs';

/** The program is started before, or started anew. */
const PARTS = { fill: null, pages: 'start', summing: 'restart', record: 'restart', started: 'restart' };

/**
 * Fills a database of its own with a small and a large academy, starts the program on it, and runs `bench-scale.ts` against it: once warm, once just
 * started. With names of parts it does these alone, in this order.
 */
await main(() =>
  onBed({}, async (bed) => {
    const asked = process.argv.slice(2);
    for (const part of asked.length > 0 ? asked : Object.keys(PARTS)) {
      if (!(part in PARTS)) throw new Stop(`There is no part “${part}”, only ${Object.keys(PARTS).join(', ')}.`);
      if (PARTS[part]) await bed[PARTS[part]]();
      if ((await bed.does('scripts/bench-scale.ts', part)) !== 0) throw new Stop(`The part “${part}” failed, see above.`);
    }
  }),
);
