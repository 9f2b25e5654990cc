import { join } from 'node:path';
import { prepareDatabase } from './lib/app.mjs';
import { backupSettings, backupsIn, emptyDatabase, restoreBackup } from './lib/backup.mjs';
import { root } from './lib/install.mjs';
import { withOwnDatabase } from './lib/own-database.mjs';
import { run } from './lib/run.mjs';
import { main, say, Stop } from './lib/say.mjs';

/**
 * Puts a backup into an empty database: DATABASE_URL (or MIGRATE_URL), else the private one, which must not be in use. With --replace what is in the
 * database goes first. Then it is brought up to date, and who was erased since is erased again.
 */
await main(() => {
  const settings = backupSettings();
  const args = process.argv.slice(2);
  const path = args.find((one) => !one.startsWith('--'));
  if (!path) {
    const [newest] = backupsIn(settings.folder);
    const which = newest ? `The newest is ${join(settings.folder, newest)}.` : `There is none in ${settings.folder}.`;
    throw new Stop(`Say which backup: npm run restore -- PATH. ${which}`);
  }
  return withOwnDatabase((databaseUrl) => restore(databaseUrl, path, settings, args.includes('--replace')));
});

async function restore(databaseUrl, path, { passphrase, folder }, replace) {
  await emptyDatabase(databaseUrl, replace);
  const madeAt = await restoreBackup(path, passphrase, databaseUrl);
  await prepareDatabase(databaseUrl, { demo: false });
  const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');
  const erasures = join(folder, 'erasures.jsonl');
  const replayed = await run(process.execPath, [tsx, join(root, 'scripts/erase-again.ts'), erasures], {
    cwd: root,
    env: { DATABASE_URL: databaseUrl },
  });
  if (replayed !== 0) throw new Stop('Who was erased since could not be erased again, see above. Don’t use this database.');
  say(`Restored as it was on ${madeAt}.`);
}
