import { randomBytes } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApp } from './lib/app.mjs';
import { ensureBuild } from './lib/build.mjs';
import { checkNode, ensurePackages, ensurePostgres, root } from './lib/install.mjs';
import { freePort, startCluster } from './lib/postgres.mjs';
import { run } from './lib/run.mjs';
import { main } from './lib/say.mjs';

/** Fills a database of its own with a small and a large academy, starts the program on it, and runs `bench-scale.ts` against it: once warm, once just started. */
await main(async () => {
  checkNode();
  await ensurePackages();
  await ensureBuild();
  const folder = mkdtempSync(join(tmpdir(), 'inch-scale-'));
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
    const start = () => startApp('start', { port, host: '127.0.0.1', databaseUrl: cluster.url, publicUrl: url, secret, logLevel: 'error' });
    const does = async (part) => {
      const args = [join(root, 'node_modules/tsx/dist/cli.mjs'), join(root, 'scripts/bench-scale.ts'), part];
      const code = await run(process.execPath, args, { cwd: root, env: { DATABASE_URL: cluster.url, BENCH_URL: url } });
      if (code !== 0) throw new Error(`${part} ended with ${code}`);
    };
    await does('fill');
    app = await start();
    await does('pages');
    app.kill('SIGTERM');
    await new Promise((ended) => app.once('exit', ended));
    app = await start();
    await does('started');
  } finally {
    tidy();
  }
});
