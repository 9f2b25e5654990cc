import { randomBytes } from 'node:crypto';
import { createInterface } from 'node:readline';
import { prepareDatabase, startApp } from './lib/app.mjs';
import { ensurePostgres } from './lib/install.mjs';
import { freePort, startThrowawayCluster } from './lib/postgres.mjs';
import { main } from './lib/say.mjs';

/**
 * A database and instances of the program for a test that breaks them. It says `ready` with the addresses as JSON, then
 * does what each line on its standard input names and answers with the same word; it ends with its input.
 */
const INSTANCES = 2;

await main(async () => {
  const cluster = await startThrowawayCluster(await ensurePostgres());
  const apps = [];
  const tidy = () => {
    for (const app of apps) app?.kill('SIGKILL');
    cluster.stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  try {
    const databaseUrl = cluster.addDatabase('bed');
    await prepareDatabase(databaseUrl, { demo: true });
    const secret = randomBytes(32).toString('hex');
    const ports = [];
    while (ports.length < INSTANCES) ports.push(await freePort());
    const urls = ports.map((port) => `http://127.0.0.1:${port}`);
    const stdio = ['ignore', 'ignore', 'inherit'];
    const begin = async (i) => {
      const options = { port: ports[i], host: '127.0.0.1', databaseUrl, publicUrl: urls[0], secret, logLevel: 'silent', stdio };
      apps[i] = await startApp('start', options);
    };
    for (let i = 0; i < INSTANCES; i++) await begin(i);

    const does = {
      'stop database': () => cluster.pause(),
      'start database': () => cluster.start(),
      'kill program': () => new Promise((resolve) => apps[0].once('exit', resolve) && apps[0].kill('SIGKILL')),
      'start program': () => begin(0),
    };
    console.log(`ready ${JSON.stringify({ urls, databaseUrl })}`);
    for await (const line of createInterface({ input: process.stdin })) {
      await does[line]?.();
      console.log(line);
    }
  } finally {
    tidy();
  }
});
