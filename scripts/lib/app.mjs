import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './install.mjs';
import { quietEnv, run } from './run.mjs';
import { say, Stop } from './say.mjs';

/**
 * Brings a database up to the newest schema, and fills an empty one with the demo academy.
 * @param role the role with which the program will work on it: it may read and write rows, and nothing else
 */
export async function prepareDatabase(databaseUrl, { demo, role }) {
  const tsx = join(root, 'node_modules/tsx/dist/cli.mjs');
  const args = [tsx, join(root, 'scripts/prepare-database.ts'), ...(demo ? ['--demo'] : []), ...(role ? [`--role=${role}`] : [])];
  if ((await run(process.execPath, args, { cwd: root, env: { DATABASE_URL: databaseUrl } })) !== 0)
    throw new Stop('The database could not be prepared, see above.');
}

function spawnApp(
  mode,
  {
    port,
    host,
    databaseUrl,
    listenUrl,
    replicaUrl,
    publicUrl,
    secret,
    trustProxy,
    dataFolder,
    demo = false,
    logLevel = 'info',
    stdio = 'inherit',
  },
) {
  return spawn(process.execPath, [join(root, 'scripts/serve.mjs'), mode, String(port), host], {
    cwd: root,
    stdio,
    env: {
      ...quietEnv,
      NODE_ENV: mode === 'dev' ? 'development' : 'production',
      DATABASE_URL: databaseUrl,
      LISTEN_URL: listenUrl ?? process.env.LISTEN_URL ?? '',
      REPLICA_URL: replicaUrl ?? process.env.REPLICA_URL ?? '',
      PUBLIC_URL: publicUrl,
      AUTH_SECRET: secret,
      LOG_LEVEL: logLevel,
      TRUST_PROXY: trustProxy ?? process.env.TRUST_PROXY ?? '',
      DEMO: demo ? 'yes' : '',
      ...(dataFolder ? { INCH_DATA: dataFolder } : {}),
    },
  });
}

/**
 * Starts the application and waits until it answers.
 * @param mode "start" serves the build, "dev" the sources
 * @returns the process; its exit ends the application
 */
export async function startApp(mode, options) {
  const child = spawnApp(mode, options);
  await answers(child, options);
  return child;
}

async function answers(child, { port, host }) {
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}/api/health`;
  for (let tries = 0; tries < 600; tries++) {
    if (child.exitCode !== null) throw new Stop('The application ended before it answered, see above.');
    const answer = await fetch(url).catch(() => null);
    if (answer?.ok) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  child.kill('SIGTERM');
  throw new Stop('The application did not answer within a minute.');
}

const FIRST_WAIT_MS = 1_000;
const MOST_WAIT_MS = 30_000;
/** Who ran so long before they fell begins with the first wait again. */
const STEADY_MS = 60_000;
/** The application ends what is under way in less than this; else it is ended. */
const PATIENCE_MS = 10_000;

/**
 * Starts the application and keeps it running: one that falls is started again, at once at first, ever later where it keeps falling.
 * @param onChild told of every process, its output included
 * @returns how to stop it, and when it is over
 */
export async function keepApp(mode, options, onChild = () => {}) {
  let stopping = false;
  let child;
  let startedAt;
  let waitMs = FIRST_WAIT_MS;
  const begin = () => {
    startedAt = Date.now();
    child = spawnApp(mode, options);
    onChild(child);
  };
  begin();
  const over = (async () => {
    for (;;) {
      await new Promise((resolve) => child.once('exit', resolve));
      if (stopping) return;
      if (Date.now() - startedAt > STEADY_MS) waitMs = FIRST_WAIT_MS;
      say(`The application ended by itself (${child.exitCode ?? child.signalCode}); it is started again in ${waitMs / 1000} s.`);
      await new Promise((resolve) => setTimeout(resolve, waitMs));
      if (stopping) return;
      waitMs = Math.min(MOST_WAIT_MS, 2 * waitMs);
      begin();
    }
  })();
  const stop = async () => {
    stopping = true;
    if (child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    const late = setTimeout(() => child.kill('SIGKILL'), PATIENCE_MS);
    await gone;
    clearTimeout(late);
  };
  try {
    await answers(child, options);
  } catch (error) {
    await stop();
    throw error;
  }
  return { stop, over };
}
