import { onBed } from './lib/bed.mjs';
import { main, say, Stop } from './lib/say.mjs';

/**
 * Tries the program on two instances behind a chain of two proxies that send each request to the next one: sign-in, pages, limits, live boards, rights that
 * end, what is kept; then recording, while one instance is ended and started again.
 */
await main(() =>
  onBed({ instances: 2, throwaway: true, proxies: 2 }, async ({ start, restart, does }) => {
    const check = async (...names) => {
      if ((await does('scripts/trial.ts', ...names)) !== 0) throw new Stop('It does not hold, see above.');
    };
    await start(0);
    await start(1);
    say('Two instances, no sticky sessions:');
    await check('pages', 'limits', 'live', 'rights', 'reading', 'kept');
    say('While one instance is ended and started again, twice:');
    const recorded = check('record');
    for (const i of [0, 1]) {
      await new Promise((later) => setTimeout(later, 8_000));
      await restart(i);
    }
    await recorded;
  }),
);
