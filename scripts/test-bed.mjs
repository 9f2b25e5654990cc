import { createInterface } from 'node:readline';
import { onBed } from './lib/bed.mjs';
import { main } from './lib/say.mjs';

/**
 * A database and instances of the program for a test that breaks them. It says `ready` with the addresses as JSON, then
 * does what each line on its standard input names and answers with the same word; it ends with its input.
 */
await main(() =>
  onBed({ instances: 2, throwaway: true, quiet: true }, async ({ cluster, urls, start, end }) => {
    await start(0);
    await start(1);
    const does = {
      'stop database': () => cluster.stop(),
      'start database': () => cluster.start(),
      'kill program': () => end(0, 'SIGKILL'),
      'start program': () => start(0),
    };
    console.log(`ready ${JSON.stringify({ urls, databaseUrl: cluster.url })}`);
    for await (const line of createInterface({ input: process.stdin })) {
      await does[line]?.();
      console.log(line);
    }
  }),
);
