import { onBenchBed } from './lib/bench-bed.mjs';
import { main, Stop } from './lib/say.mjs';

/** Fills a database of its own with a small and a large academy, starts the program on it, and runs `bench-scale.ts` against it: once warm, once just started. */
await main(() =>
  onBenchBed(async ({ start, restart, does }) => {
    const part = async (name) => {
      if ((await does('scripts/bench-scale.ts', name)) !== 0) throw new Stop(`The part “${name}” failed, see above.`);
    };
    await part('fill');
    await start();
    await part('pages');
    await restart();
    await part('started');
  }),
);
