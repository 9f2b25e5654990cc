import { spawn } from 'node:child_process';
import { createReadStream, createWriteStream, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { timeOfDay } from './daily.mjs';
import { postgresBin } from './install.mjs';
import { dataFolder } from './postgres.mjs';
import { quietEnv } from './run.mjs';
import { Stop } from './say.mjs';
import { LEAST_PASSPHRASE, seal, Sealed, unseal } from './seal.mjs';

/*
 * Backups: all of a database as PostgreSQL's own programs write it (pg_dump, its custom format), at one moment, while it is in use; sealed with a
 * passphrase, read back, and kept in a folder under the moment at which it was made.
 */
const ENDING = '.backup';
/** So many are kept where BACKUP_KEEP says nothing. */
const KEEP = 14;

/** Where backups go, and how: as the settings say. */
export function backupSettings() {
  const passphrase = process.env.BACKUP_PASSPHRASE ?? '';
  if (passphrase.length < LEAST_PASSPHRASE)
    throw new Stop(
      `Set BACKUP_PASSPHRASE to a passphrase of ${LEAST_PASSPHRASE} characters or more, and keep it somewhere else: without it no backup can be read.`,
    );
  const keep = Number(process.env.BACKUP_KEEP || KEEP);
  if (!Number.isInteger(keep) || keep < 1) throw new Stop(`BACKUP_KEEP must be a whole number from 1, not "${process.env.BACKUP_KEEP}".`);
  return { passphrase, keep, folder: process.env.BACKUP_DIR || join(dataFolder(), 'backups') };
}

/** The time of day at which a backup is made, as minutes after midnight UTC; null: none is made by itself. */
export function backupTime() {
  const said = process.env.BACKUP_AT ?? '';
  if (said === '') return null;
  const minute = timeOfDay(said);
  if (minute === null) throw new Stop(`BACKUP_AT must be a time of day in UTC such as 03:00, not "${said}".`);
  return minute;
}

/** Connects PostgreSQL's programs without a password in the list of processes. */
function connection(databaseUrl) {
  const url = new URL(databaseUrl);
  const env = { PGPASSWORD: decodeURIComponent(url.password) };
  url.password = '';
  return { env, url: url.href };
}

/** One of PostgreSQL's programs, with what it said when it failed. */
function program(name, args, { env = {}, stdio }) {
  const bin = postgresBin();
  const child = spawn(bin ? join(bin, name) : name, args, { stdio, env: { ...quietEnv, ...env } });
  let said = '';
  child.stderr.on('data', (chunk) => (said = (said + chunk).slice(-2000)));
  const over = new Promise((resolve, reject) => {
    child.on('error', (error) =>
      reject(error.code === 'ENOENT' ? new Stop(`${name} isn’t installed: it is in Debian's package "postgresql-client".`) : error),
    );
    child.on('close', (code) => (code === 0 ? resolve() : reject(new Stop(`${name} failed: ${said.trim() || `it ended with ${code}`}`))));
  });
  return { child, over };
}

/**
 * Makes a backup, reads it back, and forgets the oldest beyond those that are kept.
 * @param now the moment it is named after
 * @returns its path and its size
 */
async function makeBackup(databaseUrl, { passphrase, keep, folder }, now) {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = `inch-${now.toISOString().slice(0, 19).replaceAll(':', '-')}Z${ENDING}`;
  const path = join(folder, name);
  const part = `${path}.part`;
  const { url, env } = connection(databaseUrl);
  try {
    const dump = program('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', `--dbname=${url}`], {
      env,
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    const file = createWriteStream(part, { mode: 0o600, flush: true });
    await Promise.all([dump.over, pipeline(dump.child.stdout, seal(passphrase, { madeAt: now.toISOString() }), file)]);
    await readBack(part, passphrase);
    renameSync(part, path);
  } catch (error) {
    rmSync(part, { force: true });
    throw error;
  }
  const old = backupsIn(folder).slice(keep);
  for (const one of old) rmSync(join(folder, one), { force: true });
  return { path, bytes: statSync(path).size };
}

/** Whether all of a backup can be opened, and PostgreSQL can read what is in it. */
async function readBack(path, passphrase) {
  const list = program('pg_restore', ['--list'], { stdio: ['pipe', 'ignore', 'pipe'] });
  // It reads the contents and goes; what is behind these is opened all the same.
  list.child.stdin.on('error', () => undefined);
  const both = new Writable({
    write(chunk, _, done) {
      if (list.child.stdin.writable) list.child.stdin.write(chunk);
      done();
    },
    final(done) {
      list.child.stdin.end();
      done();
    },
  });
  await Promise.all([list.over, pipeline(createReadStream(path), unseal(passphrase), both)]);
}

/** The backups of a folder, the newest first. */
export const backupsIn = (folder) =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((name) => name.endsWith(ENDING))
        .sort()
        .reverse()
    : [];

/**
 * Puts a backup into an empty database. It is opened as a whole first, so that a damaged one changes nothing.
 * @returns when it was made
 * @throws {Stop} with a sentence
 */
export async function restoreBackup(path, passphrase, databaseUrl) {
  if (!existsSync(path)) throw new Stop(`There is no file ${path}.`);
  const { url, env } = connection(databaseUrl);
  let madeAt = null;
  try {
    const nothing = new Writable({ write: (_chunk, _, done) => done() });
    await pipeline(
      createReadStream(path),
      unseal(passphrase, (head) => (madeAt = head.madeAt)),
      nothing,
    );
    const restore = program('pg_restore', ['--exit-on-error', '--single-transaction', '--no-owner', '--no-privileges', `--dbname=${url}`], {
      env,
      stdio: ['pipe', 'ignore', 'pipe'],
    });
    const sent = pipeline(createReadStream(path), unseal(passphrase), restore.child.stdin);
    // What PostgreSQL says tells more than that it listens no longer.
    await restore.over.catch(async (error) => (await sent.catch(() => undefined), Promise.reject(error)));
    await sent;
  } catch (error) {
    throw error instanceof Sealed ? new Stop(error.message) : error;
  }
  return madeAt;
}

/** Makes a backup, and keeps in the database that it was made, or why not. @returns its path and its size */
export async function backUp(databaseUrl, settings, now) {
  try {
    const made = await makeBackup(databaseUrl, settings, now);
    await note(databaseUrl, now, made.bytes, null);
    return made;
  } catch (error) {
    await note(databaseUrl, now, null, error.message.slice(0, 500)).catch(() => undefined);
    throw error;
  }
}

/** Asks a database by a connection that is closed again. */
export const withClient = async (databaseUrl, ask) => {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    return await ask(client);
  } finally {
    await client.end();
  }
};

const note = (databaseUrl, now, bytes, failure) =>
  withClient(databaseUrl, (client) =>
    client.query('insert into backup (begun_at, ended_at, bytes, failure) values ($1, now(), $2, $3)', [now, bytes, failure]),
  );

/** Makes sure that nothing is in a database. @param replace whether what is in it may go @throws {Stop} where it may not */
export function emptyDatabase(databaseUrl, replace) {
  return withClient(databaseUrl, async (client) => {
    const { rows } = await client.query(
      `select count(*)::int as tables from information_schema.tables where table_schema in ('public', 'drizzle')`,
    );
    if (rows[0].tables === 0) return;
    if (!replace)
      throw new Stop('There is something in this database already. Restore into an empty one, or say --replace to lose what is in it.');
    await client.query('drop schema public cascade; drop schema if exists drizzle cascade; create schema public');
  });
}
