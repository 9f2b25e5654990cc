import { execFile } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './install.mjs';
import { bin, quietEnv } from './run.mjs';
import { say } from './say.mjs';

const ROOMS = ['core', 'db', 'server', 'features', 'app', 'ui', 'workers', 'cli', 'scripts', 'e2e'].filter((room) =>
  existsSync(join(root, room)),
);

/** The checks that need no database and no browser: what each is called, and its command. */
const CHECKS = [
  ['types', async () => (await next('typegen'), tool('tsc', '--noEmit', '-p', '.'))],
  ['types of the core alone', () => tool('tsc', '--noEmit', '-p', 'core')],
  ['lint', () => tool('eslint', '.', '--max-warnings', '0', '--cache', '--cache-location', '.next/eslint-cache')],
  ['format', () => tool('prettier', '--check', '--log-level', 'warn', '--cache', '.')],
  [
    'arrows between the rooms',
    () => tool('depcruise', '--config', '.dependency-cruiser.cjs', '--output-type', 'err', ...ROOMS, 'proxy.ts'),
  ],
  ['unused code', () => tool('knip', '--no-progress')],
];

/** Runs a tool of the project and gives whether it was content, and what it said. */
const tool = (name, ...args) => heard(bin(name), args);
const next = (...args) => heard(process.execPath, [join(root, 'node_modules/next/dist/bin/next'), ...args]);

function heard(command, args) {
  return new Promise((resolve) => {
    execFile(command, args, { cwd: root, env: quietEnv, maxBuffer: 64 << 20 }, (error, out, err) =>
      resolve({ ok: !error, said: out + err }),
    );
  });
}

/** Runs the checks, two at a time; each counts as one that passed or failed, and one that failed shows what it said. */
export async function runChecks(tally) {
  const waiting = [...CHECKS];
  const work = async () => {
    for (let entry = waiting.shift(); entry; entry = waiting.shift()) {
      const [name, check] = entry;
      const started = Date.now();
      const { ok, said } = await check();
      tally.count(ok);
      say(`${ok ? '' : said}${ok ? 'ok  ' : 'FAIL'} ${name} (${((Date.now() - started) / 1000).toFixed(0)} s)`);
    }
  };
  await Promise.all([work(), work()]);
}

/** So many files are named with the time they took. */
const SLOWEST = 10;

/** Adds up what passed and failed over all kinds of tests. */
export function makeTally() {
  let passed = 0;
  let failed = 0;
  const files = [];
  return {
    count: (ok) => (ok ? passed++ : failed++),
    add(more) {
      passed += more.passed;
      failed += more.failed;
      files.push(...(more.files ?? []));
    },
    finish() {
      const slowest = files.toSorted((a, b) => b.ms - a.ms).slice(0, SLOWEST);
      if (slowest.length > 0)
        say(`\nSlowest files:\n${slowest.map(({ file, ms }) => `${(ms / 1000).toFixed(0).padStart(5)} s  ${file}`).join('\n')}`);
      say(`\n${passed} passed, ${failed} failed`);
      process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
    },
  };
}
