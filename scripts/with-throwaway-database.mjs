import { prepareDatabase } from './lib/app.mjs';
import { buildFile } from './lib/build.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { startThrowawayCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { main } from './lib/say.mjs';

/**
 * Runs a TypeScript script against an empty database of its own, which is gone afterwards. The script is bundled first, as what is served is: what it
 * measures is not what a loader of TypeScript takes.
 */
await main(async () => {
  checkNode();
  await ensurePackages();
  const cluster = await startThrowawayCluster(await ensurePostgres());
  const tidy = () => cluster.stop();
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  try {
    const databaseUrl = cluster.addDatabase('throwaway');
    await prepareDatabase(databaseUrl, { demo: false });
    const [script, ...args] = process.argv.slice(2);
    process.exitCode = await run(process.execPath, [await buildFile(script, { packages: 'external' }), ...args], {
      cwd: root,
      env: { DATABASE_URL: databaseUrl },
    });
  } finally {
    tidy();
  }
});
