import { join } from 'node:path';
import { prepareDatabase } from './lib/app.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { startThrowawayCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { main } from './lib/say.mjs';

/** Runs a TypeScript script against an empty database of its own, which is gone afterwards. */
await main(async () => {
  checkNode();
  await ensurePackages();
  const cluster = await startThrowawayCluster(await ensurePostgres());
  const tidy = () => cluster.stop();
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  try {
    const databaseUrl = cluster.addDatabase('throwaway');
    await prepareDatabase(databaseUrl, { demo: false });
    const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');
    process.exitCode = await run(process.execPath, [tsx, ...process.argv.slice(2)], { cwd: root, env: { DATABASE_URL: databaseUrl } });
  } finally {
    tidy();
  }
});
