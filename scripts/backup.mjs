import { backUp, backupSettings } from './lib/backup.mjs';
import { withOwnDatabase } from './lib/own-database.mjs';
import { main, say } from './lib/say.mjs';

/** Makes a backup now: of MIGRATE_URL or DATABASE_URL, else of the private database, whether the program runs or not. */
await main(() =>
  withOwnDatabase(
    async (databaseUrl) => {
      const { path, bytes } = await backUp(databaseUrl, backupSettings(), new Date());
      say(`${path}, ${(bytes / 1e6).toFixed(1)} MB, read back. Keep a copy on another machine, and the passphrase somewhere else.`);
    },
    { whileItRuns: true },
  ),
);
