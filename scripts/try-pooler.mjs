import { onBed } from './lib/bed.mjs';
import { main, say, Stop } from './lib/say.mjs';

/**
 * Tries the program on two instances that reach their database through a pooler in transaction mode (Debian's pgbouncer); only what listens has a connection
 * of its own.
 */
await main(() =>
  onBed({ instances: 2, throwaway: true, pooler: true }, async ({ start, does }) => {
    await start(0);
    await start(1);
    say('Two instances behind a pooler in transaction mode:');
    if ((await does('scripts/trial.ts', 'pages', 'live', 'rights', 'reading', 'kept', 'record')) !== 0)
      throw new Stop('It does not hold, see above.');
  }),
);
