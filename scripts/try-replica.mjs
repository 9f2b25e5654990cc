import { onBed } from './lib/bed.mjs';
import { main, say, Stop } from './lib/say.mjs';

/**
 * Tries the program on two instances with a streaming replica that is read from: whoever just recorded reads it, also while the replica stands still, is gone,
 * and is back.
 */
await main(() =>
  onBed({ instances: 2, replica: true }, async ({ start, replica, does }) => {
    const check = async (...names) => {
      if ((await does('scripts/trial.ts', ...names)) !== 0) throw new Stop('It does not hold, see above.');
    };
    await start(0);
    await start(1);
    say('Two instances and a replica:');
    await check('pages', 'replica', 'kept', 'record');
    say('While the replica takes nothing in:');
    await check('still');
    say('While it is gone:');
    replica.stop();
    await check('pages', 'reading');
    say('When it is back:');
    replica.start();
    await new Promise((later) => setTimeout(later, 6_000));
    await check('replica');
  }),
);
