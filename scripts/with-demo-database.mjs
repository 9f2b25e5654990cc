import { join } from 'node:path';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { dataFolder, startCluster, writableFolder } from './lib/postgres.mjs';
import { takeLock } from './lib/lock.mjs';
import { run } from './lib/run.mjs';
import { main } from './lib/say.mjs';

/** Runs a TypeScript script against DATABASE_URL or, without one, the demo's own database, which must not be in use. */
await main(async () => {
  checkNode();
  await ensurePackages();
  const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');
  const script = (databaseUrl) => run(process.execPath, [tsx, ...process.argv.slice(2)], { cwd: root, env: { DATABASE_URL: databaseUrl } });
  if (process.env.DATABASE_URL) {
    process.exitCode = await script(process.env.DATABASE_URL);
    return;
  }
  const folder = writableFolder(dataFolder());
  const release = takeLock(folder);
  const cluster = await startCluster(await ensurePostgres(), folder);
  try {
    process.exitCode = await script(cluster.url);
  } finally {
    cluster.stop();
    release();
  }
});
