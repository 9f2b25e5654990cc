import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './install.mjs';
import { bin, run } from './run.mjs';
import { say } from './say.mjs';

const ROOMS = ['core', 'db', 'server', 'features', 'app', 'ui', 'workers', 'cli', 'scripts', 'e2e'].filter((room) =>
  existsSync(join(root, room)),
);

/** The checks that need no database and no browser: what each is called, and its command. */
const CHECKS = [
  ['types', async () => (await next('typegen')) || (await tool('tsc', '--noEmit', '-p', '.'))],
  ['types of the core alone', () => tool('tsc', '--noEmit', '-p', 'core')],
  ['lint', () => tool('eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', '.next/eslint-cache')],
  ['format', () => tool('prettier', '--check', '--log-level', 'warn', '--cache', '.')],
  [
    'arrows between the rooms',
    () => tool('depcruise', '--config', '.dependency-cruiser.cjs', '--output-type', 'err', ...ROOMS, 'proxy.ts'),
  ],
  ['unused code', () => tool('knip', '--no-progress')],
];

const tool = (name, ...args) => run(bin(name), args, { cwd: root });
const next = (...args) =>
  run(process.execPath, [join(root, 'node_modules/next/dist/bin/next'), ...args], { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });

/** Runs the checks one after the other; each counts as one that passed or failed. */
export async function runChecks(tally) {
  for (const [name, check] of CHECKS) {
    const started = Date.now();
    const ok = (await check()) === 0;
    tally.count(ok);
    say(`${ok ? 'ok  ' : 'FAIL'} ${name} (${((Date.now() - started) / 1000).toFixed(0)} s)`);
  }
}

/** Adds up what passed and failed over all kinds of tests. */
export function makeTally() {
  let passed = 0;
  let failed = 0;
  return {
    count: (ok) => (ok ? passed++ : failed++),
    add(more) {
      passed += more.passed;
      failed += more.failed;
    },
    finish() {
      say(`\n${passed} passed, ${failed} failed`);
      process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
    },
  };
}
