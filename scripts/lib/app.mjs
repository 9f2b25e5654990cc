import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './install.mjs';
import { quietEnv, run } from './run.mjs';
import { Stop } from './say.mjs';

/** Brings a database up to the newest schema, and fills an empty one with the demo academy. */
export async function prepareDatabase(databaseUrl, { demo }) {
  const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');
  const args = [tsx, join(root, 'scripts/prepare-database.ts'), ...(demo ? ['--demo'] : [])];
  if ((await run(process.execPath, args, { cwd: root, env: { DATABASE_URL: databaseUrl } })) !== 0)
    throw new Stop('The database could not be prepared, see above.');
}

/**
 * Starts the application and waits until it answers.
 * @param mode "start" serves the build, "dev" the sources
 * @returns the process; its exit ends the application
 */
export async function startApp(
  mode,
  { port, host, databaseUrl, publicUrl, secret, trustProxy = process.env.TRUST_PROXY ?? '', logLevel = 'info', stdio = 'inherit' },
) {
  const child = spawn(process.execPath, [join(root, 'scripts/serve.mjs'), mode, String(port), host], {
    cwd: root,
    stdio,
    env: {
      ...quietEnv,
      NODE_ENV: mode === 'dev' ? 'development' : 'production',
      DATABASE_URL: databaseUrl,
      PUBLIC_URL: publicUrl,
      AUTH_SECRET: secret,
      LOG_LEVEL: logLevel,
      TRUST_PROXY: trustProxy,
    },
  });
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/api/health`;
  for (let tries = 0; tries < 600; tries++) {
    if (child.exitCode !== null) throw new Stop('The application ended before it answered, see above.');
    const answer = await fetch(url).catch(() => null);
    if (answer?.ok) return child;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill('SIGTERM');
  throw new Stop('The application did not answer within a minute.');
}
