import { randomBytes } from 'node:crypto';
import { chmodSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApp } from './app.mjs';
import { startBalancer } from './balancer.mjs';
import { ensureBuild } from './build.mjs';
import { checkNode, ensurePackages, ensurePgbouncer, ensurePostgres, root } from './install.mjs';
import { startPooler } from './pooler.mjs';
import { freePort, startCluster, writableFolder } from './postgres.mjs';
import { run } from './run.mjs';

/**
 * A bed for benches and trials of the running program: a database of its own with the demo in it, and instances of the program. It is gone afterwards,
 * unless BENCH_KEEP names a folder for it: what was filled there is used again.
 * @param instances so many, on ports of their own, with one secret and one data folder
 * @param throwaway the database trades safety against power cuts for speed; else it keeps what it is told, as a real one does
 * @param pooler a pooler in transaction mode stands between; only what listens has a connection of its own
 * @param replica what only reads may be read from a streaming replica
 * @param proxies one in front of the other, which share what comes out over the instances
 * @param quiet what the instances print is not shown, nor what they log
 * @param work gets what there is: how to start, end and restart an instance, and how to run a script against it, whose exit code it gives
 */
export async function onBed({ instances = 1, throwaway = false, pooler = false, replica = false, proxies = 0, quiet = false }, work) {
  checkNode();
  await ensurePackages();
  await ensureBuild();
  const bin = await ensurePostgres();
  if (pooler) await ensurePgbouncer();
  const kept = process.env.BENCH_KEEP;
  const folder = kept ? writableFolder(kept) : mkdtempSync(join(tmpdir(), 'inch-bed-'));
  chmodSync(folder, 0o755);
  const undo = [];
  const tidy = () => {
    while (undo.length > 0) undo.pop()();
    if (!kept) rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  try {
    const cluster = await startCluster(bin, folder, throwaway && !kept);
    undo.push(cluster.stop);
    await prepareDatabase(cluster.url, { demo: true });
    const standby = replica ? await cluster.addReplica(folder) : null;
    if (standby) undo.push(standby.stop);
    const pool = pooler ? await startPooler(folder, cluster.url) : null;
    if (pool) undo.push(pool.stop);

    const ports = [];
    while (ports.length < instances) ports.push(await freePort());
    const urls = ports.map((port) => `http://127.0.0.1:${port}`);
    let url = urls[0];
    for (let n = 0; n < proxies; n++) {
      const proxy = await startBalancer(n === 0 ? urls : [url]);
      undo.push(proxy.stop);
      url = proxy.url;
    }
    const dataFolder = join(folder, 'data');
    mkdirSync(dataFolder, { recursive: true });
    const options = {
      ...{ host: '127.0.0.1', publicUrl: url, secret: randomBytes(32).toString('hex'), dataFolder },
      ...(quiet ? { logLevel: 'silent', stdio: ['ignore', 'ignore', 'inherit'] } : { logLevel: 'error' }),
      ...{ databaseUrl: pool?.url ?? cluster.url, listenUrl: cluster.url, replicaUrl: standby?.url ?? '' },
      ...(proxies > 0 ? { trustProxy: '127.0.0.1' } : {}),
    };
    const apps = [];
    undo.push(() => apps.forEach((app) => app?.kill('SIGKILL')));
    const start = async (i = 0) => {
      apps[i] ??= await startApp('start', { ...options, port: ports[i] });
    };
    const end = async (i = 0, signal = 'SIGTERM') => {
      const ended = new Promise((over) => apps[i].once('exit', over));
      apps[i].kill(signal);
      await ended;
      apps[i] = undefined;
    };
    const restart = async (i = 0) => {
      if (apps[i]) await end(i);
      await start(i);
    };
    const does = (script, ...args) =>
      run(process.execPath, [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, script), ...args], {
        cwd: root,
        env: { DATABASE_URL: cluster.url, REPLICA_URL: standby?.url ?? '', BENCH_URL: url, BENCH_URLS: urls.join(',') },
      });
    await work({ cluster, replica: standby, pooler: pool, url, urls, start, end, restart, does });
  } finally {
    tidy();
  }
}
