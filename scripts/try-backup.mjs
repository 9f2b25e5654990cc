import { appendFileSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { execFile } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase } from './lib/app.mjs';
import { withClient } from './lib/backup.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { startThrowawayCluster } from './lib/postgres.mjs';
import { quietEnv } from './lib/run.mjs';
import { main, say, Stop } from './lib/say.mjs';

/**
 * Tries backup and restore from end to end: the demo academy in one cluster is backed up while somebody writes to it, a player is erased, and the backup
 * is restored into another cluster. Then every table and every board of the two is the same, with the player erased in both. A backup that was
 * damaged, a wrong passphrase and a database that is not empty are refused.
 */
const PASSPHRASE = 'seven paces out, twice';
/** What the tries themselves write to, and what is kept of them. */
const LEFT_OUT = ['auth_verification', 'backup'];
const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');

await main(async () => {
  checkNode();
  await ensurePackages();
  const bin = await ensurePostgres();
  const folder = mkdtempSync(join(tmpdir(), 'inch-backup-'));
  const clusters = [];
  const tidy = () => {
    for (const cluster of clusters) cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  // Not one after another: what is written meanwhile has to be written meanwhile.
  const node = (script, args, databaseUrl, env = {}) =>
    new Promise((resolve) => {
      const all = [...(script.endsWith('.ts') ? [tsx] : []), join(root, 'scripts', script), ...args];
      const own = { DATABASE_URL: databaseUrl, MIGRATE_URL: databaseUrl, INCH_DATA: folder, BACKUP_DIR: '', BACKUP_PASSPHRASE: PASSPHRASE };
      execFile(process.execPath, all, { cwd: root, env: { ...quietEnv, ...own, ...env } }, (error, out, err) =>
        resolve({ ok: !error, out, err }),
      );
    });
  const must = (done) => {
    if (!done.ok) throw new Stop(`It failed: ${done.err.trim() || done.out.trim()}`);
    return done.out;
  };
  const refused = (what, done, sentence) => {
    if (done.ok || !done.err.includes(sentence)) throw new Stop(`${what} was not refused: ${done.out}${done.err}`);
    say(`${what}: refused, "${done.err.trim()}"`);
  };
  try {
    const begun = async (name) => {
      const cluster = await startThrowawayCluster(bin);
      clusters.push(cluster);
      return cluster.addDatabase(name);
    };
    const first = await begun('first');
    await prepareDatabase(first, { demo: true });

    const writing = await keepWriting(first);
    const path = must(await node('backup.mjs', [], first)).split(', ')[0];
    const wrote = await writing.stop();
    say(`Backed up while ${wrote} pairs of rows were written.`);

    const { academyId, playerId, name } = await somebody(first);
    writeFileSync(join(folder, 'backups', 'erasures.jsonl'), '');
    appendFileSync(join(folder, 'backups', 'erasures.jsonl'), `${JSON.stringify({ academyId, playerId, at: new Date().toISOString() })}\n`);
    must(await node('erase-again.ts', [join(folder, 'backups', 'erasures.jsonl')], first));

    const second = await begun('second');
    const damaged = join(folder, 'damaged.backup');
    const bytes = readFileSync(path);
    bytes[Math.floor(bytes.length / 2)] ^= 1;
    writeFileSync(damaged, bytes);
    refused('A damaged backup', await node('restore.mjs', [damaged], second), 'damaged or cut off');
    refused(
      'A wrong passphrase',
      await node('restore.mjs', [path], second, { BACKUP_PASSPHRASE: 'eight paces out, once' }),
      'passphrase is wrong',
    );
    refused('A database that is in use', await node('restore.mjs', [path], first), 'There is something in this database already');
    must(await node('restore.mjs', [path], second));

    const fingerprint = async (url) => JSON.parse(must(await node('fingerprint.ts', LEFT_OUT, url)));
    const [one, other] = [await fingerprint(first), await fingerprint(second)];
    const differs = [...new Set([...Object.keys(one), ...Object.keys(other)])].filter((what) => one[what] !== other[what]);
    if (differs.length > 0) throw new Stop(`These differ: ${differs.map((what) => `${what}: ${one[what]} / ${other[what]}`).join('; ')}`);
    if (`board of ${name}` in other) throw new Stop(`${name} is there again.`);
    const halves = await halfPairs(second);
    if (halves !== 0) throw new Stop(`${halves} pairs came out by half.`);
    const boards = Object.keys(one).filter((what) => what.startsWith('board of')).length;
    say(
      `Equal after restoring: ${Object.keys(one).length - boards} tables and ${boards} boards; ${name} is erased in both; no pair by half.`,
    );
    // It is a database like any other: what is newer goes into it, and it can be lost on purpose.
    must(await node('restore.mjs', [path, '--replace'], second));
    say('Restored again over itself with --replace.');
  } finally {
    tidy();
  }
});

/** Writes pairs of rows, one after the other in one transaction, until it is told to stop. */
async function keepWriting(databaseUrl) {
  let [going, pairs] = [true, 0];
  const half = `insert into auth_verification (id, identifier, value, expires_at) values (gen_random_uuid()::text, 'pair `;
  const over = withClient(databaseUrl, async (client) => {
    for (; going; pairs++) {
      await client.query('begin');
      await client.query(`${half}${pairs}', 'x', now())`);
      await client.query(`${half}${pairs}', 'x', now())`);
      await client.query('commit');
    }
  });
  return { stop: async () => ((going = false), await over, pairs) };
}

async function ask(databaseUrl, sql) {
  return withClient(databaseUrl, async (client) => (await client.query(sql)).rows);
}

/** A player of the demo who plays with others too. */
async function somebody(databaseUrl) {
  const [row] = await ask(
    databaseUrl,
    `select p.academy_id as "academyId", p.player_id as "playerId", p.name from player p join session_player s using (academy_id, player_id)
     group by 1, 2, 3 order by count(*) desc, p.name limit 1`,
  );
  return row;
}

async function halfPairs(databaseUrl) {
  const pairs = `select identifier from auth_verification where identifier like 'pair %' group by 1 having count(*) <> 2`;
  return (await ask(databaseUrl, pairs)).length;
}
