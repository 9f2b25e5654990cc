import { join } from 'node:path';
import { root } from './lib/install.mjs';
import { withOwnDatabase } from './lib/own-database.mjs';
import { run } from './lib/run.mjs';
import { main } from './lib/say.mjs';

/** Runs a TypeScript script against DATABASE_URL or, without one, the demo's own database, which must not be in use. */
await main(() =>
  withOwnDatabase(async (databaseUrl) => {
    const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');
    process.exitCode = await run(process.execPath, [tsx, ...process.argv.slice(2)], { cwd: root, env: { DATABASE_URL: databaseUrl } });
  }),
);
