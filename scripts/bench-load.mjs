import { onBed } from './lib/bed.mjs';
import { main } from './lib/say.mjs';

/** Starts the program on a database of its own, and runs `bench-load.ts` against it. */
await main(() =>
  onBed({}, async ({ start, does }) => {
    await start();
    process.exitCode = await does('scripts/bench-load.ts', ...process.argv.slice(2));
  }),
);
