import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { keepApp, prepareDatabase } from './lib/app.mjs';
import { backUp, backupSettings, backupTime } from './lib/backup.mjs';
import { ensureBuild } from './lib/build.mjs';
import { eachDay } from './lib/daily.mjs';
import { checkNode, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { takeLock } from './lib/lock.mjs';
import { dataFolder, keptSecret, startCluster, writableFolder } from './lib/postgres.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { chosenPort, chosenSecret, chosenUrl, undoing } from './lib/settings.mjs';

/**
 * The program for real: no demo data, no published password, and a role that may read and write rows and nothing else. With DATABASE_URL it
 * works on that database, as the role that is named there; MIGRATE_URL may name another that may change the schema.
 */
const ROLE = 'inch_app';

await main(async () => {
  checkNode();
  const { port, host } = await chosenPort();
  if (!process.env.PUBLIC_URL)
    throw new Stop('Set PUBLIC_URL to the address under which browsers reach the program, such as https://golf.example.');
  const publicUrl = chosenUrl();
  const folder = writableFolder(dataFolder());
  const minute = backupTime();
  const backups = minute === null ? null : backupSettings();
  const { undo, tidy } = undoing();
  undo.push(takeLock(folder));
  try {
    await ensurePackages();
    await ensureBuild();
    const { databaseUrl, ownUrl } = await database(folder, undo);
    const make = async () => say(`Backup: ${(await backUp(ownUrl, backups, new Date())).path}`);
    if (minute !== null) undo.push(eachDay(minute, make, (error) => say(`The backup failed: ${error.message}`)));
    const secret = chosenSecret() ?? keptSecret(folder, 'auth-secret');
    const output = await logFile(folder);
    const options = { port, host, databaseUrl, publicUrl, secret, dataFolder: folder, stdio: ['ignore', 'pipe', 'pipe'] };
    const app = await keepApp('start', options, (child) => {
      child.stdout.pipe(output, { end: false });
      child.stderr.pipe(output, { end: false });
    });
    undo.push(app.stop);
    say(`Inch Game is at ${publicUrl} (listening on ${host}:${port}). Its log is in ${join(folder, 'log')}.`);
    await app.over;
  } finally {
    await tidy();
  }
});

/** A database that is up to date, as the program reaches it, and as whoever may read all of it does. */
async function database(folder, undo) {
  const given = process.env.DATABASE_URL;
  if (given) {
    await prepareDatabase(process.env.MIGRATE_URL ?? given, process.env.MIGRATE_URL ? { role: new URL(given).username } : {});
    return { databaseUrl: given, ownUrl: process.env.MIGRATE_URL ?? given };
  }
  const cluster = await startCluster(await ensurePostgres(), folder);
  undo.push(cluster.stop);
  const databaseUrl = cluster.addRole(ROLE, keptSecret(folder, 'pg-app-password'));
  await prepareDatabase(cluster.url, { role: ROLE });
  return { databaseUrl, ownUrl: cluster.url };
}

/** Where the log goes: files of ten megabytes, the newest seven. */
async function logFile(folder) {
  const { createStream } = await import('rotating-file-stream');
  const path = join(folder, 'log');
  mkdirSync(path, { recursive: true, mode: 0o700 });
  return createStream('inch.log', { path, size: '10M', maxFiles: 7, mode: 0o600 });
}
