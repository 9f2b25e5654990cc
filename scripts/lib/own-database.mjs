import { checkNode, ensurePackages, ensurePostgres } from './install.mjs';
import { takeLock } from './lock.mjs';
import { dataFolder, runningCluster, startCluster, writableFolder } from './postgres.mjs';

/**
 * Does something with the database of the settings: MIGRATE_URL or DATABASE_URL, else the private one, which is started for it.
 * @param whileItRuns whether it can be done to the private one while the program runs; else that is refused
 */
export async function withOwnDatabase(run, { whileItRuns = false } = {}) {
  checkNode();
  await ensurePackages();
  const given = process.env.MIGRATE_URL || process.env.DATABASE_URL;
  if (given) return run(given);
  const bin = await ensurePostgres();
  const folder = writableFolder(dataFolder());
  const running = whileItRuns ? runningCluster(folder) : null;
  if (running) return run(running);
  const release = takeLock(folder);
  const cluster = await startCluster(bin, folder);
  try {
    return await run(cluster.url);
  } finally {
    cluster.stop();
    release();
  }
}
