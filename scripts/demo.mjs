import { prepareDatabase, startApp } from './lib/app.mjs';
import { buildWorkers, ensureBuild, forgetBuild } from './lib/build.mjs';
import { checkNode, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { takeLock } from './lib/lock.mjs';
import { dataFolder, keptSecret, portIsFree, startCluster, writableFolder } from './lib/postgres.mjs';
import { buildPlay } from './lib/play.mjs';
import { main, say, Stop } from './lib/say.mjs';

const mode = process.argv.includes('--dev') ? 'dev' : 'start';

await main(async () => {
  checkNode();
  const { port, host } = await chosenPort();
  const publicUrl = chosenUrl(port);
  const folder = writableFolder(dataFolder());
  const undo = [takeLock(folder)];
  const tidy = () => {
    while (undo.length > 0) undo.pop()();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => (tidy(), process.exit(0)));
  try {
    await ensurePackages();
    let databaseUrl = process.env.DATABASE_URL;
    if (!databaseUrl) {
      const cluster = await startCluster(await ensurePostgres(), folder);
      undo.push(cluster.stop);
      databaseUrl = cluster.url;
    }
    await prepareDatabase(databaseUrl, { demo: true });
    if (mode === 'start') await ensureBuild();
    else {
      forgetBuild();
      await buildPlay({ watch: true });
      await buildWorkers();
    }
    const app = await startApp(mode, { port, host, databaseUrl, publicUrl, secret: keptSecret(folder, 'auth-secret'), logLevel: 'warn' });
    undo.push(() => app.kill('SIGTERM'));
    say(`\nInch Game is at ${publicUrl}`);
    say('Demo coach: ines@lantern-hollow.example, password: seven-paces-out');
    say('Ctrl-C ends it.');
    await new Promise((resolve) => app.on('exit', resolve));
  } finally {
    tidy();
  }
});

async function chosenPort() {
  const port = Number(process.env.PORT ?? 3000);
  const host = process.env.HOST ?? '127.0.0.1';
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT must be a number from 1 to 65535, not "${process.env.PORT}".`);
  if (!(await portIsFree(port, host))) throw new Stop(`Port ${port} of ${host} is taken: stop what runs there, or set PORT to another.`);
  return { port, host };
}

function chosenUrl(port) {
  const url = process.env.PUBLIC_URL ?? `http://127.0.0.1:${port}`;
  if (!URL.canParse(url)) throw new Stop(`PUBLIC_URL must be an address such as https://golf.example, not "${url}".`);
  return new URL(url).origin;
}
