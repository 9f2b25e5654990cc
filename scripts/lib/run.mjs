import { spawn, spawnSync } from 'node:child_process';

/** The environment of everything we start: no telemetry anywhere, and no colour codes in logs. */
export const quietEnv = { ...process.env, NEXT_TELEMETRY_DISABLED: '1', CHECKPOINT_DISABLE: '1' };

/** Runs a command to its end with its output shown; resolves to its exit status. */
export function run(command, args, { env = {}, cwd, stdio = 'inherit' } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { stdio, cwd, env: { ...quietEnv, ...env } });
    child.on('error', () => resolve(127));
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 130 : 1)));
  });
}

/** Runs a command to its end and gives what it printed. */
export function capture(command, args, options = {}) {
  const done = spawnSync(command, args, { encoding: 'utf8', ...options, env: { ...quietEnv, ...options.env } });
  return { ok: done.status === 0, out: done.stdout ?? '', err: `${done.stderr ?? ''}${done.error?.message ?? ''}` };
}

/** Runs one of the project's own command-line packages, without a shell and without npx. */
export const bin = (name) => new URL(`../../node_modules/.bin/${name}`, import.meta.url).pathname;
