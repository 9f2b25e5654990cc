import { randomBytes } from 'node:crypto';
import { mkdtempSync, chmodSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApp } from './lib/app.mjs';
import { ensureBuild } from './lib/build.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { freePort, startCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { main } from './lib/say.mjs';

/** Starts the program on a database of its own that keeps what it is told, as a real one does, and runs `bench-load.ts` against it. */
await main(async () => {
  checkNode();
  await ensurePackages();
  await ensureBuild();
  const folder = mkdtempSync(join(tmpdir(), 'inch-load-'));
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
    app = await startApp('start', { port, host: '127.0.0.1', databaseUrl: cluster.url, publicUrl: url, secret, logLevel: 'error' });
    const args = [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, 'scripts/bench-load.ts'), ...process.argv.slice(2)];
    process.exitCode = await run(process.execPath, args, { cwd: root, env: { DATABASE_URL: cluster.url, BENCH_URL: url } });
  } finally {
    tidy();
  }
});
