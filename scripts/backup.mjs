import { backUp, backupSettings } from './lib/backup.mjs';
import { checkNode, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { dataFolder, runningCluster, startCluster, writableFolder } from './lib/postgres.mjs';
import { takeLock } from './lib/lock.mjs';
import { main, say } from './lib/say.mjs';

/** Makes a backup now: of DATABASE_URL (or MIGRATE_URL), else of the private database, whether the program runs or not. */
await main(async () => {
  checkNode();
  await ensurePackages();
  const bin = await ensurePostgres();
  const folder = writableFolder(dataFolder());
  const settings = backupSettings(folder);
  const given = process.env.MIGRATE_URL ?? process.env.DATABASE_URL;
  const running = given ?? runningCluster(folder);
  if (running) return tell(await backUp(running, settings, new Date()));
  const release = takeLock(folder);
  const cluster = await startCluster(bin, folder);
  try {
    tell(await backUp(cluster.url, settings, new Date()));
  } finally {
    cluster.stop();
    release();
  }
});

function tell({ path, bytes }) {
  say(`${path}, ${(bytes / 1e6).toFixed(1)} MB, read back. Keep a copy on another machine, and the passphrase somewhere else.`);
}
