import { randomBytes } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApp } from './app.mjs';
import { ensureBuild } from './build.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './install.mjs';
import { freePort, startCluster } from './postgres.mjs';
import { run } from './run.mjs';

/**
 * A bed for benches of the running program: a database of its own that keeps what it is told, as a real one does, with the demo in it.
 * @param measure gets how to start the program, and how to run a script against it, whose exit code it gives
 */
export async function onBenchBed(measure) {
  checkNode();
  await ensurePackages();
  await ensureBuild();
  const folder = mkdtempSync(join(tmpdir(), 'inch-bench-'));
  chmodSync(folder, 0o755);
  const cluster = await startCluster(await ensurePostgres(), folder);
  let app;
  const tidy = () => {
    app?.kill('SIGKILL');
    cluster.stop();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  try {
    await prepareDatabase(cluster.url, { demo: true });
    const port = await freePort();
    const url = `http://127.0.0.1:${port}`;
    const secret = randomBytes(32).toString('hex');
    const start = async () => {
      app = await startApp('start', { port, host: '127.0.0.1', databaseUrl: cluster.url, publicUrl: url, secret, logLevel: 'error' });
    };
    const restart = async () => {
      const ended = new Promise((over) => app.once('exit', over));
      app.kill('SIGTERM');
      await ended;
      await start();
    };
    const does = (script, ...args) =>
      run(process.execPath, [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, script), ...args], {
        cwd: root,
        env: { DATABASE_URL: cluster.url, BENCH_URL: url },
      });
    await measure({ start, restart, does });
  } finally {
    tidy();
  }
}
