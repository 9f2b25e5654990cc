import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { root } from './install.mjs';
import { bin, run } from './run.mjs';
import { say } from './say.mjs';

/** Runs a test command that writes its result as JSON, and reads how many passed and failed; one that wrote nothing failed. */
async function counted(command, read) {
  const folder = mkdtempSync(join(tmpdir(), 'inch-results-'));
  const file = join(folder, 'results.json');
  try {
    const status = await command(file);
    if (!existsSync(file)) return { passed: 0, failed: 1 };
    const counts = read(JSON.parse(readFileSync(file, 'utf8')));
    return status !== 0 && counts.failed === 0 ? { ...counts, failed: 1 } : counts;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The unit tests; with a database address also those of the queries. */
export function runJest(databaseUrl, args = []) {
  const env = databaseUrl ? { TEST_DATABASE_URL: databaseUrl } : {};
  return counted(
    (file) =>
      run(process.execPath, ['--no-warnings', bin('jest'), '--json', `--outputFile=${file}`, ...args], {
        cwd: root,
        env,
        stdio: ['ignore', 'ignore', 'inherit'],
      }),
    (result) => ({
      passed: result.numPassedTests,
      failed: result.numFailedTests + result.numRuntimeErrorTestSuites,
      files: result.testResults.map(({ name, startTime, endTime }) => ({ file: relative(root, name), ms: endTime - startTime })),
    }),
  );
}

/** The browser tests, against an application that is already running. */
export function runPlaywright(url, databaseUrl, args = []) {
  return counted(
    (file) =>
      run(process.execPath, [bin('playwright'), 'test', ...args], {
        cwd: root,
        env: { E2E_URL: url, E2E_DATABASE_URL: databaseUrl, PLAYWRIGHT_JSON_OUTPUT_FILE: file },
      }),
    ({ stats, suites }) => {
      if (stats.flaky > 0) say(`${stats.flaky} of the browser tests needed a second try`);
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected, files: suites.map(timeOf) };
    },
  );
}

/** How long all tests of a file of browser tests took, one after another. */
function timeOf({ file, ...suite }) {
  const ofSuite = ({ specs = [], suites = [] }) =>
    specs.reduce(
      (sum, { tests }) => sum + tests.reduce((all, { results }) => all + results.reduce((ms, { duration }) => ms + duration, 0), 0),
      0,
    ) + suites.reduce((sum, inner) => sum + ofSuite(inner), 0);
  return { file: `e2e/${file}`, ms: ofSuite(suite) };
}
