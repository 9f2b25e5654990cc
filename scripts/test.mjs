import { randomBytes } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepareDatabase, startApp } from './lib/app.mjs';
import { ensureBuild } from './lib/build.mjs';
import { makeTally, runChecks } from './lib/checks.mjs';
import { checkNode, ensureChromium, ensurePackages, ensurePostgres } from './lib/install.mjs';
import { freePort, startThrowawayCluster } from './lib/postgres.mjs';
import { main, say } from './lib/say.mjs';
import { runJest, runPlaywright } from './lib/suites.mjs';

/**
 * All tests, or a part of them: `unit` (core, screens, queries), `e2e` (the real interface in a browser), `screenshots`
 * (the pictures of docs/screenshots, taken anew), or `bench` (what a frame in the browser takes). What stands behind the part goes to the test runner.
 */
const PARTS = ['unit', 'e2e', 'screenshots', 'bench'];
const part = PARTS.includes(process.argv[2]) ? process.argv[2] : 'all';
const rest = process.argv.slice(part === 'all' ? 2 : 3);

await main(async () => {
  checkNode();
  await ensurePackages();
  const postgres = await ensurePostgres();
  if (part !== 'unit') await ensureChromium();

  const tally = makeTally();
  const cluster = await startThrowawayCluster(postgres);
  const undo = [cluster.stop];
  const tidy = () => {
    while (undo.length > 0) undo.pop()();
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (tidy(), process.exit(130)));
  try {
    if (part === 'all') await runChecks(tally);
    if (part === 'all' || part === 'unit') {
      const databaseUrl = cluster.addDatabase('unit');
      await prepareDatabase(databaseUrl, { demo: false });
      say('Unit tests …');
      tally.add(await runJest(databaseUrl, rest));
    }
    if (part !== 'unit') {
      await ensureBuild();
      const databaseUrl = cluster.addDatabase('browser');
      await prepareDatabase(databaseUrl, { demo: true });
      const folder = mkdtempSync(join(tmpdir(), 'inch-app-'));
      undo.push(() => rmSync(folder, { recursive: true, force: true }));
      const port = await freePort();
      const url = `http://127.0.0.1:${port}`;
      const app = await startApp('start', {
        port,
        host: '127.0.0.1',
        databaseUrl,
        publicUrl: url,
        secret: randomBytes(32).toString('hex'),
        // Tests say themselves from where they send.
        trustProxy: '127.0.0.1',
        // Letters are not sent, and can be read.
        demo: true,
        dataFolder: folder,
        logLevel: 'error',
        stdio: ['ignore', 'ignore', 'inherit'],
      });
      undo.push(() => app.kill('SIGTERM'));
      say('Browser tests …');
      const project = [`--project=${part === 'screenshots' || part === 'bench' ? part : 'browser'}`];
      tally.add(await runPlaywright(url, databaseUrl, [...project, ...rest]));
    }
  } finally {
    tidy();
  }
  tally.finish();
});
